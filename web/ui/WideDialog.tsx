'use client';

import type { ReactNode } from 'react';
import { Dialog, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { overFace, Row, Stack } from './controls';

const Over = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 20;
  display: grid;
  place-items: center;
  background: rgb(0 0 0 / 35%);
`;

const Face = styled(Modal)`
  ${overFace}
  width: min(76rem, 96vw);
  height: min(50rem, 94vh);
`;

const Inside = styled(Dialog)`
  display: grid;
  grid-template: auto minmax(0, 1fr) / 18rem minmax(0, 1fr);
  height: 100%;
  outline: none;
  @media (max-width: 52rem) {
    grid-template: auto auto minmax(0, 1fr) / minmax(0, 1fr);
    overflow-y: auto;
  }
`;

/** On its left, what is asked for. */
export const DialogSide = styled(Stack)`
  padding: 0.6rem 0.75rem;
  overflow-y: auto;
  border-right: 1px solid var(--rule);
`;

/** Beside that, what comes of it, over a foot that says so and does it. */
export const DialogDesk = styled.div`
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
`;

export const DialogFoot = styled(Row)`
  justify-content: space-between;
  padding: 0.5rem 0.75rem;
  background: var(--panel);
  border-top: 1px solid var(--rule);
`;

/** Its title, and how it is left. */
export const DialogHead = styled.div`
  grid-column: 1 / -1;
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  padding: 0.5rem 0.75rem;
  border-bottom: 1px solid var(--rule);
  h2 {
    font-size: 0.95rem;
    font-weight: 600;
  }
`;

interface WideDialogProps {
  readonly label: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** What lies over the page until it is closed: a head, a column on the left, and the rest beside it. */
export function WideDialog({ label, isOpen, onClose, children }: WideDialogProps) {
  return (
    <Over isOpen={isOpen} isDismissable onOpenChange={(open) => !open && onClose()}>
      <Face>
        <Inside aria-label={label}>{children}</Inside>
      </Face>
    </Over>
  );
}
