'use client';

import styled from 'styled-components';
import { useStore } from 'zustand';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { useDisplay, useEditorState } from '../session/use-editor';
import { PlainButton } from '../ui/controls';
import type { SheetController } from './controller';

const Bar = styled.div`
  display: flex;
  && {
    padding: 0 0.15rem;
  }
  button {
    min-height: 1.4rem;
    padding: 0 0.35rem;
  }
`;

/** Zoom for those without a wheel, and the planes of a space model. */
export function ViewTools({ controller }: { readonly controller: SheetController }) {
  const space = useEditorState((state) => state.model.space);
  return (
    <Bar role="toolbar" aria-label="View">
      {space === 'space' && <Planes controller={controller} />}
      <PlainButton aria-label="Zoom out" onPress={() => controller.view.zoom(1 / 1.4)}>
        −
      </PlainButton>
      <PlainButton aria-label="Zoom in" onPress={() => controller.view.zoom(1.4)}>
        +
      </PlainButton>
      <PlainButton aria-label="Whole structure" onPress={() => controller.view.showAll()}>
        Whole
      </PlainButton>
    </Bar>
  );
}

/** Which frame, truss or floor is brought forward, the rest faded. */
function Planes({ controller }: { readonly controller: SheetController }) {
  const plane = useStore(controller.store, (state) => state.plane);
  const unit = useDisplay().length;
  return (
    <>
      <PlainButton
        aria-label="Bring the plane before it forward"
        aria-keyshortcuts="["
        onPress={() => controller.view.nextPlane(-1)}
      >
        ‹
      </PlainButton>
      <Plane aria-live="polite">
        {plane ? `${plane.axis.toUpperCase()} = ${showQuantity(plane.at, unit, 4)}` : 'all planes'}
      </Plane>
      <PlainButton aria-label="Bring the next plane forward" aria-keyshortcuts="]" onPress={() => controller.view.nextPlane(1)}>
        ›
      </PlainButton>
    </>
  );
}

const Plane = styled.span`
  align-self: center;
`;
