'use client';

import styled from 'styled-components';
import { Hint } from '../ui/controls';
import { DialogDesk } from '../ui/WideDialog';

/** What is asked for stands on the left, how it will look on the right. */
export const Desk = styled(DialogDesk)`
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
