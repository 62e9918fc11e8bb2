'use client';

import { useState } from 'react';
import styled from 'styled-components';
import { Button } from './controls';
import { QuantityField } from './QuantityField';

/** The button stands on the line of the field, under which a note may come. */
const Line = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  column-gap: 0.35rem;
  align-items: start;
  > button {
    margin-top: 1.15rem;
  }
`;

interface NumberedActionProps {
  readonly label: string;
  readonly initial: number;
  readonly words: string;
  readonly onAct: (value: number) => void;
}

/** Something that is done by a number: the number, and the button that does it. */
export function NumberedAction({ label, initial, words, onAct }: NumberedActionProps) {
  const [value, setValue] = useState(initial);
  return (
    <Line>
      <QuantityField
        label={label}
        value={value}
        dimension="number"
        unit=""
        onCommit={(next) => next !== undefined && setValue(next)}
      />
      <Button onPress={() => onAct(value)}>{words}</Button>
    </Line>
  );
}
