'use client';

import { useState } from 'react';
import { FieldBox, FieldInput, FieldLabel, FieldNote } from './controls';
import { giveUp } from './give-up';

interface TextLineProps {
  readonly label: string;
  readonly value: string;
  readonly hideLabel?: true;
  /** What a text means, or why it means nothing; shown while one types. */
  readonly understand?: (text: string) => { readonly ok: boolean; readonly words: string };
  readonly onCommit: (text: string) => void;
  readonly placeholder?: string;
  /** What stands there in an empty field, and is taken by Enter. */
  readonly offered?: string;
  /** The text means nothing, and was to be taken. */
  readonly onRefused?: () => void;
}

/** A line of text in a notation of its own. Enter or leaving takes it when it means something, Escape brings back what was. */
export function TextLine({ label, value, hideLabel, understand, onCommit, placeholder, offered, onRefused }: TextLineProps) {
  const [draft, setDraft] = useState<string>();
  const understood = draft === undefined || draft.trim() === '' ? undefined : understand?.(draft);
  const commit = (): void => {
    if (draft === undefined || draft === value) return setDraft(undefined);
    if (understood && !understood.ok) return onRefused?.();
    onCommit(draft);
    setDraft(undefined);
  };
  return (
    <FieldBox
      value={draft ?? value}
      onChange={setDraft}
      isInvalid={understood?.ok === false}
      {...(hideLabel && { 'aria-label': label })}
    >
      {!hideLabel && <FieldLabel>{label}</FieldLabel>}
      <FieldInput
        autoComplete="off"
        spellCheck={false}
        placeholder={offered ?? placeholder ?? ''}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && offered && (draft ?? value) === '') onCommit(offered);
          else if (event.key === 'Enter') commit();
          if (event.key !== 'Escape') return;
          giveUp(event, draft);
          setDraft(undefined);
        }}
      />
      {understood && understood.words !== '' && (
        <FieldNote slot="description" data-fault={!understood.ok || undefined}>
          {understood.words}
        </FieldNote>
      )}
    </FieldBox>
  );
}
