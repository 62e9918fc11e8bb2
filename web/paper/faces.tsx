'use client';

import styled from 'styled-components';
import { Hint, Row, Stack } from '../ui/controls';

/** What is asked for stands on the left, how it will look on the right. */
export const Side = styled(Stack)`
  padding: 0.6rem 0.75rem;
  overflow-y: auto;
  border-right: 1px solid var(--rule);
`;

export const Desk = styled.div`
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 18rem;
  background: var(--desk);
`;

const Looked = styled.div`
  display: grid;
  place-items: center;
  min-height: 0;
  padding: 1rem;
  img {
    max-width: 100%;
    max-height: 100%;
    min-height: 0;
    background: #ffffff;
    box-shadow: 0 1px 8px rgb(0 0 0 / 25%);
  }
  img[data-going='true'] {
    opacity: 0.6;
  }
`;

export const Foot = styled(Row)`
  justify-content: space-between;
  padding: 0.5rem 0.75rem;
  background: var(--panel);
  border-top: 1px solid var(--rule);
`;

export const Trouble = styled.p`
  max-width: 32rem;
  color: var(--fault);
`;

interface LookProps {
  /** Why there is nothing to look at. */
  readonly trouble: string | undefined;
  readonly address: string | undefined;
  readonly name: string;
  readonly isGoing: boolean;
  /** What is said until there is something. */
  readonly goesOn: string;
}

/** A sheet or a page as it will be. */
export function Look({ trouble, address, name, isGoing, goesOn }: LookProps) {
  return (
    <Looked>
      {trouble !== undefined ? (
        <Trouble role="alert">{trouble}</Trouble>
      ) : address ? (
        <img src={address} alt={name} data-going={isGoing} />
      ) : (
        <Hint>{goesOn}</Hint>
      )}
    </Looked>
  );
}
