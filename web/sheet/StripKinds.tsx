'use client';

import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { kindTitle, listKinds, type Listed, type ListKind } from '@rigid-beam/core/combinations/listed';
import { mustBeAsked } from '../editor/governing-reader';
import { useEditor, useEditorState } from '../editor/use-editor';
import { PlainButton, ToggleButton } from '../ui/controls';
import { stripKinds as WORDS } from './words';

/** Entries from which on one looks for them by their kinds. */
const MANY = 8;

const Kinds = styled(ToggleButtonGroup)`
  flex: none;
  display: grid;
  grid-auto-flow: column;
  grid-template-rows: repeat(2, auto);
  gap: 0.1rem 0.2rem;
  padding: 0.15rem 0 0.15rem 0.4rem;
  && button {
    justify-content: flex-start;
    min-height: 1.35rem;
    padding: 0 0.35rem;
    font-size: 0.7rem;
    border-color: transparent;
    background: transparent;
    color: var(--soft);
    text-decoration: line-through;
  }
  && button[data-selected] {
    color: var(--ink);
    text-decoration: none;
  }
  i {
    width: 0.7rem;
    margin-right: 0.3rem;
    border-top: 3px solid var(--rule-strong);
  }
  i[data-kind='strength'] {
    border-top-color: var(--draw-moment);
  }
  i[data-kind='service'] {
    border-top-color: var(--draw-deflection);
  }
  i[data-kind='envelope'] {
    border-top: 3px double var(--ink);
  }
`;

const Ask = styled(PlainButton)`
  flex: none;
  min-height: 1.35rem;
  font-size: 0.7rem;
`;

/** What the strip holds, by kinds, and which of it is shown: a kind, and sums that govern nothing, can be left out. */
export function StripKinds({ all }: { readonly all: readonly Listed[] }) {
  const editor = useEditor();
  const unlisted = useEditorState((state) => state.unlisted);
  const isAsked = useEditorState((state) => mustBeAsked(state) && state.governing?.model !== state.drawn.model);
  const counts = new Map<ListKind | 'idle', number>();
  for (const { kind, governs } of all) {
    counts.set(kind, (counts.get(kind) ?? 0) + 1);
    if (governs === 0) counts.set('idle', (counts.get('idle') ?? 0) + 1);
  }
  const kinds = [...listKinds, 'idle' as const].filter((kind) => counts.has(kind));
  if (all.length < MANY || kinds.length < 2) return null;
  return (
    <>
      <Kinds
        aria-label={WORDS.shown}
        selectionMode="multiple"
        selectedKeys={kinds.filter((kind) => !unlisted.has(kind))}
        onSelectionChange={(keys) => editor.show({ unlisted: new Set(kinds.filter((kind) => !keys.has(kind))) })}
      >
        {kinds.map((kind) => (
          <ToggleButton
            key={kind}
            id={kind}
            aria-label={WORDS.kind(kind === 'idle' ? WORDS.idle : kindTitle(kind), counts.get(kind)!)}
          >
            <i aria-hidden data-kind={kind} />
            {kind === 'idle' ? WORDS.idle : kindTitle(kind)} {counts.get(kind)}
          </ToggleButton>
        ))}
      </Kinds>
      {isAsked && <Ask onPress={() => editor.findGoverning()}>{WORDS.ask}</Ask>}
    </>
  );
}
