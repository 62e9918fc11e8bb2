'use client';

import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import styled from 'styled-components';
import { Button } from './controls';
import { hold as WORDS } from './words';

const Slip = styled.div`
  display: grid;
  gap: 0.5rem;
  align-content: start;
  justify-items: start;
  padding: 0.6rem 0.75rem;
  border-left: 5px solid var(--fault);
  background: var(--fault-ground);
  min-height: 0;
  overflow: auto;
`;

interface HoldProps {
  /** What it holds, as it begins a sentence. */
  readonly what: string;
  /** Where one of these changes it is shown again by itself. */
  readonly again?: readonly unknown[];
  readonly children: ReactNode;
}

/** Holds a part of the page: when something in it fails, it alone is lost, and says so in its place. */
export function Hold({ what, again, children }: HoldProps) {
  const failed = ({ error, resetErrorBoundary }: FallbackProps): ReactNode => (
    <Slip role="alert" data-testid="failed">
      <p>{WORDS.failed(what, error instanceof Error ? error.message : String(error))}</p>
      <Button onPress={resetErrorBoundary}>{WORDS.showAgain}</Button>
    </Slip>
  );
  return (
    <ErrorBoundary fallbackRender={failed} {...(again && { resetKeys: [...again] })}>
      {children}
    </ErrorBoundary>
  );
}
