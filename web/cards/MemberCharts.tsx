'use client';

import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { nameOf, quantitiesOf, quantityTable, type Quantity, type QuantityRow } from '@rigid-beam/core/results/quantities';
import { memberReader, type Range } from '@rigid-beam/core/results/read-quantity';
import type { Solution } from '@rigid-beam/core/results/results';
import { unitOfQuantity } from '@rigid-beam/drawing/show-quantity-value';
import { capital } from '../ui/capital';
import { PanelSubtitle, Stack } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';
import { Slider } from '../ui/Slider';

const WIDTH = 240;
/** Of the drawing's own units; on the page a chart is as high as its place makes it. */
const HEIGHT = 36;
const SAMPLES = 120;

/** The paper's inks for the kinds of quantities. */
const INKS: Record<QuantityRow['ink'], string> = {
  axial: 'var(--draw-tension)',
  shear: 'var(--draw-shear)',
  moment: 'var(--draw-moment)',
  deflection: 'var(--draw-deflection)',
  stress: 'var(--draw-text)',
};

const Strip = styled.figure`
  svg {
    display: block;
    width: 100%;
    height: ${HEIGHT}px;
    [data-size='large'] & {
      height: 96px;
    }
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
  readonly only?: readonly Quantity[];
  readonly size?: 'small' | 'large';
}

const Charts = styled.div`
  display: grid;
  gap: 0.5rem 1.4rem;
  &[data-size='large'] {
    grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
  }
`;

/** Quantities of one member, all of them or those that are asked for, with one cursor through all of them. */
export function MemberCharts({ solution, outcome, member, display, only, size: shownSize = 'small' }: MemberChartsProps) {
  const [ratio, setRatio] = useState(0.5);
  const length = solution.structure.lengths[member]!;
  const acts = solution.outcomes[outcome]!;
  const { structure } = solution;
  const reader = useMemo(() => memberReader(solution, outcome, member), [solution, outcome, member]);

  return (
    <Stack>
      <PanelSubtitle>Along the member · {acts.id}</PanelSubtitle>
      <Charts data-size={shownSize}>
        {(only ?? quantitiesOf(structure)).map((quantity) => {
          const found = reader.extremes(quantity);
          if (!found) return null;
          const { max, min } = found;
          const { symbol, ink, side } = quantityTable[quantity];
          const name = `${capital(nameOf(structure, quantity))} ${symbol}`;
          const read = (x: number): Range => reader.at(quantity, x)!;
          const unit = unitOfQuantity(quantity, display);
          const size = Math.max(Math.abs(max.value), Math.abs(min.value));
          const here = read(ratio * length);
          const words =
            here.max === here.min
              ? showQuantity(here.max, unit)
              : `${showQuantity(here.min, unit)} … ${showQuantity(here.max, unit)}`;
          return (
            <Strip key={quantity} data-quantity={quantity}>
              <figcaption>
                <span>{name}</span>
                <b className="number">{words}</b>
              </figcaption>
              <svg
                viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                preserveAspectRatio="none"
                role="img"
                aria-label={`${name}: from ${showQuantity(min.value, unit)} to ${showQuantity(max.value, unit)}`}
              >
                {(['max', 'min'] as const)
                  .slice(0, acts.kind === 'envelope' || quantityTable[quantity].derived?.spreads === true ? 2 : 1)
                  .map((bound) => (
                    <path
                      key={bound}
                      d={curve((x) => read(x)[bound], length, size, side)}
                      fill={INKS[ink]}
                      fillOpacity={0.13}
                      stroke={INKS[ink]}
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
      </Charts>
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

function curve(value: (x: number) => number, length: number, size: number, side: 1 | -1): string {
  const scale = size > 0 ? (-side * (HEIGHT / 2 - 2)) / size : 0;
  const points = Array.from(
    { length: SAMPLES + 1 },
    (_, i) => `L${((i / SAMPLES) * WIDTH).toFixed(1)} ${(HEIGHT / 2 + scale * value((i / SAMPLES) * length)).toFixed(2)}`,
  );
  return `M0 ${HEIGHT / 2}${points.join('')}L${WIDTH} ${HEIGHT / 2}`;
}
