'use client';

import { useState, type ReactNode } from 'react';
import styled from 'styled-components';

const Details = styled.details`
  border-top: 1px solid var(--rule);
  padding-top: 0.35rem;
  > summary {
    cursor: default;
    font-size: 0.8rem;
    font-weight: 600;
    > span {
      font-weight: 400;
      color: var(--soft);
    }
  }
  > div {
    display: flex;
    flex-direction: column;
    gap: 0.45rem;
    padding: 0.4rem 0 0.3rem;
  }
`;

interface FoldProps {
  readonly title: string;
  /** How many there are, or what stands there. */
  readonly note?: string | undefined;
  readonly startsOpen?: true;
  readonly children: ReactNode;
}

/** A part of a bench that can be folded away; the browser's own, so that keyboard and screen reader know it. Folded it costs nothing. */
export function Fold({ title, note, startsOpen, children }: FoldProps) {
  const [open, setOpen] = useState(startsOpen === true);
  return (
    <Details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>
        {title}
        {note && <span> · {note}</span>}
      </summary>
      {open && <div>{children}</div>}
    </Details>
  );
}
