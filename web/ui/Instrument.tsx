'use client';

import styled, { css } from 'styled-components';
import { Button, ToggleButton } from './controls';
import { Picture, type PictureName } from './pictures';

/** A bench's instruments, side by side; `$wide` where their words are long. */
export const Instruments = styled.div<{ readonly $wide?: true }>`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(${({ $wide }) => ($wide ? '4.4rem' : '3.4rem')}, 1fr));
  gap: 0.3rem;
`;

const face = css`
  flex-direction: column;
  gap: 0.1rem;
  min-width: 0;
  padding: 0.25rem 0.1rem 0.2rem;
  background: var(--paper);
  white-space: normal;
  line-height: 1.15;
  font-size: 0.7rem;
  text-align: center;
`;

const Face = styled(ToggleButton)`
  ${face}
`;

/** The same for what happens at once, and is not taken in hand. */
export const InstrumentFace = styled(Button)`
  ${face}
`;

interface InstrumentProps {
  readonly picture: PictureName;
  readonly words: string;
  /** The whole of it, where the words beside the picture are short. */
  readonly label?: string;
  readonly isHeld: boolean;
  readonly onChange: (isHeld: boolean) => void;
}

/** Something one takes in hand, drawn as what it does. */
export function Instrument({ picture, words, label, isHeld, onChange }: InstrumentProps) {
  return (
    <Face isSelected={isHeld} onChange={onChange} aria-label={label ?? words}>
      <Picture name={picture} />
      {words}
    </Face>
  );
}
