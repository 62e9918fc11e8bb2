'use client';

import styled from 'styled-components';
import { PlainButton } from '../ui/controls';
import type { SheetController } from './controller';

const Bar = styled.div`
  position: absolute;
  left: 0.6rem;
  bottom: 0.6rem;
  display: flex;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 3px;
`;

/** Zoom, for those without a wheel. */
export function ViewTools({ controller }: { readonly controller: SheetController }) {
  return (
    <Bar role="toolbar" aria-label="View">
      <PlainButton aria-label="Zoom out" onPress={() => controller.zoom(1 / 1.4)}>
        −
      </PlainButton>
      <PlainButton aria-label="Zoom in" onPress={() => controller.zoom(1.4)}>
        +
      </PlainButton>
      <PlainButton onPress={() => controller.showAll()}>Whole structure</PlainButton>
    </Bar>
  );
}
