'use client';

import styled from 'styled-components';
import { useStore } from 'zustand';
import { LOOKS, type Look } from '@rigid-beam/drawing/projection';
import { useEditorState } from '../session/use-editor';
import { PlainButton } from '../ui/controls';
import type { SheetController } from './controller';
import { TITLE_BLOCK } from './framing';

const Bar = styled.div`
  position: absolute;
  left: 0.6rem;
  bottom: 0.6rem;
  display: flex;
  flex-wrap: wrap;
  max-width: calc(100% - ${TITLE_BLOCK.width + 24}px);
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 3px;
`;

/** Zoom for those without a wheel, and the looks at a space model. */
export function ViewTools({ controller }: { readonly controller: SheetController }) {
  const space = useEditorState((state) => state.model.space);
  return (
    <Bar role="toolbar" aria-label="View">
      <PlainButton aria-label="Zoom out" onPress={() => controller.view.zoom(1 / 1.4)}>
        −
      </PlainButton>
      <PlainButton aria-label="Zoom in" onPress={() => controller.view.zoom(1.4)}>
        +
      </PlainButton>
      <PlainButton onPress={() => controller.view.showAll()}>Whole structure</PlainButton>
      <PlainButton onPress={() => controller.editor.show({ schedule: 'nodes' })}>Schedules</PlainButton>
      {space === 'space' && <Looks controller={controller} />}
    </Bar>
  );
}

const LOOK_WORDS: Record<Look, string> = { front: 'Front', side: 'Side', plan: 'Above', corner: 'Corner' };

/** Where a space model is looked at from: along an axis, from a corner, or turned step by step. */
function Looks({ controller }: { readonly controller: SheetController }) {
  const look = useStore(controller.store, (state) => state.look);
  const isAt = (one: Look): boolean => (LOOKS[one].round - look.round) % 360 === 0 && LOOKS[one].height === look.height;
  return (
    <>
      {(Object.keys(LOOK_WORDS) as Look[]).map((one) => (
        <LookButton key={one} aria-pressed={isAt(one)} onPress={() => controller.view.lookAt(one)}>
          {LOOK_WORDS[one]}
        </LookButton>
      ))}
      <PlainButton aria-label="Turn to the left" onPress={() => controller.view.turn(37.5, 0)}>
        ↶
      </PlainButton>
      <PlainButton aria-label="Turn to the right" onPress={() => controller.view.turn(-37.5, 0)}>
        ↷
      </PlainButton>
      <PlainButton aria-label="Look from higher" onPress={() => controller.view.turn(0, 37.5)}>
        ⤒
      </PlainButton>
      <PlainButton aria-label="Look from lower" onPress={() => controller.view.turn(0, -37.5)}>
        ⤓
      </PlainButton>
    </>
  );
}

const LookButton = styled(PlainButton)`
  &[aria-pressed='true'] {
    font-weight: 600;
    text-decoration: underline;
  }
`;
