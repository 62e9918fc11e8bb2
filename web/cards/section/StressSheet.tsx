'use client';

import { useEffect, useMemo, useState, type PointerEvent } from 'react';
import styled from 'styled-components';
import type { Material, Member, Model } from '@rigid-beam/core/model/model';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import type { Solution } from '@rigid-beam/core/results/results';
import { sectionForces } from '@rigid-beam/core/results/section-forces';
import { equivalent, stressAt, type Stress, type StressField } from '@rigid-beam/core/sections/mesh/stress';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { centroidOf } from '@rigid-beam/core/sections/centroid';
import { useDisplay } from '../../editor/use-editor';
import { stressesIn } from '../../solver/section-client';
import { Columns, Hint, Row, Stack, ToggleButton } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { pathOf } from '../../ui/ShapeLines';
import { Slider } from '../../ui/Slider';
import { layoutOf, type Layout } from './layout';
import { stressSheet as WORDS } from './words';

const ROOM = { width: 238, height: 170, left: 14, right: 14, top: 12, bottom: 12 };
/** Steps of ink from nothing to the largest stress. */
const BANDS = 8;

const Sheet = styled.svg`
  display: block;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 3px;
`;

/** What can be drawn of the stresses: its value at a place, and the inks of its two senses. */
const QUANTITIES = {
  normal: { words: WORDS.normal, of: ({ sigma }: Stress) => sigma, inks: ['var(--draw-compression)', 'var(--draw-tension)'] },
  shear: { words: WORDS.shear, of: ({ tauY, tauZ }: Stress) => Math.hypot(tauY, tauZ), inks: ['', 'var(--draw-shear)'] },
  equivalent: { words: WORDS.equivalent, of: equivalent, inks: ['', 'var(--draw-moment)'] },
} as const;
type Shown = keyof typeof QUANTITIES;

interface StressSheetProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly model: Model;
  readonly member: Member;
  readonly material: Material | undefined;
  readonly shape: Shape;
  /** Metres from the member’s start, where the place is chosen elsewhere. */
  readonly at?: number;
}

/** Stresses over the whole section at a place along a member, and at any point of it. */
export function StressSheet({ solution, outcome, model, member, material, shape, at }: StressSheetProps) {
  const display = useDisplay();
  const m = model.members.findIndex(({ id }) => id === member.id);
  const length = solution.structure.lengths[m] ?? 0;
  const [ratio, setRatio] = useState(0.5);
  const [shown, setShown] = useState<Shown>('normal');
  const [point, setPoint] = useState<readonly [z: number, y: number]>();
  const x = at ?? ratio * length;
  const forces = useMemo(
    () => sectionForces(solution, outcome, m, { member, space: model.space, x }),
    [solution, outcome, m, member, model.space, x],
  );
  const [field, setField] = useState<{ readonly shape: Shape; readonly found: StressField | undefined }>();
  useEffect(() => {
    let isWanted = true;
    void stressesIn(shape, forces).then((found) => isWanted && setField({ shape, found }));
    return () => {
      isWanted = false;
    };
  }, [shape, forces]);

  const unit = display.stress;
  const show = (value: number): string => showQuantity(value, unit, 4);
  /** What is nothing beside the largest is written as nothing. */
  const small = (value: number): string => show(stress && Math.abs(value) < 1e-4 * equivalent(stress) ? 0 : value);
  const found = field?.shape === shape ? field.found : undefined;
  const extremes = useMemo(() => found && extremesOf(found, shown), [found, shown]);
  const here = found && (point ?? extremes!.place);
  const stress = found && here && stressAt(found, here[0], here[1]);
  return (
    <Stack>
      {at === undefined && (
        <Columns>
          <QuantityField
            label={WORDS.from}
            value={x}
            dimension="length"
            unit={display.length}
            onCommit={(value = 0) => setRatio(Math.max(0, Math.min(1, length > 0 ? value / length : 0)))}
          />
          <Slider label={WORDS.from} range={[0, 1]} step={0.01} value={ratio} onChange={setRatio} />
        </Columns>
      )}
      <Row role="group" aria-label={WORDS.shown}>
        {(Object.keys(QUANTITIES) as Shown[]).map((key) => (
          <ToggleButton key={key} isSelected={shown === key} onChange={() => setShown(key)}>
            {QUANTITIES[key].words}
          </ToggleButton>
        ))}
      </Row>
      {!field && <Hint role="status">{WORDS.looking}</Hint>}
      {field && !found && <Hint>{WORDS.onlyNormal}</Hint>}
      {found && extremes && (
        <>
          <StressPicture
            {...{ shape, field: found, shown, extremes }}
            here={here!}
            onPoint={setPoint}
            label={WORDS.drawing(QUANTITIES[shown].words, show(extremes.most), show(extremes.least))}
          />
          <Hint className="number">
            {QUANTITIES[shown].words} {WORDS.extremes(show(extremes.least), show(extremes.most))}
            {material?.fy !== undefined &&
              ` · ${WORDS.yields(showNumber(Math.max(Math.abs(extremes.most), Math.abs(extremes.least)) / material.fy, 2))}`}
          </Hint>
          <Columns>
            {([0, 1] as const).map((k) => (
              <QuantityField
                key={k}
                label={k === 0 ? WORDS.right : WORDS.up}
                value={here![k]}
                dimension="length"
                unit={display.deflection}
                onCommit={(value = 0) => setPoint(k === 0 ? [value, here![1]] : [here![0], value])}
              />
            ))}
          </Columns>
          <Hint className="number" role="status">
            {stress
              ? `σ ${small(stress.sigma)} · τy ${small(stress.tauY)} · τz ${small(stress.tauZ)} · √(σ² + 3τ²) ${small(equivalent(stress))}`
              : WORDS.outside}
          </Hint>
          <Hint>{WORDS.statement}</Hint>
        </>
      )}
    </Stack>
  );
}

interface Extremes {
  readonly least: number;
  readonly most: number;
  /** Where the larger of the two is: z and y. */
  readonly place: readonly [number, number];
}

const stressOf = ({ stresses }: StressField, node: number): Stress => ({
  sigma: stresses[3 * node]!,
  tauY: stresses[3 * node + 1]!,
  tauZ: stresses[3 * node + 2]!,
});

function extremesOf(field: StressField, shown: Shown): Extremes {
  let [least, most, at] = [Infinity, -Infinity, 0];
  let largest = -1;
  for (let node = 0; 2 * node < field.places.length; node++) {
    const value = QUANTITIES[shown].of(stressOf(field, node));
    least = Math.min(least, value);
    most = Math.max(most, value);
    if (Math.abs(value) > largest) [largest, at] = [Math.abs(value), node];
  }
  return { least, most, place: [field.places[2 * at]!, field.places[2 * at + 1]!] };
}

interface StressPictureProps {
  readonly shape: Shape;
  readonly field: StressField;
  readonly shown: Shown;
  readonly extremes: Extremes;
  readonly here: readonly [number, number];
  readonly onPoint: (place: readonly [number, number]) => void;
  readonly label: string;
}

function StressPicture({ shape, field, shown, extremes, here, onPoint, label }: StressPictureProps) {
  const { loops, layout, about } = useMemo(() => {
    const lines = outlineLoops(shape);
    return { loops: lines, layout: layoutOf(lines, ROOM), about: centroidOf(shape) };
  }, [shape]);
  const bands = useMemo(() => bandsOf(field, shown, extremes, layout, about), [field, shown, extremes, layout, about]);
  const point = (event: PointerEvent<SVGSVGElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const [left, , low] = layout.box;
    const z = left + (event.clientX - box.left - layout.x(left)) / layout.scale - about.z;
    const y = low - (event.clientY - box.top - layout.y(low)) / layout.scale - about.y;
    onPoint([z, y]);
  };
  return (
    <Sheet
      width={ROOM.width}
      height={ROOM.height}
      viewBox={`0 0 ${ROOM.width} ${ROOM.height}`}
      role="img"
      aria-label={label}
      onPointerMove={point}
      onPointerDown={point}
    >
      {bands.map(({ ink, opacity, path }) => (
        <path key={`${ink} ${opacity}`} d={path} fill={ink} fillOpacity={opacity} />
      ))}
      <path d={pathOf(loops, layout.x, layout.y)} fill="none" stroke="currentColor" />
      {shown === 'normal' && (
        <path
          d={neutralAxis(field, layout, about)}
          fill="none"
          stroke="var(--draw-text)"
          strokeWidth={1.6}
          strokeDasharray="7 3 2 3"
        />
      )}
      <circle
        cx={layout.x(here[0] + about.z)}
        cy={layout.y(here[1] + about.y)}
        r={3.5}
        fill="var(--draw-paper)"
        stroke="var(--draw-text)"
        strokeWidth={1.4}
      />
    </Sheet>
  );
}

/** Where the normal stress is nothing, as a line through the material; empty where it has one sense throughout. */
function neutralAxis(
  { places, triangles, stresses }: StressField,
  { x, y }: Layout,
  about: { readonly y: number; readonly z: number },
): string {
  const path: string[] = [];
  for (let t = 0; t < triangles.length; t += 3) {
    const met: string[] = [];
    for (let k = 0; k < 3; k++) {
      const [a, b] = [triangles[t + k]!, triangles[t + ((k + 1) % 3)]!];
      const [here, there] = [stresses[3 * a]!, stresses[3 * b]!];
      if (here > 0 === there > 0) continue;
      const part = here / (here - there);
      const between = (axis: 0 | 1): number => places[2 * a + axis]! + part * (places[2 * b + axis]! - places[2 * a + axis]!);
      met.push(`${x(between(0) + about.z).toFixed(1)} ${y(between(1) + about.y).toFixed(1)}`);
    }
    if (met.length === 2) path.push(`M${met[0]}L${met[1]}`);
  }
  return path.join('');
}

/** The triangles of the mesh by how much ink they get. */
function bandsOf(
  { places, triangles, stresses }: StressField,
  shown: Shown,
  { least, most }: Extremes,
  { x, y }: Layout,
  about: { readonly y: number; readonly z: number },
) {
  // oxfmt-ignore
  const { of, inks } = QUANTITIES[shown];
  const largest = Math.max(Math.abs(least), Math.abs(most)) || 1;
  const paths = new Map<number, string[]>();
  for (let t = 0; t < triangles.length; t += 3) {
    let value = 0;
    const corners: string[] = [];
    for (let k = 0; k < 3; k++) {
      const node = triangles[t + k]!;
      value += of({ sigma: stresses[3 * node]!, tauY: stresses[3 * node + 1]!, tauZ: stresses[3 * node + 2]! }) / 3;
      corners.push(`${x(places[2 * node]! + about.z).toFixed(1)} ${y(places[2 * node + 1]! + about.y).toFixed(1)}`);
    }
    const band = Math.max(-BANDS, Math.min(BANDS, Math.round((BANDS * value) / largest)));
    const list = paths.get(band);
    if (list) list.push(`M${corners.join('L')}Z`);
    else paths.set(band, [`M${corners.join('L')}Z`]);
  }
  return [...paths]
    .filter(([band]) => band !== 0)
    .map(([band, list]) => ({ ink: inks[band < 0 ? 0 : 1], opacity: Math.abs(band) / BANDS, path: list.join('') }));
}
