'use client';

import { useState } from 'react';
import { TextArea, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { CHAPTER_LETTERS, type ReportChapter } from '@rigid-beam/core/model/report';
import { FieldLabel, focusFace, Hint } from '../ui/controls';
import { giveUp } from '../ui/give-up';
import { TextLine } from '../ui/TextLine';
import { ownChapter as WORDS } from './words';

const Words = styled(TextArea)`
  ${focusFace}
  width: 100%;
  min-height: 9rem;
  padding: 0.3rem 0.4rem;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  resize: vertical;
`;

type Own = Extract<ReportChapter, { readonly chapter: 'text' }>;

interface OwnChapterProps {
  readonly chapter: Own;
  readonly onChange: (chapter: Own) => void;
}

/** A chapter in one's own words: its title, its text, and how numbers of the model are written into it. */
export function OwnChapter({ chapter, onChange }: OwnChapterProps) {
  const { title = '', text = '' } = chapter;
  const [draft, setDraft] = useState<string>();
  const commit = (): void => {
    if (draft !== undefined && draft !== text) onChange({ ...chapter, text: draft });
    setDraft(undefined);
  };
  return (
    <>
      <TextLine label={WORDS.title} value={title} onCommit={(said) => onChange({ ...chapter, title: said.trim() })} />
      <TextField value={draft ?? text} onChange={setDraft} maxLength={CHAPTER_LETTERS}>
        <FieldLabel>{WORDS.text}</FieldLabel>
        <Words
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) commit();
            if (event.key !== 'Escape') return;
            giveUp(event, draft);
            setDraft(undefined);
          }}
        />
      </TextField>
      <Hint>{WORDS.fields}</Hint>
    </>
  );
}
