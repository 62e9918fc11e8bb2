'use client';

import styled from 'styled-components';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { useEditor } from '../editor/use-editor';
import { Button, PanelSubtitle, PlainButton } from '../ui/controls';
import { checks as WORDS } from './words';

const List = styled.ul`
  display: grid;
  gap: 0.4rem;
  font-size: 0.78rem;
  li {
    padding-left: 0.5rem;
    border-left: 3px solid var(--attention);
  }
  button {
    min-height: 1.4rem;
    padding: 0 0.35rem;
    white-space: normal;
    text-align: left;
  }
`;

/** One sentence, what it is about, and what may be done. */
export interface Check {
  readonly id: string;
  readonly words: string;
  readonly subjects: readonly Subject[];
  readonly remedy?: { readonly words: string; readonly act: () => void };
}

const MANY = 6;

/** What is allowed and yet worth a look, quietly in its bench. */
export function Checks({ checks }: { readonly checks: readonly Check[] }) {
  const editor = useEditor();
  if (checks.length === 0) return null;
  return (
    <>
      <PanelSubtitle>{WORDS.title}</PanelSubtitle>
      <List data-testid="checks">
        {checks.slice(0, MANY).map(({ id, words, subjects, remedy }) => (
          <li key={id}>
            {words} {subjects.length > 0 && <PlainButton onPress={() => editor.select(subjects)}>{WORDS.show}</PlainButton>}
            {remedy && <Button onPress={remedy.act}>{remedy.words}</Button>}
          </li>
        ))}
        {checks.length > MANY && <li>{WORDS.more(checks.length - MANY)}</li>}
      </List>
    </>
  );
}
