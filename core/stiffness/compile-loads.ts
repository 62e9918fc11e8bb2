import { expandLoads, solvedCasesOf } from '../model/loads/expand';
import type {
  LineLoad,
  LoadAxes,
  MemberLoad,
  NodeLoad,
  PointLoad,
  SettlementLoad,
  StrainLoad,
  ThermalLoad,
} from '../model/loads/primitive';
import { endFreedomAt } from '../model/member-ends';
import { isNotional, swayOf } from '../model/loads/notional';
import type { Model } from '../model/model';
import { MemberRows } from './member-rows';
import { NodalRows } from './nodal-table';
import { LINE_WIDTH, LOAD_TABLES, POINT_WIDTH, STRAIN_WIDTH, type MemberLoadTable, type Structure } from './structure';

export type LoadFrame = Pick<Structure, 'names' | 'lengths' | 'axes' | 'memberNodes'>;
export type Loads = Pick<Structure, 'nodeLoads' | 'settlements' | 'lineLoads' | 'pointLoads' | 'strains'>;
type Vector = readonly [number, number, number];

/** All loads of a model as tables in SI and local axes. `weightOf`: N/m of a member for a self-weight factor of 1. */
export function compileLoads(model: Model, frame: LoadFrame, weightOf: (m: number) => number): Loads {
  const nodeIndex = new Map(frame.names.nodes.map((id, i) => [id, i]));
  const caseIndex = new Map(frame.names.cases.map((id, i) => [id, i]));
  const alphas = new Map(model.materials.map((material) => [material.id, material.alpha ?? 0]));
  const memberIndex = new Map(frame.names.members.map((id, i) => [id, i]));
  const [nodeLoads, settlements] = [new NodalRows(frame.names.cases.length), new NodalRows(frame.names.cases.length)];
  const [lines, points, strains] = [new MemberRows(LINE_WIDTH), new MemberRows(POINT_WIDTH), new MemberRows(STRAIN_WIDTH)];

  const addAtNode = (rows: NodalRows, load: NodeLoad | SettlementLoad, parts: readonly (number | undefined)[]): void =>
    rows.add(caseIndex.get(load.case)!, nodeIndex.get(load.node)!, parts);

  solvedCasesOf(model).forEach(({ selfWeight: factor = 0, members: of }, c) => {
    if (factor === 0) return;
    for (let m = 0; m < frame.names.members.length; m++) {
      const weight = of && !of.has(frame.names.members[m]!) ? 0 : weightOf(m);
      if (weight !== 0) lines.add(m, c, weightValues(frame, m, factor * weight), -1);
    }
  });
  // The share of the weight itself; that of the other loads comes with these.
  for (const load of model.loads) {
    if (!isNotional(load)) continue;
    const factor = load.share * (model.cases.find(({ id }) => id === load.of)?.selfWeight ?? 0);
    if (factor === 0) continue;
    const { axis, sense } = swayOf(load.direction);
    for (let m = 0; m < frame.names.members.length; m++) {
      const aside = factor * sense * weightOf(m);
      if (aside === 0) continue;
      const force: Vector = axis === 'x' ? [aside, 0, 0] : [0, 0, aside];
      lines.add(
        m,
        caseIndex.get(load.case)!,
        lineValues(frame, m, { a: 0, b: frame.lengths[m]!, from: force, to: force }, 'global'),
        -1,
      );
    }
  }
  const { loads } = expandLoads(model);
  loads.forEach((load, i) => {
    const c = caseIndex.get(load.case)!;
    if (load.type === 'node') addAtNode(nodeLoads, load, [load.fx, load.fy, load.fz, load.mx, load.my, load.mz]);
    else if (load.type === 'settlement') addAtNode(settlements, load, [load.ux, load.uy, load.uz, load.rx, load.ry, load.rz]);
    else {
      const m = memberIndex.get(load.member)!;
      const table = { lineLoads: lines, pointLoads: points, strains }[tableOf(load)];
      table.add(m, c, valuesOf(model, frame, alphas, m, load), i);
    }
  });
  const table = (rows: MemberRows): MemberLoadTable => rows.table(frame.names.members.length, loads.length);
  return {
    nodeLoads: nodeLoads.table(),
    settlements: settlements.table(),
    lineLoads: table(lines),
    pointLoads: table(points),
    strains: table(strains),
  };
}

export type TableName = (typeof LOAD_TABLES)[number];

export const tableOf = ({ type }: MemberLoad): TableName =>
  type === 'line' ? 'lineLoads' : type === 'point' ? 'pointLoads' : 'strains';

/** The row of a load on member m in its table. */
export function valuesOf(
  model: Model,
  frame: LoadFrame,
  alphas: ReadonlyMap<string, number>,
  m: number,
  load: MemberLoad,
): readonly number[] {
  if (load.type === 'point') return pointValues(frame, m, load);
  if (load.type === 'line') return ofLineLoad(frame, m, load);
  return strainValues(model, frame, alphas, m, load);
}

/** Self weight as a line load: `weight` in N/m, downwards. */
export function weightValues(frame: LoadFrame, m: number, weight: number): readonly number[] {
  const load: Vector = [0, -weight, 0];
  return lineValues(frame, m, { a: 0, b: frame.lengths[m]!, from: load, to: load }, 'global');
}

const clamp = (x: number, L: number): number => Math.min(Math.max(x, 0), L);

function pointValues(frame: LoadFrame, m: number, load: PointLoad): number[] {
  const L = frame.lengths[m]!;
  const x = clamp(load.measure === 'length' ? load.at : load.at * L, L);
  const axes = load.axes ?? 'global';
  return [
    x,
    ...toLocal(frame, m, [load.fx ?? 0, load.fy ?? 0, load.fz ?? 0], axes),
    ...toLocal(frame, m, [load.mx ?? 0, load.my ?? 0, load.mz ?? 0], axes),
  ];
}

function ofLineLoad(frame: LoadFrame, m: number, load: LineLoad): number[] {
  const L = frame.lengths[m]!;
  const scale = load.measure === 'length' ? 1 : L;
  const a = clamp((load.from.at ?? 0) * scale, L);
  const b = load.to.at === undefined ? L : clamp(load.to.at * scale, L);
  const at = (end: LineLoad['from']): Vector => [end.wx ?? 0, end.wy ?? 0, end.wz ?? 0];
  return lineValues(frame, m, { a, b, from: at(load.from), to: at(load.to) }, load.axes ?? 'global');
}

/** A linear intensity between two positions on a member. */
interface Stretch {
  readonly a: number;
  readonly b: number;
  readonly from: Vector;
  readonly to: Vector;
}

function lineValues(frame: LoadFrame, m: number, { a, b, from, to }: Stretch, axes: LoadAxes): number[] {
  const [qa, qb] = [toLocal(frame, m, from, axes), toLocal(frame, m, to, axes)];
  return [a, b, qa[0], qb[0], qa[1], qb[1], qa[2], qb[2]];
}

/**
 * Components along local x, y and z. A projected intensity acts per metre of the member's shadow on the plane normal to its own
 * direction: the shadow of a unit length along global axis i is √(1 − x_i²).
 */
export function toLocal(frame: Pick<LoadFrame, 'axes'>, m: number, load: Vector, axes: LoadAxes): Vector {
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

/** Axial strain and curvatures v″, w″ that the load would cause without restraint, and which joint gives by how much. Warmer towards +y bends the member the other way: −α·gradient. */
function strainValues(
  model: Model,
  frame: LoadFrame,
  alphas: ReadonlyMap<string, number>,
  m: number,
  load: ThermalLoad | StrainLoad,
): number[] {
  if (load.type === 'strain') {
    const { joint, elongation } = load;
    if (!joint) return [elongation / frame.lengths[m]!, 0, 0, 0, 0];
    return [0, 0, 0, endFreedomAt(joint.end, joint.freedom) + 1, elongation];
  }
  const alpha = alphas.get(model.members[m]!.material) ?? 0;
  return [alpha * (load.uniform ?? 0), -alpha * (load.gradientY ?? 0), -alpha * (load.gradientZ ?? 0), 0, 0];
}
