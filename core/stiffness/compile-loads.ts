import type { LineLoad, Load, LoadAxes, Model, PointLoad, StrainLoad, ThermalLoad } from '../model/model';
import { LINE_WIDTH, POINT_WIDTH, STRAIN_WIDTH, type MemberLoadTable, type Structure } from './structure';

type Frame = Pick<Structure, 'names' | 'lengths' | 'axes' | 'memberNodes'>;
type Loads = Pick<Structure, 'nodeLoads' | 'settlements' | 'lineLoads' | 'pointLoads' | 'strains'>;
type Vector = readonly [number, number, number];

/** By table: the row of each load of the model, -1 for loads that are not in it. */
const rowsOf = new WeakMap<MemberLoadTable, Int32Array>();

/** Rows of a member load table before they are sorted. */
class Rows {
  private readonly members: number[] = [];
  /** The place of each row's load among the model's loads; -1 for self weight. */
  private readonly loads: number[] = [];
  private readonly cases: number[] = [];
  private readonly values: number[] = [];
  constructor(private readonly width: number) {}

  add(member: number, loadCase: number, values: readonly number[], load: number): void {
    this.members.push(member);
    this.loads.push(load);
    this.cases.push(loadCase);
    for (const value of values) this.values.push(value);
  }

  /** Sorted by member, in the order of entry within a member. */
  table(members: number, loads: number): MemberLoadTable {
    const rows = new Int32Array(loads).fill(-1);
    const first = new Int32Array(members + 1);
    for (const member of this.members) first[member + 1]!++;
    for (let m = 0; m < members; m++) first[m + 1]! += first[m]!;
    const next = first.slice();
    const cases = new Int32Array(this.members.length);
    const values = new Float64Array(this.values.length);
    this.members.forEach((member, row) => {
      const at = next[member]!++;
      if (this.loads[row]! >= 0) rows[this.loads[row]!] = at;
      cases[at] = this.cases[row]!;
      for (let k = 0; k < this.width; k++) values[at * this.width + k] = this.values[row * this.width + k]!;
    });
    const table = { first, cases, values, width: this.width };
    rowsOf.set(table, rows);
    return table;
  }
}

/** All loads of a model as tables in SI and local axes. `weights`: N/m of each member for a self-weight factor of 1. */
export function compileLoads(model: Model, frame: Frame, nodeIndex: ReadonlyMap<string, number>, weights: Float64Array): Loads {
  const n = frame.names.nodes.length;
  const caseIndex = new Map(frame.names.cases.map((id, i) => [id, i]));
  const alphas = new Map(model.materials.map((material) => [material.id, material.alpha ?? 0]));
  const memberIndex = new Map(frame.names.members.map((id, i) => [id, i]));
  const nodeLoads = new Float64Array(frame.names.cases.length * 6 * n);
  const settlements = new Float64Array(nodeLoads.length);
  const [lines, points, strains] = [new Rows(LINE_WIDTH), new Rows(POINT_WIDTH), new Rows(STRAIN_WIDTH)];

  const addAtNode = (target: Float64Array, load: Load & { node: string }, parts: readonly (number | undefined)[]): void => {
    const o = 6 * (caseIndex.get(load.case)! * n + nodeIndex.get(load.node)!);
    parts.forEach((part, k) => (target[o + k]! += part ?? 0));
  };

  model.cases.forEach((loadCase, c) => {
    const factor = loadCase.selfWeight ?? 0;
    if (factor === 0) return;
    weights.forEach((weight, m) => {
      if (weight === 0) return;
      const load: Vector = [0, -factor * weight, 0];
      lines.add(m, c, lineValues(frame, m, 0, frame.lengths[m]!, load, load, 'global'), -1);
    });
  });
  model.loads.forEach((load, i) => {
    const c = caseIndex.get(load.case)!;
    if (load.type === 'node') addAtNode(nodeLoads, load, [load.fx, load.fy, load.fz, load.mx, load.my, load.mz]);
    else if (load.type === 'settlement') addAtNode(settlements, load, [load.ux, load.uy, load.uz, load.rx, load.ry, load.rz]);
    else {
      const m = memberIndex.get(load.member)!;
      const table = { lineLoads: lines, pointLoads: points, strains }[tableOf(load)];
      table.add(m, c, valuesOf(model, frame, alphas, m, load), i);
    }
  });
  const table = (rows: Rows): MemberLoadTable => rows.table(frame.names.members.length, model.loads.length);
  return { nodeLoads, settlements, lineLoads: table(lines), pointLoads: table(points), strains: table(strains) };
}

type MemberLoad = LineLoad | PointLoad | StrainLoad | ThermalLoad;
type TableName = 'lineLoads' | 'pointLoads' | 'strains';

const tableOf = ({ type }: MemberLoad): TableName =>
  type === 'line' ? 'lineLoads' : type === 'point' ? 'pointLoads' : 'strains';

function valuesOf(
  model: Model,
  frame: Frame,
  alphas: ReadonlyMap<string, number>,
  m: number,
  load: MemberLoad,
): readonly number[] {
  if (load.type === 'point') return pointValues(frame, m, load);
  if (load.type === 'line') return ofLineLoad(frame, m, load);
  return strainValues(model, frame, alphas, m, load);
}

/**
 * The tables of `former` with the rows written anew that changed, where only the sizes and places of loads on members differ and
 * nothing else of the model; undefined where more does. Edits keep the loads that they do not touch.
 */
export function recompileLoads(
  model: Model,
  former: { readonly model: Model; readonly structure: Structure },
): Loads | undefined {
  const before = former.model;
  const { structure } = former;
  if (model.cases !== before.cases || model.gravity !== before.gravity || model.loads.length !== before.loads.length)
    return undefined;
  const { nodeLoads, settlements, lineLoads, pointLoads, strains } = structure;
  const tables = { lineLoads, pointLoads, strains };
  let alphas: Map<string, number> | undefined;
  let members: Map<string, number> | undefined;
  for (let i = 0; i < model.loads.length; i++) {
    const load = model.loads[i]!;
    const old = before.loads[i]!;
    if (load === old) continue;
    if (!('member' in load) || !('member' in old)) return undefined;
    if (load.member !== old.member || load.case !== old.case || tableOf(load) !== tableOf(old)) return undefined;
    const name = tableOf(load);
    const row = rowsOf.get(structure[name])?.[i] ?? -1;
    if (row < 0) return undefined;
    members ??= new Map(structure.names.members.map((id, m) => [id, m]));
    alphas ??= new Map(model.materials.map((material) => [material.id, material.alpha ?? 0]));
    if (tables[name] === structure[name]) {
      tables[name] = { ...structure[name], values: structure[name].values.slice() };
      rowsOf.set(tables[name], rowsOf.get(structure[name])!);
    }
    tables[name].values.set(valuesOf(model, structure, alphas, members.get(load.member)!, load), row * tables[name].width);
  }
  return { nodeLoads, settlements, ...tables };
}

const clamp = (x: number, L: number): number => Math.min(Math.max(x, 0), L);

function pointValues(frame: Frame, m: number, load: PointLoad): number[] {
  const L = frame.lengths[m]!;
  const x = clamp(load.measure === 'length' ? load.at : load.at * L, L);
  const axes = load.axes ?? 'global';
  return [
    x,
    ...toLocal(frame, m, [load.fx ?? 0, load.fy ?? 0, load.fz ?? 0], axes),
    ...toLocal(frame, m, [load.mx ?? 0, load.my ?? 0, load.mz ?? 0], axes),
  ];
}

function ofLineLoad(frame: Frame, m: number, load: LineLoad): number[] {
  const L = frame.lengths[m]!;
  const scale = load.measure === 'length' ? 1 : L;
  const a = clamp((load.from.at ?? 0) * scale, L);
  const b = load.to.at === undefined ? L : clamp(load.to.at * scale, L);
  const at = (end: LineLoad['from']): Vector => [end.wx ?? 0, end.wy ?? 0, end.wz ?? 0];
  return lineValues(frame, m, a, b, at(load.from), at(load.to), load.axes ?? 'global');
}

function lineValues(frame: Frame, m: number, a: number, b: number, from: Vector, to: Vector, axes: LoadAxes): number[] {
  const [qa, qb] = [toLocal(frame, m, from, axes), toLocal(frame, m, to, axes)];
  return [a, b, qa[0], qb[0], qa[1], qb[1], qa[2], qb[2]];
}

/**
 * Components along local x, y and z. A projected intensity acts per metre of the member's shadow on the plane normal to its own
 * direction: the shadow of a unit length along global axis i is √(1 − x_i²).
 */
function toLocal(frame: Frame, m: number, load: Vector, axes: LoadAxes): Vector {
  if (axes === 'local') return load;
  const R = frame.axes;
  const o = 9 * m;
  const [X, Y, Z] =
    axes === 'projected'
      ? [
          load[0] * Math.hypot(R[o + 1]!, R[o + 2]!),
          load[1] * Math.hypot(R[o]!, R[o + 2]!),
          load[2] * Math.hypot(R[o]!, R[o + 1]!),
        ]
      : load;
  const along = (row: number): number => R[row]! * X + R[row + 1]! * Y + R[row + 2]! * Z + 0;
  return [along(o), along(o + 3), along(o + 6)];
}

/** Axial strain and curvatures v″, w″ that the load would cause without restraint. Warmer towards +y bends the member the other way: −α·gradient. */
function strainValues(
  model: Model,
  frame: Frame,
  alphas: ReadonlyMap<string, number>,
  m: number,
  load: ThermalLoad | StrainLoad,
): number[] {
  if (load.type === 'strain') return [load.elongation / frame.lengths[m]!, 0, 0];
  const alpha = alphas.get(model.members[m]!.material) ?? 0;
  return [alpha * (load.uniform ?? 0), -alpha * (load.gradientY ?? 0), -alpha * (load.gradientZ ?? 0)];
}
