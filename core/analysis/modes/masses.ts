import { STANDARD_GRAVITY, type Model } from '../../model/model';
import { solvedCasesOf } from '../../model/loads/expand';
import type { MassItem } from '../../results/results';
import { massesOf } from '../../stiffness/compile';
import { FREEDOMS, type MemberLoadTable, type Structure } from '../../stiffness/structure';
import type { MassAlong } from './swinging-strand';

/** What swings: by member along it, by node (kg), and what it is made of. */
export interface Masses {
  readonly along: readonly MassAlong[];
  readonly nodes: Float64Array;
  readonly items: readonly MassItem[];
  /** Where loads lift more than there is: no mass. */
  readonly lifted?: { readonly kind: 'member' | 'node'; readonly id: string } | undefined;
}

/** Sums up moments of mass. */
class Gathered {
  mass = 0;
  private readonly moment = [0, 0, 0];

  add(mass: number, at: ArrayLike<number>): void {
    this.mass += mass;
    for (let k = 0; k < 3; k++) this.moment[k]! += mass * at[k]!;
  }

  item(of: MassItem['of']): MassItem {
    const part = (k: number): number => (this.mass === 0 ? 0 : this.moment[k]! / this.mass);
    return { of, mass: this.mass, centre: [part(0), part(1), part(2)] };
  }
}

/**
 * The masses that a model's settings name: the members' own, what cases lay on the structure (their loads downwards, over g, times a factor; sideways and upwards
 * nothing swings, but what lifts is taken off), and what is typed at nodes. What a case has of the members' own weight is not counted twice.
 */
export function massesOfModel(model: Model, s: Structure): Masses {
  const { selfWeight = true, cases = {}, nodes: typed = [] } = model.analysis?.naturalModes ?? {};
  const gravity = model.gravity ?? STANDARD_GRAVITY;
  const massOf = massesOf(model);
  const members = s.lengths.length;
  const placeOn = places(s);
  const items: MassItem[] = [];
  const own = Float64Array.from({ length: members }, (_, m) => (selfWeight ? massOf(m) : 0));
  const along = Array.from(own, (mass) => ({
    own: mass,
    spread: [] as [number, number, number, number][],
    points: [] as [number, number][],
  }));
  const nodes = new Float64Array(s.names.nodes.length);
  if (selfWeight) {
    const gathered = new Gathered();
    own.forEach((mass, m) => gathered.add(mass * s.lengths[m]!, placeOn(m, s.lengths[m]! / 2)));
    items.push(gathered.item('own'));
  }
  const solved = new Map(solvedCasesOf(model).map((one) => [one.id, one]));
  for (const [id, factor] of Object.entries(cases)) {
    const c = s.names.cases.indexOf(id);
    if (c < 0 || factor === 0) continue;
    const part = factor / gravity;
    const gathered = new Gathered();
    const { selfWeight: weight = 0, members: of } = solved.get(id) ?? {};
    eachOf(s.lineLoads, c, (m, values, o) => {
      const [a, b] = [values[o]!, values[o + 1]!];
      const [atA, atB] = [0, 1].map((e) => -part * upwards(s, m, values[o + 2 + e]!, values[o + 4 + e]!, values[o + 6 + e]!)); // oxfmt-ignore
      along[m]!.spread.push([a, b, atA!, atB!]);
      gatherSpread(gathered, placeOn, m, [a, b, atA!, atB!]);
    });
    eachOf(s.pointLoads, c, (m, values, o) => {
      const mass = -part * upwards(s, m, values[o + 1]!, values[o + 2]!, values[o + 3]!);
      if (mass === 0) return;
      along[m]!.points.push([values[o]!, mass]);
      gathered.add(mass, placeOn(m, values[o]!));
    });
    if (selfWeight && weight !== 0)
      for (let m = 0; m < members; m++) {
        if (own[m] === 0 || (of && !of.has(s.names.members[m]!))) continue;
        const twice = -factor * weight * own[m]!;
        const L = s.lengths[m]!;
        along[m]!.spread.push([0, L, twice, twice]);
        gatherSpread(gathered, placeOn, m, [0, L, twice, twice]);
      }
    const { first, nodes: loaded, values } = s.nodeLoads;
    for (let row = first[c]!; row < first[c + 1]!; row++) {
      const node = loaded[row]!;
      const mass = -part * values[FREEDOMS * row + 1]!;
      nodes[node]! += mass;
      gathered.add(mass, s.coordinates.subarray(3 * node, 3 * node + 3));
    }
    items.push(gathered.item({ case: id }));
  }
  const gathered = new Gathered();
  for (const { node: id, mass } of typed) {
    const node = s.names.nodes.indexOf(id);
    if (node < 0) continue;
    nodes[node]! += mass;
    gathered.add(mass, s.coordinates.subarray(3 * node, 3 * node + 3));
  }
  if (typed.length > 0) items.push(gathered.item('nodes'));
  return { along: along.map((one) => simplified(one)), nodes, items, lifted: liftedIn(s, along, nodes) };
}

/** The same with all that lies along members brought to their nodes, by the lever rule: there it moves every way, and does not turn. */
export function lumpedAtNodes({ along, nodes, ...rest }: Masses, s: Structure): Masses {
  const lumps = nodes.slice();
  along.forEach(({ own, spread, points }, m) => {
    const L = s.lengths[m]!;
    const put = (mass: number, x: number): void => {
      lumps[s.memberNodes[2 * m]!]! += mass * (1 - x / L);
      lumps[s.memberNodes[2 * m + 1]!]! += (mass * x) / L;
    };
    put(own * L, L / 2);
    for (const [a, b, atA, atB] of spread) {
      put((atA * (b - a)) / 2, a + (b - a) / 3);
      put((atB * (b - a)) / 2, b - (b - a) / 3);
    }
    for (const [x, mass] of points) put(mass, x);
  });
  return { ...rest, along: along.map(() => MASSLESS), nodes: lumps };
}

export const MASSLESS: MassAlong = { own: 0, spread: [], points: [] };

/** All that counts, as one. */
export function totalOf(items: readonly MassItem[]): { readonly mass: number; readonly centre: MassItem['centre'] } {
  const all = new Gathered();
  for (const { mass, centre } of items) all.add(mass, centre);
  return all.item('own');
}

/** Where on a member x metres from its start is. */
const places =
  (s: Structure) =>
  (m: number, x: number): number[] => {
    const start = 3 * s.memberNodes[2 * m]!;
    return [0, 1, 2].map((k) => s.coordinates[start + k]! + s.endOffsets[6 * m + k]! + x * s.axes[9 * m + k]!);
  };

function gatherSpread(
  gathered: Gathered,
  placeOn: (m: number, x: number) => number[],
  m: number,
  [a, b, atA, atB]: readonly [number, number, number, number],
): void {
  // A trapezium: as two triangles.
  gathered.add((atA * (b - a)) / 2, placeOn(m, a + (b - a) / 3));
  gathered.add((atB * (b - a)) / 2, placeOn(m, b - (b - a) / 3));
}

function eachOf(
  { first, cases, values, width }: MemberLoadTable,
  c: number,
  work: (m: number, values: Float64Array, o: number) => void,
): void {
  for (let m = 0; m + 1 < first.length; m++)
    for (let i = first[m]!; i < first[m + 1]!; i++) if (cases[i] === c) work(m, values, width * i);
}

/** The part of a force in local axes that acts upwards; what only rounding has of it is nothing. */
function upwards({ axes }: Structure, m: number, x: number, y: number, z: number): number {
  const part = axes[9 * m + 1]! * x + axes[9 * m + 4]! * y + axes[9 * m + 7]! * z;
  return Math.abs(part) < 1e-12 * Math.max(Math.abs(x), Math.abs(y), Math.abs(z)) ? 0 : part;
}

/** What lies all along the member as one, and nothing that is nothing. */
function simplified({ own, spread, points }: MassAlong): MassAlong {
  const by = new Map<string, [number, number, number, number]>();
  for (const [a, b, atA, atB] of spread) {
    const key = `${a} ${b}`;
    const there = by.get(key);
    if (there) [there[2], there[3]] = [there[2] + atA, there[3] + atB];
    else by.set(key, [a, b, atA, atB]);
  }
  // What is only rounding beside what was added up is nothing.
  const size = spread.reduce((most, [, , atA, atB]) => Math.max(most, Math.abs(atA), Math.abs(atB)), 0);
  const left = [...by.values()].filter(([, , atA, atB]) => Math.max(Math.abs(atA), Math.abs(atB)) > 1e-14 * size);
  return { own, spread: left, points };
}

function liftedIn(s: Structure, along: readonly MassAlong[], nodes: Float64Array): Masses['lifted'] {
  for (let m = 0; m < along.length; m++) {
    const { own, spread, points } = along[m]!;
    const size = spread.reduce((most, [, , a, b]) => Math.max(most, Math.abs(a), Math.abs(b)), own);
    const at = (x: number, side: number): number =>
      spread.reduce((sum, [a, b, atA, atB]) => (x + side < a || x + side > b || b <= a ? sum : sum + atA + ((atB - atA) * (x - a)) / (b - a)), own); // oxfmt-ignore
    const near = 1e-9 * s.lengths[m]!;
    const places = [0, s.lengths[m]!, ...spread.flatMap(([a, b]) => [a, b])];
    const isLifted = places.some((x) => [near, -near].some((side) => x + side > 0 && x + side < s.lengths[m]! && at(x, side) < -1e-9 * size)); // oxfmt-ignore
    if (isLifted || points.some(([, mass]) => mass < 0)) return { kind: 'member', id: s.names.members[m]! };
  }
  const node = nodes.findIndex((mass) => mass < 0);
  return node < 0 ? undefined : { kind: 'node', id: s.names.nodes[node]! };
}
