'use client';

import { useId, useState, type ReactNode } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { Instruments } from './Instrument';
import { Picture, type PictureName } from './pictures';
import { PanelSubtitle, pictureFace } from './controls';
import { shelf as WORDS } from './words';

export interface ShelfPart {
  readonly title: string;
  readonly words: string;
  readonly picture: PictureName;
  /** How many there are, or what stands there. */
  readonly note?: string | undefined;
  readonly content: () => ReactNode;
}

const Opener = styled(Button)`
  ${pictureFace}
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 0.1rem;
  padding: 0.25rem 0.1rem 0.2rem;
`;

const Content = styled.div`
  display: flex;
  flex-direction: column;
  gap: 0.45rem;
`;

/** What is needed now and then: drawn side by side, one of them open below. What is put away costs nothing. */
export function Shelf({ parts, opens }: { readonly parts: readonly ShelfPart[]; readonly opens?: string | undefined }) {
  const [open, setOpen] = useState(opens);
  const id = useId();
  const part = parts.find(({ title }) => title === open);
  return (
    <>
      <Instruments>
        {parts.map(({ title, words, picture, note }) => (
          <Opener
            key={title}
            aria-label={note ? `${title}: ${note}` : title}
            aria-expanded={title === open}
            aria-controls={id}
            onPress={() => setOpen(title === open ? undefined : title)}
          >
            <Picture name={picture} />
            {words}
          </Opener>
        ))}
      </Instruments>
      <Content id={id} role="group" aria-label={part?.title ?? WORDS.nothingIsOpen}>
        {part && (
          <>
            <PanelSubtitle>
              {part.title}
              {part.note && ` · ${part.note}`}
            </PanelSubtitle>
            {part.content()}
          </>
        )}
      </Content>
    </>
  );
}
