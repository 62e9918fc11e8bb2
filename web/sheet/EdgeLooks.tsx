'use client';

import styled from 'styled-components';
import { useStore } from 'zustand';
import { LOOKS, type Look } from '@rigid-beam/drawing/projection';
import { PlainButton } from '../ui/controls';
import type { SheetController } from './controller';
import { edgeLooks as WORDS } from './words';

/** As the views of a drawing lie round each other: what is seen from above over it, from the side beside it, from the front below. */
const Edge = styled.div`
  position: absolute;
  z-index: 1;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 0.1rem;
  pointer-events: none;
  button {
    pointer-events: auto;
    min-height: 1.5rem;
    min-width: 1.5rem;
    padding: 0 0.3rem;
    background: color-mix(in srgb, var(--paper) 80%, transparent);
    color: var(--soft);
    font-size: 0.72rem;
    letter-spacing: 0.04em;
    text-decoration: none;
  }
  button[aria-pressed='true'] {
    color: var(--ink);
    font-weight: 600;
    box-shadow: inset 0 -2px 0 var(--ink);
  }
  &[data-edge='top'] {
    top: 0;
    left: 50%;
    transform: translateX(-50%);
  }
  &[data-edge='bottom'] {
    bottom: 0;
    left: 50%;
    transform: translateX(-50%);
  }
  &[data-edge='left'] {
    top: 50%;
    left: 0;
    writing-mode: vertical-rl;
    transform: translateY(-50%) rotate(180deg);
  }
  &[data-edge='corner'] {
    top: 0;
    left: 0;
  }
`;

const LOOK_NAMES = Object.keys(LOOKS) as Look[];
const isLook = ({ round, height }: { readonly round: number; readonly height: number }, one: Look): boolean =>
  (LOOKS[one].round - round) % 360 === 0 && LOOKS[one].height === height;

/** Degrees that one press turns the look by, as pixels of a drag. */
const STEP = 37.5;

/** Where a space model is looked at from, along the edges of its drawing: in a line with an axis, from a corner, or turned step by step. */
export function EdgeLooks({ controller }: { readonly controller: SheetController }) {
  // A name and no angles: while the look turns nothing here has to follow.
  const current = useStore(controller.store, ({ look }) => LOOK_NAMES.find((one) => isLook(look, one)));
  const look = (one: Look, words: string) => (
    <PlainButton aria-label={WORDS.seenFrom(words)} aria-pressed={one === current} onPress={() => controller.view.lookAt(one)}>
      {one}
    </PlainButton>
  );
  const turn = (words: string, sign: string, dx: number, dy: number) => (
    <PlainButton aria-label={words} onPress={() => controller.view.turn(dx, dy)}>
      {sign}
    </PlainButton>
  );
  return (
    <div role="toolbar" aria-label={WORDS.lookField}>
      <Edge data-edge="corner">{look('corner', WORDS.aCorner)}</Edge>
      <Edge data-edge="top">{look('plan', 'above')}</Edge>
      <Edge data-edge="left">
        {turn(WORDS.lookFromHigher, '‹', 0, STEP)}
        {look('side', WORDS.theSide)}
        {turn(WORDS.lookFromLower, '›', 0, -STEP)}
      </Edge>
      <Edge data-edge="bottom">
        {turn(WORDS.turnToTheLeft, '‹', STEP, 0)}
        {look('front', WORDS.theFront)}
        {turn(WORDS.turnToTheRight, '›', -STEP, 0)}
      </Edge>
    </div>
  );
}
