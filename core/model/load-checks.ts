import { categoryOf } from './categories';
import type { Intent } from './edits/intent';
import { isCompound, kindOfLoad } from './loads/compound';
import { barsOf } from './loads/bars';
import { partsOf } from './loads/expand';
import { sizeOfStretch } from './loads/intensities';
import { shapeOf } from './loads/member-shape';
import type { LineLoad, PointLoad } from './loads/primitive';
import { scaledLoad } from './loads/scaled';
import { isPinEnded } from './behaviour';
import type { Load, LoadCase, Model } from './model';
import { times, type Point } from './point';

/** Something about loads that is allowed and yet worth a look: one sentence, what it is about, and what may be done. */
export interface LoadCheck {
  readonly code: string;
  readonly words: string;
  readonly loads: readonly string[];
  readonly remedy?: { readonly words: string; readonly intent: Intent };
}

/** How many times larger than its like a load has to be to be doubted, and how many others make a like. */
const FAR_LARGER = 1000;
const FEW = 3;

/** What of the loads of a model is worth a look. */
export const loadChecks = (model: Model): readonly LoadCheck[] => [
  ...emptyCases(model),
  ...selfWeight(model),
  ...nothingThere(model),
  ...farLarger(model),
  ...bentTrusses(model),
];

const acts = ({ selfWeight = 0 }: LoadCase): boolean => selfWeight !== 0;

function emptyCases({ cases, loads, combinations }: Model): LoadCheck[] {
  if (loads.length === 0) return [];
  const loaded = new Set(loads.map((load) => load.case));
  const named = new Set(combinations.flatMap((one) => (one.type === 'sum' ? Object.keys(one.factors) : one.of)));
  return cases
    .filter((one) => !loaded.has(one.id) && !acts(one))
    .map(({ id }) => ({
      code: 'empty-case',
      words: `Case ${id} has no loads.`,
      loads: [],
      // What combinations name is not taken from them unasked.
      ...(!named.has(id) &&
        cases.length > 1 && { remedy: { words: `Remove ${id}`, intent: { type: 'remove', list: 'cases', keys: [id] } } }),
    }));
}

function selfWeight({ cases, materials, members }: Model): LoadCheck[] {
  const weighing = cases.filter(acts);
  const put = (one: LoadCase, factor: number): Intent => ({
    type: 'put',
    list: 'cases',
    entry: { ...one, selfWeight: factor },
    key: one.id,
  });
  if (weighing.length > 1) {
    const [first, ...others] = weighing;
    return [
      {
        code: 'self-weight-twice',
        words: `Self weight is included in ${weighing.map(({ id }) => id).join(' and in ')}: a combination of them has it ${weighing.length} times.`,
        loads: [],
        remedy: {
          words: `Include it in ${first!.id} alone`,
          intent: {
            type: 'batch',
            intents: others.map((one) => put(one, 0)),
            label: `Include self weight in ${first!.id} alone`,
          },
        },
      },
    ];
  }
  const heavy = new Set(materials.filter(({ density = 0 }) => density > 0).map(({ id }) => id));
  const permanent = cases.find(({ category }) => categoryOf(category).isPermanent);
  if (weighing.length > 0 || !permanent || !members.some(({ material }) => heavy.has(material))) return [];
  return [
    {
      code: 'self-weight-never',
      words: 'No load case includes self weight.',
      loads: [],
      remedy: { words: `Include it in ${permanent.id}`, intent: put(permanent, 1) },
    },
  ];
}

/** The size of a load, and of what kind it is, so that like is held against like. */
function sizeOf(load: Load): { readonly like: string; readonly size: number } {
  const length = (...parts: (number | undefined)[]): number => Math.hypot(...parts.map((part) => part ?? 0));
  if (isCompound(load)) {
    const { dimension, of } = kindOfLoad(load).value;
    return { like: dimension, size: Math.abs(of(load)) };
  }
  switch (load.type) {
    case 'node':
    case 'point': {
      const force = length(load.fx, load.fy, load.fz);
      return force > 0 ? { like: 'force', size: force } : { like: 'couple', size: length(load.mx, load.my, load.mz) };
    }
    case 'line':
      return { like: 'intensity', size: sizeOfStretch(load) };
    case 'thermal':
      return { like: 'temperature', size: length(load.uniform, load.gradientY, load.gradientZ) };
    case 'notional':
      return { like: 'share', size: Math.abs(load.share) };
    case 'strain':
      return { like: 'misfit', size: Math.abs(load.elongation) };
    case 'settlement':
      return { like: 'settlement', size: length(load.ux, load.uy, load.uz, load.rx, load.ry, load.rz) };
  }
}

const removal = (ids: readonly string[]): LoadCheck['remedy'] => ({
  words: ids.length === 1 ? 'Remove it' : 'Remove them',
  intent: { type: 'remove', list: 'loads', keys: ids },
});

const listed = (ids: readonly string[]): string =>
  ids.length === 1
    ? `Load ${ids[0]}`
    : `Loads ${ids.slice(0, 5).join(', ')}${ids.length > 5 ? ` and ${ids.length - 5} more` : ''}`;

/** Loads of no size, and those on nodes that no member meets. */
function nothingThere({ loads, members }: Model): LoadCheck[] {
  const met = new Set(members.flatMap(({ start, end }) => [start, end]));
  const none = loads.filter((load) => sizeOf(load).size === 0).map(({ id }) => id);
  const loose = loads.filter((load) => load.type === 'node' && !met.has(load.node)).map(({ id }) => id);
  return [
    ...(none.length > 0 ? [{ code: 'load-of-nothing', words: `${listed(none)} ${none.length === 1 ? 'has' : 'have'} no size.`, loads: none, remedy: removal(none)! }] : []),
    ...(loose.length > 0 ? [{ code: 'load-on-nothing', words: `${listed(loose)} ${loose.length === 1 ? 'stands' : 'stand'} on a node that no member meets.`, loads: loose, remedy: removal(loose)! }] : []),
  ]; // oxfmt-ignore
}

function farLarger({ loads }: Model): LoadCheck[] {
  const byKind = new Map<string, { readonly load: Load; readonly size: number }[]>();
  for (const load of loads) {
    const { like, size } = sizeOf(load);
    if (size === 0) continue;
    const alike = byKind.get(like) ?? [];
    alike.push({ load, size });
    byKind.set(like, alike);
  }
  return [...byKind.values()].flatMap((all): LoadCheck[] => {
    if (all.length <= FEW) return [];
    const middle = all.map(({ size }) => size).sort((a, b) => a - b)[Math.floor((all.length - 1) / 2)]!;
    const large = all.flatMap(({ load, size }) => (size >= FAR_LARGER * middle ? [load] : []));
    if (large.length === 0) return [];
    const ids = large.map(({ id }) => id);
    const smaller = large.map((load): Intent => {
      const entry = { ...scaledLoad(load, 1 / FAR_LARGER) };
      return { type: 'put', list: 'loads', entry, key: load.id };
    });
    return [
      {
        code: 'far-larger',
        words: `${listed(ids)} ${ids.length === 1 ? 'is' : 'are'} a thousand times larger than others of the kind: look at the unit.`,
        loads: ids,
        remedy: {
          words: ids.length === 1 ? 'Make it a thousand times smaller' : 'Make them a thousand times smaller',
          intent: { type: 'batch', intents: smaller },
        },
      },
    ];
  });
}

/** Loads between the joints of truss members: they bend them, and reach the joints as the shares of a simple beam. */
function bentTrusses(model: Model): LoadCheck[] {
  const trusses = new Set(model.members.filter(isPinEnded).map(({ id }) => id));
  if (trusses.size === 0) return [];
  const bars = barsOf(model);
  const bending = model.loads.flatMap((load) => {
    const parts = (isCompound(load) ? partsOf(load, bars) : 'member' in load ? [load] : []).filter(
      (part): part is LineLoad | PointLoad => part.type === 'line' || part.type === 'point',
    );
    return parts.some(({ member }) => trusses.has(member)) ? [{ load, parts }] : [];
  });
  if (bending.length === 0) return [];
  const ids = bending.map(({ load }) => load.id);
  const shares = bending.flatMap(({ load, parts }) => parts.map((part) => onJoints(part, load, model)));
  const isWhole = shares.every((share) => share !== undefined);
  return [
    {
      code: 'truss-bent',
      words: `${listed(ids)} ${ids.length === 1 ? 'bends a truss member' : 'bend truss members'} between the joints.`,
      loads: ids,
      ...(isWhole && {
        remedy: {
          words: ids.length === 1 ? 'Put it on the joints' : 'Put them on the joints',
          intent: {
            type: 'batch',
            intents: [
              { type: 'remove', list: 'loads', keys: ids },
              ...shares.flat().map((entry): Intent => ({ type: 'put', list: 'loads', entry: entry! })),
            ],
            label: 'Put loads of truss members on their joints',
          },
        },
      }),
    },
  ];
}

/** Forces on both nodes that have the same force and moment as a load in global directions; undefined where that is not told so. */
function onJoints(
  part: LineLoad | PointLoad,
  { case: loadCase }: Load,
  model: Model,
): Readonly<Record<string, unknown>>[] | undefined {
  const shape = shapeOf(model, part.member);
  const member = model.members.find(({ id }) => id === part.member);
  if (!shape || !member || part.axes === 'local' || member.offset) return undefined;
  const scale = part.measure === 'length' ? 1 : shape.length;
  const on = (node: string, force: Point): Readonly<Record<string, unknown>>[] => {
    const parts = (['fx', 'fy', 'fz'] as const).flatMap((key, k) => (force[k] === 0 ? [] : [[key, force[k]] as const]));
    return parts.length === 0 ? [] : [{ type: 'node', case: loadCase, node, ...Object.fromEntries(parts) }];
  };
  if (part.type === 'point') {
    if (part.mx || part.my || part.mz) return undefined;
    const t = (part.at * scale) / shape.length;
    const force: Point = [part.fx ?? 0, part.fy ?? 0, part.fz ?? 0];
    return [...on(member.start, times(force, 1 - t)), ...on(member.end, times(force, t))];
  }
  const [a, b] = [(part.from.at ?? 0) * scale, part.to.at === undefined ? shape.length : part.to.at * scale];
  const h = b - a;
  const seen = (k: number): number => (part.axes === 'projected' ? Math.sqrt(Math.max(0, 1 - shape.axes[k]! ** 2)) : 1);
  const shares = (['wx', 'wy', 'wz'] as const).map((key, k): readonly [number, number] => {
    const [p, q] = [(part.from[key] ?? 0) * seen(k), (part.to[key] ?? 0) * seen(k)];
    const total = ((p + q) / 2) * h;
    const first = p * h * (a / 2 + h / 6) + q * h * (a / 2 + h / 3);
    const far = first / shape.length;
    return [total - far, far];
  });
  const side = (i: 0 | 1): Point => [shares[0]![i], shares[1]![i], shares[2]![i]];
  return [...on(member.start, side(0)), ...on(member.end, side(1))];
}
