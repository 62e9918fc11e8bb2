'use client';

import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { centroidOf } from '@rigid-beam/core/sections/centroid';
import { shapeFault } from '@rigid-beam/core/sections/shape-fault';
import { dimensionsOf, kindOf } from '@rigid-beam/core/shapes/dimensions';
import { firstShape } from '@rigid-beam/core/shapes/first-shape';
import { DIMENSION_SYMBOLS } from '@rigid-beam/core/shapes/dimension-symbols';
import type { Dimension, DimensionPlace } from '@rigid-beam/core/shapes/kind';
import { useDisplay } from '../../editor/use-editor';
import { QuantityField } from '../../ui/QuantityField';
import { pathOf } from '../../ui/ShapeLines';
import { layoutOf, type Layout } from './layout';
import { DIMENSION_WORDS, sectionDrawing as WORDS } from './words';

const WIDTH = 238;
const FIELD = { width: 62, height: 22 };
/** Room for dimensions beside the shape. */
const ROOM = { width: WIDTH, left: FIELD.width + 12, right: FIELD.width + 18, top: 30, bottom: 32 };

const Sheet = styled.div`
  position: relative;
  width: ${WIDTH}px;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 3px;
  > svg {
    display: block;
  }
`;

const Place = styled.div`
  position: absolute;
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  gap: 0.2rem;
  width: ${FIELD.width}px;
  > span {
    color: var(--soft);
    font-size: 0.72rem;
  }
  input {
    min-height: ${FIELD.height}px;
    height: ${FIELD.height}px;
    padding: 0 0.2rem;
    border-color: transparent transparent var(--rule-strong);
    border-radius: 0;
    background: transparent;
    text-align: right;
    &:hover,
    &[data-focused] {
      border-color: var(--rule-strong);
      background: var(--panel);
    }
    &[data-invalid] {
      border-color: var(--fault);
    }
  }
  /* What a text means floats over the drawing while one types. */
  [slot='description'] {
    position: absolute;
    top: 100%;
    right: 0;
    z-index: 2;
    padding: 0 0.3rem;
    background: var(--panel);
    border: 1px solid var(--rule-strong);
    white-space: nowrap;
  }
`;

interface SectionDrawingProps {
  readonly shape: Shape;
  readonly onChange: (key: Dimension, value: number | undefined) => void;
  /** Where a dimension stands in the model, where it may be an expression. */
  readonly placeOf?: (key: string) => string;
}

const placesIn = (shape: Shape): readonly DimensionPlace[] => kindOf(shape)?.places(dimensionsOf(shape)) ?? [];

/** A shape drawn to scale, whose dimensions are typed where they stand. */
export function SectionDrawing({ shape, onChange, placeOf }: SectionDrawingProps) {
  const display = useDisplay();
  const places = placesIn(shape);
  const beside = places.filter(({ side }) => side === 'right');
  const height = Math.max(150, beside.length * (FIELD.height + 4) + 8);
  // While its dimensions do not fit together, the shape stands as it was begun, with what is typed beside it.
  const isSound = shapeFault(shape) === undefined;
  const drawn = isSound ? shape : firstShape(shape.type);
  const layout = layoutOf(outlineLoops(drawn), { ...ROOM, height });
  const needs = new Set<string>(kindOf(shape)?.needs);
  const anchors = isSound ? places : placesIn(drawn);
  return (
    <Sheet role="group" aria-label={WORDS.dimensions}>
      <SectionLines shape={drawn} layout={layout} height={height}>
        {anchors.map((place) => (
          <Leader
            key={place.key}
            place={place}
            layout={layout}
            row={beside.findIndex(({ key }) => key === place.key)}
            height={height}
            rows={beside.length}
          />
        ))}
      </SectionLines>
      {places.map((place) => {
        const { key } = place;
        const [left, top] = fieldAt(place, layout, beside.findIndex((one) => one.key === key), beside.length, height); // oxfmt-ignore
        return (
          <Place key={key} style={{ left, top }}>
            <span aria-hidden>{DIMENSION_SYMBOLS[key]}</span>
            <QuantityField
              label={DIMENSION_WORDS[key]}
              hideLabel
              value={shape[key]}
              // A slope is a length over a length.
              dimension={key === 'slope' ? 'number' : 'length'}
              unit={key === 'slope' ? '' : display.deflection}
              {...(!needs.has(key) && { mayBeEmpty: true, placeholder: WORDS.none(key) })}
              place={placeOf?.(key)}
              onCommit={(value) => onChange(key, value)}
            />
          </Place>
        );
      })}
    </Sheet>
  );
}

function fieldAt(
  { side }: DimensionPlace,
  { x, y, box }: Layout,
  row: number,
  rows: number,
  height: number,
): readonly [number, number] {
  // oxfmt-ignore
  const [left, right, low, high] = box;
  const middle = x((left + right) / 2) - FIELD.width / 2;
  if (side === 'left') return [4, y((low + high) / 2) - FIELD.height / 2];
  if (side === 'top') return [middle, 3];
  if (side === 'bottom') return [middle, height - FIELD.height - 3];
  return [WIDTH - FIELD.width - 4, ((row + 0.5) * height) / rows - FIELD.height / 2];
}

interface LeaderProps {
  readonly place: DimensionPlace;
  readonly layout: Layout;
  readonly row: number;
  readonly rows: number;
  readonly height: number;
}

/** The line between a dimension and what it measures. */
function Leader({ place: { side, at }, layout: { x, y, box }, row, rows, height }: LeaderProps) {
  const [left, right, low, high] = box;
  const tick = (tx: number, ty: number): string => `M${tx - 3} ${ty + 3}L${tx + 3} ${ty - 3}`;
  let path = '';
  if (side === 'left') path = `M${x(left) - 8} ${y(high)}V${y(low)}${tick(x(left) - 8, y(high))}${tick(x(left) - 8, y(low))}`;
  else if (at) path = `M${x(at[0])} ${y(at[1])}L${WIDTH - FIELD.width - 8} ${((row + 0.5) * height) / rows}h4`;
  else {
    const level = side === 'top' ? y(high) - 5 : y(low) + 6;
    path = `M${x(left)} ${level}H${x(right)}${tick(x(left), level)}${tick(x(right), level)}`;
  }
  return <path d={path} fill="none" stroke="var(--draw-dimension)" strokeWidth={0.8} />;
}

interface SectionLinesProps {
  readonly shape: Shape;
  readonly layout: Layout;
  readonly height: number;
  readonly children?: ReactNode;
}

/** The lines of a section with its centroid. */
function SectionLines({ shape, layout, height, children }: SectionLinesProps) {
  const { y, z } = centroidOf(shape);
  const [cx, cy] = [layout.x(z), layout.y(y)];
  return (
    <svg width={WIDTH} height={height} viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden>
      <path
        d={pathOf(outlineLoops(shape), layout.x, layout.y)}
        fill="currentColor"
        fillOpacity={0.2}
        fillRule="evenodd"
        stroke="currentColor"
      />
      <path d={`M${cx - 6} ${cy}h12M${cx} ${cy - 6}v12`} stroke="var(--draw-dimension)" fill="none" />
      {children}
    </svg>
  );
}
