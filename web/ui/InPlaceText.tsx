'use client';

import { useState } from 'react';
import { Input } from 'react-aria-components';
import styled from 'styled-components';
import { PlainButton } from './controls';

const Shown = styled(PlainButton)`
  display: block;
  min-width: 0;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font: inherit;
  cursor: text;
  &[data-empty] {
    color: var(--soft);
    font-weight: 400;
  }
`;

const Typed = styled(Input)<{ readonly $width: number }>`
  width: ${({ $width }) => $width}ch;
  min-width: 4rem;
  max-width: 100%;
  min-height: 1.6rem;
  padding: 0 0.3rem;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
`;

interface InPlaceTextProps {
  readonly label: string;
  readonly value: string;
  /** What stands there while it is empty. */
  readonly empty: string;
  readonly longest: number;
  readonly onCommit: (text: string) => void;
}

/** A text that is typed over where it stands: a press opens it, Enter or leaving takes it, Escape leaves it as it was. */
export function InPlaceText({ label, value, empty, longest, onCommit }: InPlaceTextProps) {
  const [draft, setDraft] = useState<string>();
  if (draft === undefined)
    return (
      <Shown aria-label={`${label}: ${value || empty}`} data-empty={value === '' || undefined} onPress={() => setDraft(value)}>
        {value || empty}
      </Shown>
    );
  const take = (): void => {
    const text = draft.trim();
    setDraft(undefined);
    if (text !== value) onCommit(text);
  };
  return (
    <Typed
      aria-label={label}
      autoFocus
      maxLength={longest}
      $width={Math.min(32, Math.max(8, draft.length + 2))}
      value={draft}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take();
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        setDraft(undefined);
      }}
    />
  );
}
