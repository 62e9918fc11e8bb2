'use client';

import { useMemo } from 'react';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { planeWords } from '@rigid-beam/core/quantities/axis-names';
import { NOTHING_HIDDEN } from '@rigid-beam/drawing/geometry';
import { useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { planesOf } from '@rigid-beam/core/model/planes';
import type { WorkPlane } from '@rigid-beam/drawing/projection';
import { PlainButton, Select } from '../ui/controls';
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
      <Hidden />
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

/** What is out of sight is told as long as it is. */
function Hidden() {
  const editor = useEditor();
  const count = useEditorState(({ hidden }) => hidden.size);
  return count === 0 ? null : (
    <PlainButton onPress={() => editor.show({ hidden: NOTHING_HIDDEN })}>{WORDS.hidden(count)}</PlainButton>
  );
}

const idOf = ({ axis, at, tilted }: WorkPlane): string => (tilted ? `through ${tilted.name}` : `${axis} ${at}`);

/** Which frame, truss or floor is brought forward, the rest faded. */
function Planes({ controller }: { readonly controller: SheetController }) {
  const plane = useStore(controller.store, (state) => state.plane);
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const found = useMemo(() => planesOf(model), [model]);
  // A plane that was typed need not hold members.
  const isOwn = plane && !found.some((one) => idOf(one) === idOf(plane));
  const planes: readonly WorkPlane[] = isOwn ? [...found, plane] : found;
  return (
    <>
      <PlainButton aria-label={WORDS.bringThePlaneBeforeIt} aria-keyshortcuts="[" onPress={() => controller.view.nextPlane(-1)}>
        ‹
      </PlainButton>
      <Select
        label={WORDS.planeInFront}
        hideLabel
        choices={[
          { id: '', text: WORDS.allPlanes },
          ...planes.map((one) => ({
            id: idOf(one),
            text: one.tilted ? WORDS.through(one.tilted.name) : planeWords(one, display, 4),
          })),
        ]}
        value={plane ? idOf(plane) : ''}
        onChange={(id) => {
          const chosen = planes.find((one) => idOf(one) === id);
          controller.view.usePlane(
            chosen && { axis: chosen.axis, at: chosen.at, ...(chosen.tilted && { tilted: chosen.tilted }) },
          );
        }}
      />
      <PlainButton aria-label={WORDS.bringTheNextPlaneForward} aria-keyshortcuts="]" onPress={() => controller.view.nextPlane(1)}>
        ›
      </PlainButton>
    </>
  );
}
