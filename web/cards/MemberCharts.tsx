'use client';

import { useState } from 'react';
import styled from 'styled-components';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { enveloped } from '@rigid-beam/core/results/envelope';
import type { LineQuantity } from '@rigid-beam/core/results/quantities';
import { valueAt } from '@rigid-beam/core/results/read';
import { extremes } from '@rigid-beam/core/results/extremes';
import type { Solution } from '@rigid-beam/core/results/results';
import { PanelSubtitle, Stack } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';
import { Slider } from '../ui/Slider';

const WIDTH = 240;
const HEIGHT = 36;
const SAMPLES = 120;

const STRIPS: readonly {
  readonly quantity: LineQuantity;
  readonly name: string;
  readonly ink: string;
  readonly unit: (display: DisplayUnits) => string;
  readonly down: boolean;
}[] = [
  { quantity: 'N', name: 'Axial', ink: 'var(--draw-tension)', unit: (display) => display.force, down: false },
  { quantity: 'Vy', name: 'Shear', ink: 'var(--draw-shear)', unit: (display) => display.force, down: false },
  { quantity: 'Mz', name: 'Moment', ink: 'var(--draw-moment)', unit: (display) => display.moment, down: true },
  { quantity: 'v', name: 'Deflection', ink: 'var(--draw-deflection)', unit: (display) => display.deflection, down: false },
];

const Strip = styled.figure`
  svg {
    display: block;
    width: 100%;
    height: ${HEIGHT}px;
    overflow: visible;
  }
  figcaption {
    display: flex;
    justify-content: space-between;
    font-size: 0.75rem;
    b {
      font-weight: 600;
    }
  }
`;

interface MemberChartsProps {
  readonly solution: Solution;
  readonly outcome: number;
  /** Index of the member. */
  readonly member: number;
  readonly display: DisplayUnits;
}

/** N, V, M and deflection of one member above each other, with one cursor through all of them. */
export function MemberCharts({ solution, outcome, member, display }: MemberChartsProps) {
  const [ratio, setRatio] = useState(0.5);
  const length = solution.structure.lengths[member]!;
  const acts = solution.outcomes[outcome]!;
  const parts = acts.kind === 'envelope' ? acts.parts : [outcome];
  const read = (quantity: LineQuantity, x: number): { max: number; min: number } =>
    enveloped(parts, (part) => valueAt(solution, part, member, quantity, x));

  return (
    <Stack>
      <PanelSubtitle>Along the member · {acts.id}</PanelSubtitle>
      {STRIPS.map(({ quantity, name, ink, unit, down }) => {
        const { max, min } = extremes(solution, outcome, member, quantity);
        const size = Math.max(Math.abs(max.value), Math.abs(min.value));
        const here = read(quantity, ratio * length);
        const words =
          here.max === here.min
            ? showQuantity(here.max, unit(display))
            : `${showQuantity(here.min, unit(display))} … ${showQuantity(here.max, unit(display))}`;
        return (
          <Strip key={quantity}>
            <figcaption>
              <span>{name}</span>
              <b className="number">{words}</b>
            </figcaption>
            <svg
              viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
              preserveAspectRatio="none"
              role="img"
              aria-label={`${name}: from ${showQuantity(min.value, unit(display))} to ${showQuantity(max.value, unit(display))}`}
            >
              {(['max', 'min'] as const).slice(0, acts.kind === 'envelope' ? 2 : 1).map((side) => (
                <path
                  key={side}
                  d={curve((x) => read(quantity, x)[side], length, size, down)}
                  fill={ink}
                  fillOpacity={0.13}
                  stroke={ink}
                  strokeWidth={1.4}
                  vectorEffect="non-scaling-stroke"
                />
              ))}
              <path
                d={`M0 ${HEIGHT / 2}H${WIDTH}`}
                stroke="var(--draw-member)"
                strokeWidth={1}
                vectorEffect="non-scaling-stroke"
              />
              <path
                d={`M${ratio * WIDTH} 0V${HEIGHT}`}
                stroke="var(--draw-selection)"
                strokeWidth={1.2}
                vectorEffect="non-scaling-stroke"
              />
            </svg>
          </Strip>
        );
      })}
      <Slider label="Distance from the start" range={[0, 1]} step={0.005} value={ratio} onChange={setRatio} />
      <QuantityField
        label={`Distance from node ${solution.structure.names.nodes[solution.structure.memberNodes[2 * member]!]}`}
        value={ratio * length}
        dimension="length"
        unit={display.length}
        onCommit={(x) => x !== undefined && setRatio(Math.min(Math.max(x / length, 0), 1))}
      />
    </Stack>
  );
}

function curve(value: (x: number) => number, length: number, size: number, down: boolean): string {
  const scale = size > 0 ? ((down ? 1 : -1) * (HEIGHT / 2 - 2)) / size : 0;
  const points = Array.from(
    { length: SAMPLES + 1 },
    (_, i) => `L${((i / SAMPLES) * WIDTH).toFixed(1)} ${(HEIGHT / 2 + scale * value((i / SAMPLES) * length)).toFixed(2)}`,
  );
  return `M0 ${HEIGHT / 2}${points.join('')}L${WIDTH} ${HEIGHT / 2}`;
}
