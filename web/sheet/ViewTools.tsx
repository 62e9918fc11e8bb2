'use client';

import styled from 'styled-components';
import { useStore } from 'zustand';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { useDisplay, useEditorState } from '../session/use-editor';
import { PlainButton } from '../ui/controls';
import type { SheetController } from './controller';
import { viewTools as WORDS } from './words';

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
    <Bar role="toolbar" aria-label={WORDS.view}>
      {space === 'space' && <Planes controller={controller} />}
      <PlainButton aria-label={WORDS.zoomOut} onPress={() => controller.view.zoom(1 / 1.4)}>
        −
      </PlainButton>
      <PlainButton aria-label={WORDS.zoomIn} onPress={() => controller.view.zoom(1.4)}>
        +
      </PlainButton>
      <PlainButton aria-label={WORDS.wholeStructure} onPress={() => controller.view.showAll()}>
        {WORDS.whole}
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
      <PlainButton aria-label={WORDS.bringThePlaneBeforeIt} aria-keyshortcuts="[" onPress={() => controller.view.nextPlane(-1)}>
        ‹
      </PlainButton>
      <Plane aria-live="polite">
        {plane ? `${plane.axis.toUpperCase()} = ${showQuantity(plane.at, unit, 4)}` : WORDS.allPlanes}
      </Plane>
      <PlainButton aria-label={WORDS.bringTheNextPlaneForward} aria-keyshortcuts="]" onPress={() => controller.view.nextPlane(1)}>
        ›
      </PlainButton>
    </>
  );
}

const Plane = styled.span`
  align-self: center;
`;
