'use client';

import { sectionSymbol } from '@rigid-beam/core/quantities/axis-names';
import styled from 'styled-components';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { unitOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import type { CatalogueShape } from '@rigid-beam/core/sections/catalogue/family';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { PropertyList } from '../../ui/PropertyList';
import { DimensionLine, pathOf, type Span } from '../../ui/ShapeLines';
import { shapeSheet as WORDS } from './words';
import type { Catalogue } from '../../editor/catalogue/use-catalogue';

const WIDTH = 236;
const HEIGHT = 150;
/** Room for dimensions beside the shape. */
const MARGIN = { left: 30, right: 62, top: 24, bottom: 14 };

const Drawing = styled.svg`
  display: block;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 3px;
  text {
    font:
      11px 'IBM Plex Sans Condensed',
      'IBM Plex Sans',
      sans-serif;
    fill: currentColor;
  }
`;

interface ShapeSheetProps {
  readonly catalogue: Catalogue;
  readonly one: CatalogueShape;
  readonly display: DisplayUnits;
}

/** A shape before it is chosen: drawn to scale with its dimensions, and every property of it with its unit. */
export function ShapeSheet({ catalogue, one, display }: ShapeSheetProps) {
  const unit = display.section;
  const powers = ['', '', '²', '³', '⁴'] as const;
  const values = { ...catalogue.listed(one), ...catalogue.plasticOf(one) };
  const { A, Iz, Iy, J, Wz, Wy, Wplz, Wply, mass } = values;
  const rows: readonly (readonly [string, number | undefined, 1 | 2 | 3 | 4])[] = [
    ['A', A, 2],
    ['J', J, 4],
    ['Iz', Iz, 4],
    ['Iy', Iy, 4],
    ['Wz', Wz, 3],
    ['Wy', Wy, 3],
    ['Wplz', Wplz, 3],
    ['Wply', Wply, 3],
    ['iz', Math.sqrt(Iz / A), 1],
    ['iy', Math.sqrt(Iy / A), 1],
  ];
  const symbolOf = (key: string): string => sectionSymbol(key, display).replace(/^Wpl/, 'Wpl,');
  return (
    <>
      <ShapeDrawing shape={one.shape} label={WORDS.drawing(one.designation)} unit={display.deflection} />
      <PropertyList $pairs={2} aria-label={WORDS.properties(one.designation)} role="group">
        {rows.map(([name, value, power]) =>
          value === undefined ? null : (
            <Property
              key={name}
              name={symbolOf(name)}
              value={`${showNumber(inUnit(value, power === 1 ? unit : `${unit}${power}`), 4)} ${unit}${powers[power]}`}
            />
          ),
        )}
      </PropertyList>
      <small>
        {mass === undefined ? '' : `${showQuantity(mass, unitOf('massPerLength', display), 4)} · `}
        {one.family.words}, {one.family.standard}
      </small>
    </>
  );
}

function Property({ name, value }: { readonly name: string; readonly value: string }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className="number">{value}</dd>
    </>
  );
}

interface ShapeDrawingProps {
  readonly shape: Shape;
  readonly label: string;
  readonly unit: string;
}

function ShapeDrawing({ shape, label, unit }: ShapeDrawingProps) {
  const loops = outlineLoops(shape);
  const zs = loops.flatMap((loop) => loop.filter((_, i) => i % 2 === 0));
  const ys = loops.flatMap((loop) => loop.filter((_, i) => i % 2 === 1));
  const [left, right, low, high] = [Math.min(...zs), Math.max(...zs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (WIDTH - MARGIN.left - MARGIN.right) / (right - left),
    (HEIGHT - MARGIN.top - MARGIN.bottom) / (high - low),
  );
  const [midX, midY] = [(MARGIN.left + WIDTH - MARGIN.right) / 2, (MARGIN.top + HEIGHT - MARGIN.bottom) / 2];
  const x = (z: number): number => midX + (z - (left + right) / 2) * scale;
  const y = (up: number): number => midY - (up - (low + high) / 2) * scale;
  const show = (value: number | undefined): string => (value === undefined ? '' : showNumber(inUnit(value, unit), 4));
  const { h, b, d, tw, tf, t, r } = shape;
  const spans: Span[] = [
    { from: [x(left), y(high) - 9], to: [x(right), y(high) - 9], text: show(b ?? d) },
    ...(d === undefined && h !== undefined
      ? [{ from: [x(left) - 9, y(high)], to: [x(left) - 9, y(low)], text: show(h) } as const]
      : []),
  ];
  const notes = [
    tw === undefined ? '' : `tw ${show(tw)}`,
    tf === undefined ? '' : `tf ${show(tf)}`,
    t === undefined ? '' : `t ${show(t)}`,
    r === undefined ? '' : `r ${show(r)}`,
  ].filter(Boolean);
  return (
    <Drawing width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label}>
      <path d={pathOf(loops, x, y)} fill="currentColor" fillOpacity={0.2} fillRule="evenodd" stroke="currentColor" />
      {spans.map((span) => (
        <DimensionLine key={`${span.from.join()} ${span.to.join()}`} {...span} />
      ))}
      {notes.map((note, i) => (
        <text key={note} x={WIDTH - MARGIN.right + 12} y={MARGIN.top + 12 + 15 * i}>
          {note}
        </text>
      ))}
      <text x={WIDTH - 8} y={HEIGHT - 7} textAnchor="end" fillOpacity={0.75}>
        {unit}
      </text>
    </Drawing>
  );
}
