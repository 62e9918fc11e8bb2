import { isPinEnded } from '../model/behaviour';
import type { EndFreedom, Model, Support } from '../model/model';
import { gauss } from './gauss';
import { Strut, type Along } from './strut';
import { cross, dot, minus, scaled, size, type Axes, type Vector } from './vectors';

const FREEDOMS = ['ux', 'uy', 'uz', 'rx', 'ry', 'rz'] as const;
const END_FREEDOMS: readonly EndFreedom[] = ['ux', 'uy', 'uz', 'rx', 'my', 'mz'];
const IN_PLANE: readonly number[] = [0, 1, 5];
const SIX = [0, 1, 2, 3, 4, 5];

/** Something known up to the unknowns: its last number, and a factor of each unknown. */
type Sum = ReadonlyMap<number | 'constant', number>;
type Parts = readonly (readonly [part: Sum, factor: number])[];

const constant = (value: number): Sum => new Map([['constant', value]]);

function total(parts: Parts): Sum {
  const sum = new Map<number | 'constant', number>();
  for (const [part, factor] of parts) for (const [key, value] of part) sum.set(key, (sum.get(key) ?? 0) + factor * value);
  return sum;
}

/** Sums that are to be zero, for as many unknowns. */
class Equations {
  private count = 0;
  private readonly sums: Sum[] = [];
  private x: Float64Array = new Float64Array(0);

  unknown = (): Sum => new Map([[this.count++, 1]]);
  isZero = (parts: Parts): void => void this.sums.push(total(parts));

  solve(): void {
    const rows = this.sums.map((sum) => Float64Array.from({ length: this.count }, (_, i) => sum.get(i) ?? 0));
    this.x = gauss(
      rows,
      Float64Array.from(this.sums, (sum) => 0 - (sum.get('constant') ?? 0)),
    );
  }

  value = (sum: Sum): number => {
    let value = 0;
    for (const [key, factor] of sum) value += factor * (key === 'constant' ? 1 : this.x[key]!);
    return value;
  };
}

/**
 * A second path to the same answer that shares no code with the first. No stiffness is formed and nothing condensed: displacements of
 * nodes, forces on the start of every member, displacements of its released ends and the forces of supports are unknowns of one dense
 * system: members integrated along their length from the start, springs at their ends, supports, balance of nodes. Gauss with full
 * pivoting. Slow, for tests. Reads frame and truss members under loads of every kind, all of one case; in the plane none on its side.
 */
export function denseFrame(model: Model): {
  displacement: (node: string) => number[];
  reaction: (node: string) => number[];
  along: (member: string, x: number) => Along;
} {
  const equations = new Equations();
  const { unknown, isZero } = equations;
  const plane = model.space === 'plane';
  const isIdle = (f: number): boolean => plane && !IN_PLANE.includes(f);
  const displacements = new Map(model.nodes.map(({ id }) => [id, SIX.map((f) => (isIdle(f) ? constant(0) : unknown()))]));
  /** What the nodes exert on all members, and on nothing else but what supports and loads exert on them. */
  const taken = new Map(model.nodes.map(({ id }) => [id, SIX.map((): (readonly [Sum, number])[] => [])]));

  const members = model.members.map((member) => {
    const strut = new Strut(model, member);
    const idle = (f: number): boolean => isIdle(f) || (f === 3 && !strut.twists);
    const starting = SIX.map((f) => (idle(f) ? constant(0) : unknown()));
    const none = SIX.map(() => 0);
    const unit = (i: number): number[] => none.map((_, j) => (i === j ? 1 : 0));
    /** Displacements of the end, then forces on it. */
    const end = (forces: readonly number[], moves: readonly number[], loads: 'none' | 'all'): number[] => {
      const { u, v, w, turns, N, Vy, Vz, T, My, Mz } = strut.at(forces, moves, strut.L, loads);
      return [u, v, w, ...turns, N, -Vy, -Vz, T, -My, Mz];
    };
    const loaded = end(none, none, 'all');
    const byForce = SIX.map((i) => end(unit(i), none, 'none'));
    const byMovement = SIX.map((i) => end(none, unit(i), 'none'));

    const joint = (side: 'start' | 'end', e: 0 | 1, forces: readonly Sum[]): Sum[] =>
      END_FREEDOMS.map((key, f) => {
        const axis = strut.R[f % 3]!;
        const turned = cross(strut.endOffsets[e]!, axis);
        // How much of each freedom of the node moves the arm's tip along the axis, and so feels a force there.
        const shares = f < 3 ? [...axis, ...turned] : [0, 0, 0, ...axis];
        shares.forEach((share, i) => taken.get(member[side])![i]!.push([forces[f]!, share]));
        const tied = total(shares.map((share, i) => [displacements.get(member[side])![i]!, share]));
        const hinged = isPinEnded(member) && f > 3;
        const release = hinged ? 'free' : (member.releases?.[side]?.[key] ?? 'fixed');
        if (release === 'fixed' || isIdle(f)) return tied;
        const own = unknown();
        const spring = release === 'free' ? 0 : release;
        const gives = model.loads.reduce(
          (sum, load) =>
            load.type === 'strain' && load.member === member.id && load.joint?.end === side && load.joint.freedom === key
              ? sum + load.elongation
              : sum,
          0,
        );
        isZero([[forces[f]!, 1], [own, spring], [tied, -spring], [constant(gives), spring]]); // oxfmt-ignore
        return own;
      });
    const start = joint('start', 0, starting);
    const at = (row: number): Sum =>
      total([
        [constant(loaded[row]!), 1],
        ...SIX.map((i): [Sum, number] => [starting[i]!, byForce[i]![row]!]),
        ...SIX.map((i): [Sum, number] => [start[i]!, byMovement[i]![row]!]),
      ]);
    const ending = joint(
      'end',
      1,
      SIX.map((f) => at(6 + f)),
    );
    // Without torsional stiffness, or out of the plane, nothing ties the displacements of the two ends.
    for (const f of SIX) if (!idle(f)) isZero([[ending[f]!, 1], [at(f), -1]]); // oxfmt-ignore
    return { strut, starting, start };
  });

  const reactions = new Map(
    model.nodes.map(({ id }) => {
      const support = model.supports.find(({ node }) => node === id);
      const axes = axesOf(support);
      const own = FREEDOMS.map((key, f) => {
        const restraint = isIdle(f) ? 'free' : (support?.[key] ?? 'free');
        const along = total(axes[f % 3]!.map((x, i) => [displacements.get(id)![(f < 3 ? 0 : 3) + i]!, x]));
        const ground = model.loads.reduce(
          (sum, load) => sum + (load.type === 'settlement' && load.node === id ? (load[key] ?? 0) : 0),
          0,
        );
        if (restraint !== 'fixed') {
          const spring = restraint === 'free' ? 0 : restraint;
          return total([[constant(ground), spring], [along, -spring]]); // oxfmt-ignore
        }
        isZero([[along, 1], [constant(ground), -1]]); // oxfmt-ignore
        return unknown();
      });
      const global = SIX.map((f) => total([0, 1, 2].map((i) => [own[(f < 3 ? 0 : 3) + i]!, axes[i]![f % 3]!])));
      return [id, global];
    }),
  );
  for (const { id } of model.nodes)
    for (const f of SIX) {
      if (isIdle(f)) continue;
      const key = (['fx', 'fy', 'fz', 'mx', 'my', 'mz'] as const)[f]!;
      const load = model.loads.reduce((sum, one) => sum + (one.type === 'node' && one.node === id ? (one[key] ?? 0) : 0), 0);
      isZero([...taken.get(id)![f]!, [reactions.get(id)![f]!, -1], [constant(load), -1]]);
    }
  equations.solve();
  const { value } = equations;
  return {
    displacement: (node) => displacements.get(node)!.map(value),
    reaction: (node) => reactions.get(node)!.map(value),
    along: (id, x) => {
      const { strut, starting, start } = members.find(({ strut: { member } }) => member.id === id)!;
      return strut.at(starting.map(value), start.map(value), x);
    },
  };
}

function axesOf(support: Support | undefined): Axes {
  const { angle = 0, axes } = support ?? {};
  if (axes) {
    const [x, y] = [axes.x, axes.y] as unknown as [Vector, Vector];
    const along = scaled(x, 1 / size(x));
    const rest = minus(y, scaled(along, dot(along, y)));
    const across = scaled(rest, 1 / size(rest));
    return [along, across, cross(along, across)];
  }
  const [c, s] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
  return [[c, s, 0], [-s, c, 0], [0, 0, 1]]; // oxfmt-ignore
}
