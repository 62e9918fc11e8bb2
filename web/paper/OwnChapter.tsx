'use client';

import { useState } from 'react';
import { CHAPTER_LETTERS, type ReportChapter, type ReportPicture } from '@rigid-beam/core/model/report';
import { FieldArea, FieldBox, FieldLabel, Hint } from '../ui/controls';
import { giveUp } from '../ui/give-up';
import { TextLine } from '../ui/TextLine';
import { OwnPictures } from './OwnPictures';
import { ownChapter as WORDS } from './words';

type Own = Extract<ReportChapter, { readonly chapter: 'text' }>;

/** Without pictures it says nothing of them. */
function withPictures({ pictures: _, ...chapter }: Own, pictures: readonly ReportPicture[]): Own {
  return pictures.length > 0 ? { ...chapter, pictures } : chapter;
}

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
      <FieldBox value={draft ?? text} onChange={setDraft} maxLength={CHAPTER_LETTERS}>
        <FieldLabel>{WORDS.text}</FieldLabel>
        <FieldArea
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) commit();
            if (event.key !== 'Escape') return;
            giveUp(event, draft);
            setDraft(undefined);
          }}
        />
      </FieldBox>
      <Hint>{WORDS.fields}</Hint>
      <OwnPictures pictures={chapter.pictures ?? []} onChange={(pictures) => onChange(withPictures(chapter, pictures))} />
    </>
  );
}
