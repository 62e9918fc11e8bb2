'use client';

import type { Said } from '@rigid-beam/drawing/paper/asked';
import { Columns, PanelSubtitle } from '../ui/controls';
import { TextLine } from '../ui/TextLine';
import { paperDialog as WORDS } from './words';

interface SaidFieldsProps {
  /** Where it will stand. */
  readonly title: string;
  readonly said: Said;
  readonly onSay: (said: Said) => void;
}

/** What the user says of what is handed on: nothing of it is taken from the clock. */
export function SaidFields({ title, said, onSay }: SaidFieldsProps) {
  return (
    <>
      <PanelSubtitle>{title}</PanelSubtitle>
      <Columns>
        {(['project', 'number', 'date', 'revision'] as const).map((key) => (
          <TextLine key={key} label={WORDS[key]} value={said[key] ?? ''} onCommit={(text) => onSay({ ...said, [key]: text })} />
        ))}
      </Columns>
    </>
  );
}
