'use client';

import { Dialog, DialogTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { LOOKS, type Look } from '@rigid-beam/drawing/projection';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { useDisplay, useEditorState } from '../session/use-editor';
import { overFace, PlainButton } from '../ui/controls';
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

/** Zoom for those without a wheel, and the looks at a space model. */
export function ViewTools({ controller }: { readonly controller: SheetController }) {
  const space = useEditorState((state) => state.model.space);
  return (
    <Bar role="toolbar" aria-label="View">
      {space === 'space' && <Planes controller={controller} />}
      {space === 'space' && <Looks controller={controller} />}
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

const LOOK_WORDS: Record<Look, string> = { front: 'Front', side: 'Side', plan: 'Above', corner: 'Corner' };

const LOOK_NAMES = Object.keys(LOOK_WORDS) as Look[];
const isLook = ({ round, height }: { readonly round: number; readonly height: number }, one: Look): boolean =>
  (LOOKS[one].round - round) % 360 === 0 && LOOKS[one].height === height;

/** Where a space model is looked at from: along an axis, from a corner, or turned step by step. */
function Looks({ controller }: { readonly controller: SheetController }) {
  // A name and no angles: while the look turns nothing here has to follow.
  const current = useStore(controller.store, ({ look }) => LOOK_NAMES.find((one) => isLook(look, one)));
  return (
    <DialogTrigger>
      <PlainButton aria-label={`Seen from: ${current ? LOOK_WORDS[current] : 'another side'}`}>
        {current ? LOOK_WORDS[current] : 'Turned'} ▾
      </PlainButton>
      <Popover placement="top end">
        <Over aria-label="Seen from">
          {LOOK_NAMES.map((one) => (
            <LookButton key={one} aria-pressed={one === current} onPress={() => controller.view.lookAt(one)}>
              {LOOK_WORDS[one]}
            </LookButton>
          ))}
          <PlainButton aria-label="Turn to the left" onPress={() => controller.view.turn(37.5, 0)}>
            ↶ Turn left
          </PlainButton>
          <PlainButton aria-label="Turn to the right" onPress={() => controller.view.turn(-37.5, 0)}>
            ↷ Turn right
          </PlainButton>
          <PlainButton aria-label="Look from higher" onPress={() => controller.view.turn(0, 37.5)}>
            ⤒ Higher
          </PlainButton>
          <PlainButton aria-label="Look from lower" onPress={() => controller.view.turn(0, -37.5)}>
            ⤓ Lower
          </PlainButton>
        </Over>
      </Popover>
    </DialogTrigger>
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

const Over = styled(Dialog)`
  display: grid;
  grid-template-columns: repeat(4, auto);
  padding: 0.3rem;
  ${overFace}
`;

const LookButton = styled(PlainButton)`
  &[aria-pressed='true'] {
    font-weight: 600;
    text-decoration: underline;
  }
`;
