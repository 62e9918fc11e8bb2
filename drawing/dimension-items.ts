import type { Model } from '@rigid-beam/core/model/model';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { inUnit } from '@rigid-beam/core/quantities/show';
import type { AxisName } from '@rigid-beam/core/model/point';
import { boundsOf } from './camera';
import { drawnNodes, type Seen } from './geometry';
import { axisAlong } from './projection';
import type { Item, Path, Subject } from './display-list';
import type { View } from './view';

/** Pixels from the structure to the first string, with nothing but supports between them, and with loads and reactions; and between strings. */
const CLEAR = 40;
const CLEAR_OF_LOADS = 94;
const STEP = 24;
/** Bays narrower than this many pixels are drawn without their figure. */
const NARROWEST = 26;
/** And levels lower than this. */
const LOWEST = 15;

/** Distinct positions, ascending; those closer than a millimetre are one. */
export function levels(values: readonly number[]): number[] {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.filter((value, i) => i === 0 || value - sorted[i - 1]! > 1e-3);
}

/** A length as a drawing shows it: in the project's unit, to the millimetre, with no unit behind it (the title block names it). */
export function showDimension(metres: number, unit: string): string {
  const digits: Record<string, number> = { m: 3, mm: 0, cm: 1, ft: 3, in: 2 };
  const value = inUnit(metres, unit).toFixed(digits[unit] ?? 3);
  // Metres keep at least two decimals, so that 3.60 reads as a length and not as a count.
  return unit === 'm' ? value.replace(/0$/, '') : value.includes('.') ? value.replace(/\.?0+$/, '') : value;
}

/** A bay or level between neighbouring stops, where a look shows them in their true length; x, y: its middle at the edge of the structure. */
export interface ShownDimension {
  readonly axis: AxisName;
  readonly way: Way;
  readonly from: number;
  readonly to: number;
  readonly x: number;
  readonly y: number;
}

/** The bays and levels that the dimension strings name, in order. */
export function shownDimensions(model: Model, seen: Seen): ShownDimension[] {
  const box = boundsOf(drawnNodes(model, seen).values());
  if (!box) return [];
  return (['across', 'up'] as const).flatMap((way) => {
    const along = axisAlong(way === 'across' ? seen.projection.right : seen.projection.up);
    if (!along) return [];
    const stops = levels(model.nodes.map((node) => node[along.axis] ?? 0));
    return stops.slice(1).map((to, i) => {
      const from = stops[i]!;
      const middle = (along.sense * (from + to)) / 2;
      const place = way === 'across' ? { x: middle, y: box.bottom } : { x: box.left, y: middle };
      return { axis: along.axis, way, from, to, ...place };
    });
  });
}

/** Dimension strings along the lower and the left edge: bays and levels, and the whole where there is more than one. */
export function dimensionItems(model: Model, view: View): Item[] {
  const box = boundsOf(drawnNodes(model, view).values());
  const [across, upwards] = [axisAlong(view.projection.right), axisAlong(view.projection.up)];
  // In an oblique look no length would stand along an edge of the sheet.
  if (!box || !across || !upwards) return [];
  const unit = lengthUnit(model);
  const place = { edge: { x: box.left, y: box.bottom }, unit, view };
  const stops = (axis: AxisName): number[] => levels(model.nodes.map((node) => node[axis] ?? 0));
  return [...strings('across', across, stops(across.axis), place), ...strings('up', upwards, stops(upwards.axis), place)];
}

type Way = 'across' | 'up';
type Along = NonNullable<ReturnType<typeof axisAlong>>;

interface Place {
  readonly edge: { readonly x: number; readonly y: number };
  readonly unit: string;
  readonly view: View;
}

function strings(way: Way, along: Along, stops: readonly number[], place: Place): Item[] {
  if (stops.length < 2) return [];
  const { loads, reactions } = place.view;
  const clear = loads !== 'none' || reactions ? CLEAR_OF_LOADS : CLEAR;
  const whole = stops.length > 2 ? string(way, along, [stops[0]!, stops[stops.length - 1]!], clear + STEP, place) : [];
  return [...string(way, along, stops, clear, place), ...whole];
}

function string(way: Way, { axis, sense }: Along, stops: readonly number[], reach: number, { edge, unit, view }: Place): Item[] {
  const isAcross = way === 'across';
  const vertex = (at: number, along: number, out: number): number[] =>
    isAcross ? [sense * at, edge.y, sense * along, -reach - out] : [edge.x, sense * at, -reach - out, sense * along];
  const line = (vertices: number[], style: Partial<Path> = {}): Item => ({
    kind: 'path',
    vertices: Float64Array.from(vertices),
    stroke: 'dimension',
    width: 0.9,
    ...style,
  });
  const faint = view.dimensions === 'faint' ? { opacity: 0.55 } : {};
  const items: Item[] = [line([...vertex(stops[0]!, -6, 0), ...vertex(stops[stops.length - 1]!, 6, 0)], faint)];
  stops.forEach((at) => {
    // A slanted tick on the string, and a short witness line towards the structure.
    items.push(
      line([...vertex(at, -4, 4), ...vertex(at, 4, -4)], { width: 1.5, ...faint }),
      line([...vertex(at, 0, 5), ...vertex(at, 0, -9)], { opacity: 0.6 }),
    );
  });
  for (const { from, to, count } of baysOf(stops)) {
    const text = `${count > 1 ? `${count} × ` : ''}${showDimension(to - from, unit)}`;
    // Upright strings have their figures beside them: those need no more room than their height.
    if ((to - from) * count * view.scale < (isAcross ? Math.max(NARROWEST, 6 * text.length) : LOWEST)) continue;
    const subject: Subject = { kind: 'dimension', axis, from, to };
    const middle = vertex((from + to) / 2, 0, 0);
    items.push({
      kind: 'label',
      text,
      x: middle[0]!,
      y: middle[1]!,
      dx: isAcross ? 0 : middle[2]! - 3,
      dy: isAcross ? middle[3]! + 3 : 0,
      away: isAcross ? [0, 1] : [-1, 0],
      ink: 'dimension',
      role: 'dimension',
      rank: 60 + Math.min(30, to - from),
      subject,
    });
  }
  return items;
}

/** Equal bays beside each other: the one in their middle speaks for them; `ends` are where each ends, ascending. */
interface Bays {
  readonly from: number;
  readonly to: number;
  readonly count: number;
  readonly ends: readonly number[];
}

export function baysOf(stops: readonly number[]): Bays[] {
  const bays: Bays[] = [];
  for (let i = 0; i + 1 < stops.length;) {
    const size = stops[i + 1]! - stops[i]!;
    let count = 1;
    while (i + count + 1 < stops.length && Math.abs(stops[i + count + 1]! - stops[i + count]! - size) < EQUAL) count++;
    const middle = i + Math.floor((count - 1) / 2);
    bays.push({ from: stops[middle]!, to: stops[middle + 1]!, count, ends: stops.slice(i + 1, i + count + 1) });
    i += count;
  }
  return bays;
}

/** Metres by which bays may differ and be called equal. */
const EQUAL = 1e-6;
