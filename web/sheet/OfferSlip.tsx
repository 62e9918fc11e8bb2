'use client';

import styled from 'styled-components';
import { useStore } from 'zustand';
import { Button, PlainButton } from '../ui/controls';
import type { SheetController } from './controller';
import { offerSlip as WORDS } from './words';

const Slip = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 0.6rem;
  padding: 0.25rem 0.6rem;
  background: var(--attention-ground);
  border: 1px solid var(--attention);
  border-radius: 3px;
`;

/** What the last edit suggests, to take up or to leave. */
export function OfferSlip({ controller }: { readonly controller: SheetController }) {
  const offer = useStore(controller.store, (state) => state.offer);
  if (!offer) return null;
  return (
    <Slip role="status">
      <span>{offer.words}</span>
      <Button onPress={() => controller.acceptOffer()}>{offer.action} (J)</Button>
      <PlainButton aria-label={WORDS.dismiss} onPress={() => controller.offer(undefined)}>
        ✕
      </PlainButton>
    </Slip>
  );
}
