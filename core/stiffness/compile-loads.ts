import type { LineLoad, Load, Model, PointLoad, StrainLoad, ThermalLoad } from '../model/model';
import type { MemberLoadTable, Structure } from './structure';

type Frame = Pick<Structure, 'names' | 'lengths' | 'directions' | 'memberNodes'>;
type Loads = Pick<Structure, 'nodeLoads' | 'settlements' | 'lineLoads' | 'pointLoads' | 'strains'>;

/** Rows of a member load table before they are sorted. */
class Rows {
  private readonly rows: { member: number; case: number; values: readonly number[] }[] = [];
  constructor(private readonly width: number) {}

  add(member: number, loadCase: number, values: readonly number[]): void {
    this.rows.push({ member, case: loadCase, values });
  }

  /** Sorted by member, in the order of entry within a member. */
  table(members: number): MemberLoadTable {
    const first = new Int32Array(members + 1);
    for (const { member } of this.rows) first[member + 1]!++;
    for (let m = 0; m < members; m++) first[m + 1]! += first[m]!;
    const next = first.slice();
    const cases = new Int32Array(this.rows.length);
    const values = new Float64Array(this.rows.length * this.width);
    for (const row of this.rows) {
      const at = next[row.member]!++;
      cases[at] = row.case;
      values.set(row.values, at * this.width);
    }
    return { first, cases, values, width: this.width };
  }
}

/** All loads of a model as tables in SI and local axes. `weights`: N/m of each member for a self-weight factor of 1. */
export function compileLoads(model: Model, frame: Frame, nodeIndex: ReadonlyMap<string, number>, weights: Float64Array): Loads {
  const n = frame.names.nodes.length;
  const caseIndex = new Map(frame.names.cases.map((id, i) => [id, i]));
  const alphas = new Map(model.materials.map((material) => [material.id, material.alpha ?? 0]));
  const memberIndex = new Map(frame.names.members.map((id, i) => [id, i]));
  const nodeLoads = new Float64Array(frame.names.cases.length * 3 * n);
  const settlements = new Float64Array(nodeLoads.length);
  const [lines, points, strains] = [new Rows(6), new Rows(4), new Rows(2)];

  const addAtNode = (target: Float64Array, load: Load & { node: string }, parts: readonly (number | undefined)[]): void => {
    const o = 3 * (caseIndex.get(load.case)! * n + nodeIndex.get(load.node)!);
    parts.forEach((part, k) => (target[o + k]! += part ?? 0));
  };

  model.cases.forEach((loadCase, c) => {
    const factor = loadCase.selfWeight ?? 0;
    if (factor === 0) return;
    weights.forEach((weight, m) => {
      if (weight !== 0)
        lines.add(m, c, lineValues(frame, m, 0, frame.lengths[m]!, [0, -factor * weight], [0, -factor * weight], 'global'));
    });
  });
  for (const load of model.loads) {
    const c = caseIndex.get(load.case)!;
    switch (load.type) {
      case 'node':
        addAtNode(nodeLoads, load, [load.fx, load.fy, load.mz]);
        break;
      case 'settlement':
        addAtNode(settlements, load, [load.ux, load.uy, load.rz]);
        break;
      case 'point':
        points.add(memberIndex.get(load.member)!, c, pointValues(frame, memberIndex.get(load.member)!, load));
        break;
      case 'line':
        lines.add(memberIndex.get(load.member)!, c, ofLineLoad(frame, memberIndex.get(load.member)!, load));
        break;
      case 'thermal':
      case 'strain':
        strains.add(memberIndex.get(load.member)!, c, strainValues(model, frame, alphas, memberIndex.get(load.member)!, load));
        break;
    }
  }
  const m = frame.names.members.length;
  return { nodeLoads, settlements, lineLoads: lines.table(m), pointLoads: points.table(m), strains: strains.table(m) };
}

const clamp = (x: number, L: number): number => Math.min(Math.max(x, 0), L);

function pointValues(frame: Frame, m: number, load: PointLoad): number[] {
  const L = frame.lengths[m]!;
  const x = clamp(load.measure === 'length' ? load.at : load.at * L, L);
  const [fx, fy] = toLocal(frame, m, load.fx ?? 0, load.fy ?? 0, load.axes ?? 'global');
  const sense = (load.axes ?? 'global') === 'global' ? frame.directions[3 * m + 2]! : 1;
  return [x, fx, fy, sense * (load.mz ?? 0)];
}

function ofLineLoad(frame: Frame, m: number, load: LineLoad): number[] {
  const L = frame.lengths[m]!;
  const scale = load.measure === 'length' ? 1 : L;
  const a = clamp((load.from.at ?? 0) * scale, L);
  const b = load.to.at === undefined ? L : clamp(load.to.at * scale, L);
  const at = (end: LineLoad['from']): [number, number] => [end.wx ?? 0, end.wy ?? 0];
  return lineValues(frame, m, a, b, at(load.from), at(load.to), load.axes ?? 'global');
}

function lineValues(
  frame: Frame,
  m: number,
  a: number,
  b: number,
  from: readonly [number, number],
  to: readonly [number, number],
  axes: NonNullable<LineLoad['axes']>,
): number[] {
  const [qxa, qya] = toLocal(frame, m, from[0], from[1], axes);
  const [qxb, qyb] = toLocal(frame, m, to[0], to[1], axes);
  return [a, b, qxa, qxb, qya, qyb];
}

/**
 * Components along local x and y. A projected intensity acts per metre of the member's shadow on the plane normal to its
 * direction: the shadow of a unit length is |sine| for a horizontal load and |cosine| for a vertical one.
 */
function toLocal(frame: Frame, m: number, X: number, Y: number, axes: NonNullable<LineLoad['axes']>): [number, number] {
  if (axes === 'local') return [X, Y];
  const [c, s, sense] = [frame.directions[3 * m]!, frame.directions[3 * m + 1]!, frame.directions[3 * m + 2]!];
  const x = axes === 'projected' ? X * Math.abs(s) : X;
  const y = axes === 'projected' ? Y * Math.abs(c) : Y;
  return [x * c + y * s, sense * (-x * s + y * c)];
}

/** Axial strain and curvature v″ that the load would cause without restraint. Warmer towards +y bends the member the other way: −α·gradient. */
function strainValues(
  model: Model,
  frame: Frame,
  alphas: ReadonlyMap<string, number>,
  m: number,
  load: ThermalLoad | StrainLoad,
): number[] {
  if (load.type === 'strain') return [load.elongation / frame.lengths[m]!, 0];
  const alpha = alphas.get(model.members[m]!.material) ?? 0;
  return [alpha * (load.uniform ?? 0), -alpha * (load.gradientY ?? 0)];
}
