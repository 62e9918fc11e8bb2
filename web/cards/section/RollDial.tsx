'use client';

import { memberAxis } from '@rigid-beam/core/quantities/axis-names';
import { useDisplay } from '../../editor/use-editor';
import type { KeyboardEvent, PointerEvent } from 'react';
import styled from 'styled-components';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { centroidOf } from '@rigid-beam/core/sections/centroid';
import { pathOf } from '../../ui/ShapeLines';
import { orientation as WORDS } from './words';

const SIZE = 92;
const MIDDLE = SIZE / 2;
/** Degrees to which the hand is drawn; with Shift every degree counts. */
const STEP = 15;

const Dial = styled.svg`
  flex: none;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 50%;
  cursor: grab;
  touch-action: none;
  &:focus-visible {
    outline: 2px solid var(--focus);
  }
`;

interface RollDialProps {
  readonly shape: Shape | undefined;
  /** Degrees. */
  readonly roll: number;
  readonly onTurn: (roll: number) => void;
  readonly onDone: (roll: number) => void;
}

/** A section seen along its member, from its start to its end, that is turned by dragging or by the arrow keys. */
export function RollDial({ shape, roll, onTurn, onDone }: RollDialProps) {
  const loops = shape ? outlineLoops(shape) : [];
  const { y, z } = shape && loops.length > 0 ? centroidOf(shape) : { y: 0, z: 0 };
  const reach = Math.max(1e-9, ...loops.flatMap((loop) => loop.map((value, i) => Math.abs(value - (i % 2 === 0 ? z : y)))));
  const scale = (0.66 * MIDDLE) / reach;
  /** The angle of the pointer from upright, towards which y turns as it rolls: right-handed about x, clockwise as one looks along it. */
  const angleAt = (event: PointerEvent<SVGSVGElement>): number => {
    const box = event.currentTarget.getBoundingClientRect();
    const angle = (Math.atan2(event.clientX - box.left - MIDDLE, MIDDLE - (event.clientY - box.top)) * 180) / Math.PI;
    const step = event.shiftKey ? 1 : STEP;
    return rounded(Math.round(angle / step) * step);
  };
  const key = (event: KeyboardEvent): void => {
    const way = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onDone(rounded(roll + way * (event.shiftKey ? 1 : STEP)));
  };
  return (
    <Dial
      width={SIZE}
      height={SIZE}
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      role="slider"
      tabIndex={0}
      aria-label={WORDS.dial}
      aria-valuemin={-180}
      aria-valuemax={180}
      aria-valuenow={roll}
      aria-valuetext={WORDS.degrees(roll)}
      onKeyDown={key}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        onTurn(angleAt(event));
      }}
      onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && onTurn(angleAt(event))}
      onPointerUp={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && onDone(angleAt(event))}
    >
      <path d={`M${MIDDLE} 2v6M${MIDDLE} ${SIZE - 2}v-6M2 ${MIDDLE}h6M${SIZE - 2} ${MIDDLE}h-6`} stroke="var(--rule-strong)" />
      <g transform={`rotate(${roll} ${MIDDLE} ${MIDDLE})`}>
        <path
          d={pathOf(
            loops,
            (across) => MIDDLE + (across - z) * scale,
            (up) => MIDDLE - (up - y) * scale,
          )}
          fill="currentColor"
          fillOpacity={0.2}
          fillRule="evenodd"
          stroke="currentColor"
        />
        <path d={`M${MIDDLE} ${MIDDLE}V7l-3 5h6l-3 -5`} stroke="var(--draw-selection)" fill="var(--draw-selection)" />
        <text x={MIDDLE + 4} y={16} fontSize={10} fill="var(--soft)">
          {memberAxis(useDisplay(), 'y').letter}
        </text>
      </g>
    </Dial>
  );
}

/** From −180 to 180. */
const rounded = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;
