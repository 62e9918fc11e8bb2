import { shearParameter } from './member-stiffness';
import { bendingShapes } from './shape-functions';
import { lineLoadAt, memberCount, MEMBER_FREEDOMS, pointLoadAt, type MemberLoadTable, type Structure } from './structure';

/** Gauss–Legendre points on [−1, 1]: three are exact for the quartic that a linear load makes with a cubic shape. */
const GAUSS: readonly (readonly [number, number])[] = [
  [-Math.sqrt(3 / 5), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(3 / 5), 5 / 9],
];

/** Calls `use` with the offset into `values` of each load of member `m` in case `c`. */
export function eachLoad(table: MemberLoadTable, m: number, c: number, use: (offset: number) => void): void {
  for (let i = table.first[m]!; i < table.first[m + 1]!; i++) if (table.cases[i] === c) use(i * table.width);
}

/**
 * p (6): the loads of member m in case c, as forces at its two ends that do the same work on every movement of the ends
 * (the negative of its fixed-end forces). Local axes, N and N·m. Zero where the case does not load the member.
 */
export function equivalentLoads(s: Structure, m: number, c: number): Float64Array {
  const p = new Float64Array(MEMBER_FREEDOMS);
  const L = s.lengths[m]!;
  const [EA, EI, GA] = [s.stiffnesses[4 * m]!, s.stiffnesses[4 * m + 1]!, s.stiffnesses[4 * m + 2]!];
  const phi = shearParameter(EI, GA, L);

  const addForce = (x: number, fx: number, fy: number, mz: number): void => {
    const xi = x / L;
    const { v, rotation } = bendingShapes(xi, L, phi);
    p[0]! += (1 - xi) * fx;
    p[3]! += xi * fx;
    p[1]! += v[0]! * fy + rotation[0]! * mz;
    p[2]! += v[1]! * fy + rotation[1]! * mz;
    p[4]! += v[2]! * fy + rotation[2]! * mz;
    p[5]! += v[3]! * fy + rotation[3]! * mz;
  };

  eachLoad(s.lineLoads, m, c, (o) => {
    const [a, b, qxa, qxb, qya, qyb] = lineLoadAt(s, o);
    for (const [point, weight] of GAUSS) {
      const t = (1 + point) / 2;
      const w = (weight * (b - a)) / 2;
      addForce(a + t * (b - a), w * (qxa + t * (qxb - qxa)), w * (qya + t * (qyb - qya)), 0);
    }
  });
  eachLoad(s.pointLoads, m, c, (o) => {
    const [x, fx, fy, mz] = pointLoadAt(s, o);
    addForce(x, fx, fy, mz);
  });
  eachLoad(s.strains, m, c, (o) => {
    const strain = s.strains.values[o]!;
    const curvature = s.strains.values[o + 1]!;
    p[0]! -= EA * strain;
    p[3]! += EA * strain;
    p[2]! -= EI * curvature;
    p[5]! += EI * curvature;
  });
  return p;
}

/** Whether any load of case c lies on member m. */
function isLoaded(s: Structure, m: number, c: number): boolean {
  let loaded = false;
  for (const table of [s.lineLoads, s.pointLoads, s.strains]) eachLoad(table, m, c, () => (loaded = true));
  return loaded;
}

/** The equivalent loads of every member in case c, found once; undefined where the case leaves a member alone. */
export function memberLoads(s: Structure, c: number): (Float64Array | undefined)[] {
  return Array.from({ length: memberCount(s) }, (_, m) => (isLoaded(s, m, c) ? equivalentLoads(s, m, c) : undefined));
}
