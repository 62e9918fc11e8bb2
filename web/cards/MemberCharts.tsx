'use client';

import { isRange } from '@rigid-beam/core/combinations/outcome';
import { useId, useState } from 'react';
import styled from 'styled-components';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import {
  inLetterOrder,
  nameOf,
  quantityTable,
  unitOfQuantity,
  isLine,
  type LineQuantity,
  type Quantity,
  type QuantityRow,
  symbolOf,
} from '@rigid-beam/core/results/quantities';
import type { RunReader } from '@rigid-beam/core/results/run-reader';
import type { Solution } from '@rigid-beam/core/results/results';
import { quietValue } from '@rigid-beam/core/results/noise';
import type { Effect } from '@rigid-beam/core/influence/effect';
import { isPlane } from '@rigid-beam/core/stiffness/structure';
import { drawnSide } from '@rigid-beam/drawing/diagram-items';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import { useEditorState } from '../editor/use-editor';
import { InfluenceButton } from './InfluenceButton';
import { capital } from '@rigid-beam/core/capital';
import { PanelSubtitle, Stack } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';
import { Slider } from '../ui/Slider';
import { memberCharts as WORDS } from './words';

const WIDTH = 240;
/** Of the drawing's own units; on the page a chart is as high as its place makes it. */
const HEIGHT = 36;

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

/** Holds what charts are inked with; takes no place. */
const Inks = styled.svg`
  position: absolute;
  width: 0;
  height: 0;
`;

interface MemberChartsProps {
  readonly solution: Solution;
  readonly outcome: number;
  /** The member, or members that follow each other as one line. */
  readonly run: RunReader;
  /** What its beginning is called. */
  readonly begins: string;
  readonly display: DisplayUnits;
  readonly only: readonly Quantity[];
}

const Charts = styled.div`
  display: grid;
  gap: 0.5rem 1.4rem;
`;

/** Some quantities along a member or a run of members, with one cursor through all of them. */
export function MemberCharts({ solution, outcome, run, begins, display, only }: MemberChartsProps) {
  const [ratio, setRatio] = useState(0.5);
  const { length, stretches } = run;
  const face = useEditorState((state) => state.face);
  const axial = useId();
  const acts = solution.outcomes[outcome]!;
  const { structure } = solution;
  const here = stretches.find(({ to }) => ratio * length < to) ?? stretches.at(-1)!;
  const effectAt = (quantity: LineQuantity): Effect => {
    const member = structure.names.members.indexOf(here.member);
    return { kind: 'along', member, at: here.placeOf(ratio * length), quantity };
  };

  return (
    <Stack>
      <PanelSubtitle>{WORDS.alongThe(stretches.length === 1 ? 'member' : WORDS.runNowIn(here.member), acts.id)}</PanelSubtitle>
      <Charts>
        <Inks aria-hidden>
          {/* Compression stands above the axis, tension below, where it is of a moment that sags. */}
          <linearGradient id={axial} gradientUnits="userSpaceOnUse" x1={0} y1={0} x2={0} y2={HEIGHT}>
            <stop offset={0.5} stopColor="var(--draw-compression)" />
            <stop offset={0.5} stopColor="var(--draw-tension)" />
          </linearGradient>
        </Inks>
        {inLetterOrder(only, display).map((quantity) => {
          const found = run.extremes(quantity);
          if (!found) return null;
          const { max, min } = found;
          const { ink } = quantityTable[quantity];
          const side = drawnSide({ quantity: quantity as SheetQuantity, face });
          const symbol = symbolOf(isPlane(structure) ? 'plane' : 'space', quantity, display);
          const colour = ink === 'axial' ? `url(#${axial})` : INKS[ink];
          const name = `${capital(nameOf(structure, quantity, display))} ${symbol}`;
          const unit = unitOfQuantity(quantity, display);
          const size = Math.max(Math.abs(max.value), Math.abs(min.value));
          const value = run.at(quantity, ratio * length)!;
          const words =
            value.max === value.min
              ? showQuantity(value.max, unit)
              : `${showQuantity(value.min, unit)} … ${showQuantity(value.max, unit)}`;
          return (
            <Strip key={quantity} data-quantity={quantity}>
              <figcaption>
                <span>{name}</span>
                <b className="number">
                  {isLine(quantity) ? (
                    <InfluenceButton structure={structure} effect={effectAt(quantity)}>
                      {words}
                    </InfluenceButton>
                  ) : (
                    words
                  )}
                </b>
              </figcaption>
              <svg
                viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                preserveAspectRatio="none"
                role="img"
                aria-label={WORDS.fromTo(
                  name,
                  showQuantity(quietValue(solution, outcome, quantity, min.value), unit),
                  showQuantity(quietValue(solution, outcome, quantity, max.value), unit),
                )}
              >
                {(['max', 'min'] as const)
                  .slice(0, isRange(acts) || quantityTable[quantity].derived?.spreads === true ? 2 : 1)
                  .map((bound) => (
                    <path
                      key={bound}
                      d={curve(run, quantity, bound, size, side)}
                      fill={colour}
                      fillOpacity={0.13}
                      stroke={colour}
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
                  d={stretches
                    .slice(1)
                    .map(({ from }) => `M${(from / length) * WIDTH} 0V${HEIGHT}`)
                    .join('')}
                  stroke="var(--draw-faint)"
                  strokeWidth={0.8}
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
      <Slider label={WORDS.distanceFromTheStart} range={[0, 1]} step={0.005} value={ratio} onChange={setRatio} />
      <QuantityField
        label={WORDS.distanceFromNode(begins)}
        value={ratio * length}
        dimension="length"
        unit={display.length}
        onCommit={(x) => x !== undefined && setRatio(Math.min(Math.max(x / length, 0), 1))}
      />
    </Stack>
  );
}

/** The curve of a run over its axis; it stands upright where a value jumps. */
function curve({ length, stretches }: RunReader, quantity: Quantity, bound: 'max' | 'min', size: number, side: 1 | -1): string {
  const scale = size > 0 ? (-side * (HEIGHT / 2 - 2)) / size : 0;
  const points = stretches.flatMap(
    (stretch) =>
      stretch
        .curve(quantity)
        ?.map((point) => `L${((point.x / length) * WIDTH).toFixed(2)} ${(HEIGHT / 2 + scale * point[bound]).toFixed(2)}`) ?? [],
  );
  return `M0 ${HEIGHT / 2}${points.join('')}L${WIDTH} ${HEIGHT / 2}`;
}
