'use client';

import { useState } from 'react';
import styled from 'styled-components';
import { FileTrigger } from 'react-aria-components';
import { MOST_PICTURES, type ReportPicture } from '@rigid-beam/core/model/report';
import { readPicture } from '../underlay/read-picture';
import { Button, Hint } from '../ui/controls';
import { TextLine } from '../ui/TextLine';
import { Trouble } from './faces';
import { ownPictures as WORDS } from './words';

/** One under the other, each with what stands under it. */
const Entry = styled.div`
  display: grid;
  grid-template-columns: 4.5rem minmax(0, 1fr) auto;
  gap: 0.5rem;
  align-items: end;
  img {
    width: 4.5rem;
    height: 3.2rem;
    object-fit: contain;
    background: #ffffff;
    border: 1px solid var(--rule);
  }
`;

interface OwnPicturesProps {
  readonly pictures: readonly ReportPicture[];
  readonly onChange: (pictures: readonly ReportPicture[]) => void;
}

/** The pictures of a chapter of one's own: taken from files, captioned, and taken out again. */
export function OwnPictures({ pictures, onChange }: OwnPicturesProps) {
  const [trouble, setTrouble] = useState<string>();
  const take = async (files: FileList | null): Promise<void> => {
    try {
      const made: ReportPicture[] = [];
      for (const file of Array.from(files ?? [])) {
        const { picture } = await readPicture(file);
        made.push({ ...picture, caption: file.name.replace(/\.[^.]*$/u, '').slice(0, 200) });
      }
      setTrouble(undefined);
      if (made.length > 0) onChange([...pictures, ...made].slice(0, MOST_PICTURES));
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  return (
    <>
      {pictures.map((picture, i) => {
        const name = picture.caption ?? '';
        return (
          <Entry key={i}>
            <img src={picture.image} alt={WORDS.picture(i + 1)} />
            <TextLine
              label={WORDS.caption(i + 1)}
              value={name}
              onCommit={(caption) => onChange(pictures.map((one, k) => (k === i ? { ...one, caption: caption.trim() } : one)))}
            />
            <Button aria-label={WORDS.remove(i + 1)} onPress={() => onChange(pictures.filter((_, k) => k !== i))}>
              {WORDS.removeShort}
            </Button>
          </Entry>
        );
      })}
      {pictures.length < MOST_PICTURES ? (
        <FileTrigger
          acceptedFileTypes={['image/png', 'image/jpeg', 'image/svg+xml', '.pdf']}
          allowsMultiple
          onSelect={(files) => void take(files)}
        >
          <Button>{WORDS.add}</Button>
        </FileTrigger>
      ) : (
        <Hint>{WORDS.most(MOST_PICTURES)}</Hint>
      )}
      {trouble !== undefined && <Trouble role="alert">{trouble}</Trouble>}
    </>
  );
}
