'use client';

import { useState } from 'react';
import { Button, Row } from './controls';
import { QuantityField } from './QuantityField';

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
    <Row>
      <QuantityField
        label={label}
        value={value}
        dimension="number"
        unit=""
        onCommit={(next) => next !== undefined && setValue(next)}
      />
      <Button onPress={() => onAct(value)}>{words}</Button>
    </Row>
  );
}
