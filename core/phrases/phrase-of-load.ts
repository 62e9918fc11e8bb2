import { isCompound } from '../model/loads/compound';
import type { Load, Model } from '../model/model';
import { dot, size, times, type Point } from '../model/point';
import { inGlobalAxes } from '../model/support-axes';
import { WAYS, type LoadPhrase, type Measured, type ThermalPart } from './phrase';
import { shapeOf } from '../model/loads/member-shape';
import { wayOf } from './phrase-loads';
import { thermalPartsOf } from './thermal-parts';
import type { AreaLoad } from '../model/loads/area/area';
import { panelOf, pressedAlong } from '../model/loads/area/panel';
import { barsOf } from '../model/loads/bars';
import type { Intensity } from '../model/loads/primitive';

/**
 * The phrase that says a load; undefined where there is none: in oblique directions of space, with a couple beside a force.
 * `loadsOfPhrase` makes the same load of it.
 */
export function phraseOfLoad(load: Load, model: Model): LoadPhrase | undefined {
  switch (load.type) {
    case 'line':
    case 'chain':
      return lineOf(load, model);
    case 'area':
      return pressureOf(load, model);
    case 'node':
      return concentrated(load, model.space, undefined);
    case 'point': {
      const length = shapeOf(model, load.member)?.length;
      if (length === undefined || load.axes === 'local') return undefined;
      const isMiddle = load.measure !== 'length' && load.at === 0.5;
      return concentrated(
        load,
        model.space,
        isMiddle ? { ratios: [0.5] } : { lengths: [load.measure === 'length' ? load.at : load.at * length] },
      );
    }
    case 'thermal':
      return temperatureOf(load, model);
    case 'strain':
      return plain('fit', load.elongation);
    case 'settlement': {
      if (load.rx || load.ry || load.rz) return undefined;
      const support = model.supports.find(({ node }) => node === load.node);
      const moved = told(inGlobalAxes(support, [load.ux ?? 0, load.uy ?? 0, load.uz ?? 0]), model.space);
      return moved && { ...plain('settlement', moved.size), direction: moved.direction };
    }
  }
}

function temperatureOf(load: Extract<Load, { type: 'thermal' }>, model: Model): LoadPhrase | undefined {
  const phrase = plain('temperature', load.uniform ?? 0);
  const gradients = [load.gradientY ?? 0, load.gradientZ ?? 0];
  if (gradients.every((one) => one === 0)) return phrase;
  const axes = shapeOf(model, load.member)?.axes;
  if (!axes) return undefined;
  const across = gradients.flatMap((gradient, k): ThermalPart[] => {
    if (gradient === 0) return [];
    // The warmer side is named.
    const warmer = times([axes[3 + 3 * k]!, axes[4 + 3 * k]!, axes[5 + 3 * k]!], Math.sign(gradient));
    const towards = Object.values(WAYS).toSorted((a, b) => dot(b, warmer) - dot(a, warmer))[0]!;
    return [{ size: Math.abs(gradient), per: 'metre', towards }];
  });
  // On a member that leans both ways the words for its two sides may be taken for each other: then there are none.
  const again = thermalPartsOf({ ...phrase, across }, load.member, model);
  const isSame = typeof again !== 'string' && gradients.every((one, k) => ([again.gradientY, again.gradientZ][k] ?? 0) === one);
  return isSame ? { ...phrase, across } : undefined;
}

/** A name that can stand in a list of a phrase. */
const isPlainName = (id: string): boolean => /^[^\s,]+$/.test(id);

function pressureOf(
  { pressure, direction = 'down', spread, width, members, nodes, to, openings }: AreaLoad,
  model: Model,
): LoadPhrase | undefined {
  if (![...(to ?? []), ...(openings ?? []).flat()].every(isPlainName)) return undefined;
  const measured: Measured = direction === 'down' ? 'member' : direction === 'plan' ? 'plan' : 'across';
  const way = measured === 'across' ? pressedWay(nodes, members, model) : WAYS.down!;
  if (!way) return undefined;
  return {
    ...{ kind: 'area', from: pressure, to: pressure, direction: way, measured },
    ...(spread === 'oneWay' && { spread }),
    ...(width !== undefined && members && { width }),
    ...(spread === 'oneWay' && to && to.length > 0 && { onto: to }),
    ...(openings && openings.length > 0 && { openings }),
  };
}

/** The direction with a word that is nearest to the one in which a panel, or a member, is pressed. */
function pressedWay(
  nodes: readonly string[] | undefined,
  members: readonly string[] | undefined,
  model: Model,
): Point | undefined {
  const axes = members?.[0] === undefined ? undefined : shapeOf(model, members[0])?.axes;
  const pressed = nodes ? pressedAlong(panelOf(nodes, barsOf(model)).normal) : axes && times([axes[3]!, axes[4]!, axes[5]!], -1);
  if (!pressed) return undefined;
  return Object.values(WAYS).toSorted((a, b) => dot(b, pressed) - dot(a, pressed))[0];
}

const plain = (kind: LoadPhrase['kind'], amount: number): LoadPhrase => ({
  kind,
  from: amount,
  to: amount,
  direction: WAYS.down!,
  measured: 'member',
});

/** A vector as a size and a direction that has a word, or in the plane an angle. */
function told(parts: Point, space: Model['space']): { readonly size: number; readonly direction: Point } | undefined {
  const length = size(parts);
  if (length === 0) return { size: 0, direction: WAYS.down! };
  const direction = times(parts, 1 / length);
  const named = Object.values(WAYS).find((way) => dot(way, direction) > 1 - 1e-12);
  if (named) return { size: length, direction: named };
  return space === 'plane' ? { size: length, direction } : undefined;
}

type Concentrated = Extract<Load, { type: 'node' | 'point' }>;

function concentrated(load: Concentrated, space: Model['space'], stations: LoadPhrase['stations']): LoadPhrase | undefined {
  const force: Point = [load.fx ?? 0, load.fy ?? 0, load.fz ?? 0];
  const couple: Point = [load.mx ?? 0, load.my ?? 0, load.mz ?? 0];
  const where = stations && { stations };
  if (size(couple) === 0) {
    const found = told(force, space);
    return found && { ...plain('force', found.size), direction: found.direction, ...where };
  }
  const axis = [0, 1, 2].filter((k) => couple[k] !== 0);
  if (size(force) > 0 || axis.length > 1) return undefined;
  const k = axis[0]!;
  return { ...plain('couple', couple[k]!), direction: [0, 1, 2].map((i) => (i === k ? 1 : 0)) as unknown as Point, ...where };
}

const MEASURED: Readonly<Record<string, Measured>> = { global: 'member', projected: 'plan', local: 'across' };

function lineOf(load: Extract<Load, { type: 'line' | 'chain' }>, model: Model): LoadPhrase | undefined {
  const first = load.type === 'line' ? load.member : load.members[0];
  const shape = first === undefined ? undefined : shapeOf(model, first);
  if (!shape) return undefined;
  const measured = MEASURED[load.axes ?? 'global']!;
  const [from, to] = [partsOf(load.from), partsOf(load.to)];
  const heavier = size(from) >= size(to) ? from : to;
  let found = told(heavier, model.space);
  if (measured === 'across') {
    // Along the member nothing is square to it, and what presses in two planes at once has no word.
    const k = heavier[1] !== 0 ? 1 : 2;
    if (heavier[0] !== 0 || (heavier[1] !== 0 && heavier[2] !== 0)) return undefined;
    const axis = shape.axes.subarray(3 * k, 3 * k + 3);
    const sense = Math.sign(heavier[k]!) || -1;
    const way = Object.values(WAYS).toSorted((a, b) => sense * (along(axis, b) - along(axis, a)))[0]!;
    // On a member that leans both ways the word may mean its other face: then there is none.
    if (wayOf({ direction: way, measured }, shape.axes)[k] !== sense) return undefined;
    found = { size: size(heavier), direction: way };
  }
  if (!found) return undefined;
  const unit = times(heavier, 1 / (size(heavier) || 1));
  const [begins, ends] = [dot(from, unit), dot(to, unit)];
  const isStraight = [from, to].every(
    (parts, i) => size([0, 1, 2].map((k) => parts[k]! - [begins, ends][i]! * unit[k]!) as unknown as Point) < 1e-9 * found.size,
  );
  if (!isStraight || begins * ends < 0) return undefined;
  const span = spanOf(load, shape.length);
  if (span && isCompound(load)) return undefined;
  return { kind: 'line', from: begins, to: ends, direction: found.direction, measured, ...(span && { span }) };
}

const partsOf = ({ wx = 0, wy = 0, wz = 0 }: Intensity): Point => [wx, wy, wz];
const along = (axis: Float64Array, way: Point): number => axis[0]! * way[0] + axis[1]! * way[1] + axis[2]! * way[2];

/** Metres between which a load acts; undefined where that is the whole member. */
function spanOf(
  { from, to, measure }: Extract<Load, { type: 'line' | 'chain' }>,
  length: number,
): readonly [number, number] | undefined {
  const scale = measure === 'length' ? 1 : length;
  const [begins, ends] = [(from.at ?? 0) * scale, to.at === undefined ? length : to.at * scale];
  return begins === 0 && Math.abs(ends - length) <= 1e-9 * length ? undefined : [begins, ends];
}
