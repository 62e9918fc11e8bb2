'use client';

import { useState } from 'react';
import { FieldBox, FieldInput, FieldLabel } from './controls';
import { giveUp } from './give-up';

interface NameFieldProps {
  readonly label: string;
  readonly value: string;
  /** Called on Enter or when the field is left, with a text that has changed. */
  readonly onCommit: (value: string) => void;
  readonly mayBeEmpty?: true;
  readonly hideLabel?: true;
}

/** A text that is taken when the field is left; Escape brings back what was there. */
export function NameField({ label, value, onCommit, mayBeEmpty, hideLabel }: NameFieldProps) {
  const [draft, setDraft] = useState<string>();
  const commit = (): void => {
    const text = draft?.trim();
    if (text !== undefined && text !== value && (text !== '' || mayBeEmpty)) onCommit(text);
    setDraft(undefined);
  };
  return (
    <FieldBox value={draft ?? value} onChange={setDraft} {...(hideLabel && { 'aria-label': label })}>
      {!hideLabel && <FieldLabel>{label}</FieldLabel>}
      <FieldInput
        autoComplete="off"
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key !== 'Escape') return;
          giveUp(event, draft);
          setDraft(undefined);
        }}
      />
    </FieldBox>
  );
}
