'use client';

import { useState, type ReactNode } from 'react';
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { focusFace } from './controls';

const Part = styled(Disclosure)`
  border-top: 1px solid var(--rule);
  padding-top: 0.35rem;
`;

const Title = styled(Heading)`
  margin: 0;
`;

const Trigger = styled(Button)`
  display: block;
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  cursor: default;
  text-align: left;
  font-size: 0.8rem;
  font-weight: 600;
  &::before {
    content: '▸ ' / '';
    display: inline-block;
    width: 1rem;
  }
  &[aria-expanded='true']::before {
    content: '▾ ' / '';
  }
  > span {
    font-weight: 400;
    color: var(--soft);
  }
  ${focusFace}
`;

const Content = styled.div`
  display: flex;
  flex-direction: column;
  gap: 0.45rem;
  padding: 0.4rem 0 0.3rem;
`;

/** What was open last, for as long as the page is there. */
const opened = new Map<string, boolean>();

interface FoldProps {
  readonly title: string;
  /** How many there are, or what stands there. */
  readonly note?: string | undefined;
  readonly startsOpen?: true;
  /** By which it is remembered whether it was open, from one card to the next. */
  readonly remembered?: string;
  readonly children: ReactNode;
}

/** A part of a bench that can be folded away. Folded it costs nothing. */
export function Fold({ title, note, startsOpen, remembered, children }: FoldProps) {
  const [open, setOpen] = useState((remembered === undefined ? undefined : opened.get(remembered)) ?? startsOpen === true);
  const expand = (next: typeof open): void => {
    if (remembered !== undefined) opened.set(remembered, next);
    setOpen(next);
  };
  return (
    <Part isExpanded={open} onExpandedChange={expand}>
      <Title level={3}>
        <Trigger slot="trigger">
          {title}
          {note && <span> · {note}</span>}
        </Trigger>
      </Title>
      <DisclosurePanel>{open && <Content>{children}</Content>}</DisclosurePanel>
    </Part>
  );
}
