import type { Model } from '../model/model';

/** A freedom as a sum of unknowns: pairs of index and factor. */
type Combination = readonly (readonly [number, number])[];
type Vector = readonly [number, number, number];

/**
 * A second path to the same answer that shares no code with the first: every member is cut into equal parts; the stiffness of a part
 * comes from the flexibility of a cantilever, inverted; released ends are unknowns of their own, joined to the node by springs,
 * instead of being condensed; the whole is solved by Gauss with full pivoting. Slow, for tests.
 * Reads frame members with roll, releases, offsets, Iyz and shear areas; fixed and sprung supports along the axes; loads on nodes,
 * and uniform global loads over whole members.
 */
export function denseFrame(model: Model, cuts: number): { movement: (node: string) => number[] } {
  const unknowns = new Map<string, number>();
  const unknown = (key: string): number => {
    const known = unknowns.get(key);
    if (known !== undefined) return known;
    unknowns.set(key, unknowns.size);
    return unknowns.size - 1;
  };
  const nodeFreedoms = (id: string): number[] => ['ux', 'uy', 'uz', 'rx', 'ry', 'rz'].map((key) => unknown(`node ${id} ${key}`));
  model.nodes.forEach(({ id }) => nodeFreedoms(id));
  const energies: { freedoms: readonly Combination[]; k: number[][] }[] = [];
  const work: { freedom: Combination; force: number }[] = [];

  for (const member of model.members) {
    const [from, to] = (['start', 'end'] as const).map((side) => {
      const { x, y, z = 0 } = model.nodes.find(({ id }) => id === member[side])!;
      const [a = 0, b = 0, c = 0] = member.offset?.[side] ?? [];
      return [x + a, y + b, z + c] as Vector;
    }) as [Vector, Vector];
    const R = localAxes(minus(to, from), member.roll ?? 0);
    const L = size(minus(to, from)) / cuts;
    const k = partStiffness(model, member, L);
    const ends = (['start', 'end'] as const).map((side) => endFreedoms(side));
    const joints = Array.from({ length: cuts + 1 }, (_, i): readonly Combination[] => {
      if (i === 0) return ends[0]!;
      if (i === cuts) return ends[1]!;
      return Array.from({ length: 6 }, (_unused, f): Combination => [[unknown(`member ${member.id} cut ${i} ${f}`), 1]]);
    });
    for (let i = 0; i < cuts; i++) energies.push({ freedoms: [...joints[i]!, ...joints[i + 1]!], k });
    for (const load of model.loads) {
      if (load.type !== 'line' || load.member !== member.id) continue;
      const [qx, qy, qz] = R.map((row) => dot(row, [load.from.wx ?? 0, load.from.wy ?? 0, load.from.wz ?? 0])) as [
        number,
        number,
        number,
      ];
      const half = [(qx * L) / 2, (qy * L) / 2, (qz * L) / 2];
      const couples = [0, (-qz * L * L) / 12, (qy * L * L) / 12];
      for (let i = 0; i < cuts; i++) {
        [...half, ...couples].forEach((force, f) => work.push({ freedom: joints[i]![f]!, force }));
        [...half, ...couples.map((x) => -x)].forEach((force, f) => work.push({ freedom: joints[i + 1]![f]!, force }));
      }
    }

    /** The six local freedoms of an end: combinations of the node's, or unknowns of their own where released. */
    function endFreedoms(side: 'start' | 'end'): Combination[] {
      const node = nodeFreedoms(member[side]);
      const [a = 0, b = 0, c = 0] = member.offset?.[side] ?? [];
      return (['ux', 'uy', 'uz', 'rx', 'my', 'mz'] as const).map((key, f): Combination => {
        const row = R[f % 3]!;
        const turned = cross([a, b, c], row);
        const tied: Combination =
          f < 3
            ? [...row.map((x, i) => [node[i]!, x] as const), ...turned.map((x, i) => [node[3 + i]!, x] as const)]
            : row.map((x, i) => [node[3 + i]!, x] as const);
        const hinged = member.behaviour === 'truss' && (key === 'my' || key === 'mz');
        const release = hinged ? 'free' : (member.releases?.[side]?.[key] ?? 'fixed');
        if (release === 'fixed') return tied;
        const own: Combination = [[unknown(`member ${member.id} ${side} ${key}`), 1]];
        const spring = release === 'free' ? 0 : release;
        energies.push({ freedoms: [own, tied], k: [[spring, -spring], [-spring, spring]] }); // prettier-ignore
        return own;
      });
    }
  }
  for (const load of model.loads)
    if (load.type === 'node')
      [load.fx, load.fy, load.fz, load.mx, load.my, load.mz].forEach((force = 0, f) =>
        work.push({ freedom: [[nodeFreedoms(load.node)[f]!, 1]], force }),
      );

  const fixed = new Set<number>();
  for (const support of model.supports)
    (['ux', 'uy', 'uz', 'rx', 'ry', 'rz'] as const).forEach((key, f) => {
      const restraint = support[key] ?? 'free';
      const place = nodeFreedoms(support.node)[f]!;
      if (restraint === 'fixed') fixed.add(place);
      else if (restraint !== 'free') energies.push({ freedoms: [[[place, 1]]], k: [[restraint]] });
    });
  const count = unknowns.size;
  const K = Array.from({ length: count }, () => new Float64Array(count));
  const p = new Float64Array(count);
  for (const { freedoms, k } of energies)
    freedoms.forEach((a, i) =>
      freedoms.forEach((b, j) => {
        const value = k[i]![j]!;
        if (value !== 0) for (const [r, x] of a) for (const [c, y] of b) K[r]![c]! += value * x * y;
      }),
    );
  for (const { freedom, force } of work) for (const [i, x] of freedom) p[i]! += force * x;
  for (let i = 0; i < count; i++) {
    if (!fixed.has(i) && K[i]!.some((value) => value !== 0)) continue;
    for (let j = 0; j < count; j++) K[i]![j] = K[j]![i] = 0;
    K[i]![i] = 1;
    p[i] = 0;
  }
  const u = gauss(K, p);
  return { movement: (node) => nodeFreedoms(node).map((i) => u[i]!) };
}

const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const size = (a: Vector): number => Math.sqrt(dot(a, a));
const cross = (a: Vector, b: Vector): Vector => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const scaled = (a: Vector, s: number): Vector => [a[0] * s, a[1] * s, a[2] * s];

function localAxes(along: Vector, roll: number): [Vector, Vector, Vector] {
  const x = scaled(along, 1 / size(along));
  const up: Vector = Math.hypot(x[0], x[2]) < 1e-6 ? [-1, 0, 0] : [0, 1, 0];
  const rest = minus(up, scaled(x, dot(up, x)));
  const y = scaled(rest, 1 / size(rest));
  const z = cross(x, y);
  const [c, s] = [Math.cos((roll * Math.PI) / 180), Math.sin((roll * Math.PI) / 180)];
  const mix = (a: Vector, p: number, b: Vector, q: number): Vector =>
    [0, 1, 2].map((i) => p * a[i]! + q * b[i]!) as unknown as Vector;
  return [x, mix(y, c, z, s), mix(z, c, y, -s)];
}

/** k of a part of length L: F is what the free end of a cantilever does under unit forces, k = Hᵀ·F⁻¹·H with the statics H. */
function partStiffness(model: Model, member: Model['members'][number], L: number): number[][] {
  const section = model.sections.find(({ id }) => id === member.section)!;
  const { E, G = Infinity } = model.materials.find(({ id }) => id === member.material)!;
  const { A = 0, Iz = 0, Iy = Iz, Iyz = 0, J = 1, Ay, Az } = section;
  const truss = member.behaviour === 'truss';
  const plane = model.space === 'plane';
  const shear = (area: number | undefined): number => (model.analysis?.shearDeformation && area && !truss ? L / (G * area) : 0);
  const det = E * (Iz * Iy - Iyz * Iyz);
  // Curvatures under moments of the two planes: v″ = (Iy·Mz − Iyz·My)/det, w″ = (Iz·My − Iyz·Mz)/det.
  const [vv, vw, ww] = plane ? [1 / (E * Iz), 0, 1 / (E * Iz)] : [Iy / det, -Iyz / det, Iz / det];
  const F = Array.from({ length: 6 }, () => new Float64Array(6));
  F[0]![0] = L / (E * A);
  F[3]![3] = truss || plane ? 1e-3 : L / (G * J);
  // Order uy, uz, ry, rz; w′ = −ry.
  const [t, r, b] = [L ** 3 / 3, L, L ** 2 / 2];
  const fill = (i: number, j: number, value: number): void => void (F[i]![j] = F[j]![i] = value);
  fill(1, 1, vv * t + shear(Ay));
  fill(2, 2, ww * t + shear(Az));
  fill(1, 2, vw * t);
  fill(5, 5, vv * r);
  fill(4, 4, ww * r);
  fill(4, 5, -vw * r);
  fill(1, 5, vv * b);
  fill(2, 4, -ww * b);
  fill(1, 4, -vw * b);
  fill(2, 5, vw * b);
  const stiff = Array.from({ length: 6 }, (_, j) =>
    gauss(
      F.map((row) => row.slice()),
      new Float64Array(6).with(j, 1),
    ),
  );
  if (truss || plane) stiff[3]!.fill(0);
  // Movement of the end beside the rigid movement of the start.
  const H = Array.from({ length: 6 }, (_, i) =>
    Array.from({ length: 12 }, (_u, j): number => (j === i ? -1 : j === i + 6 ? 1 : 0)),
  );
  H[1]![5] = -L;
  H[2]![4] = L;
  const k = Array.from({ length: 12 }, () => new Array<number>(12).fill(0));
  for (let i = 0; i < 12; i++)
    for (let j = 0; j < 12; j++)
      for (let a = 0; a < 6; a++) for (let c = 0; c < 6; c++) k[i]![j]! += H[a]![i]! * stiff[a]![c]! * H[c]![j]!;
  if (plane) for (const f of [2, 3, 4, 8, 9, 10]) for (let j = 0; j < 12; j++) k[f]![j] = k[j]![f] = 0;
  return k;
}

/** Gauss elimination with full pivoting; destroys its input. */
function gauss(A: Float64Array[], b: Float64Array): Float64Array {
  const n = b.length;
  const columns = Array.from({ length: n }, (_, i) => i);
  for (let k = 0; k < n; k++) {
    let [row, column] = [k, k];
    for (let i = k; i < n; i++)
      for (let j = k; j < n; j++) if (Math.abs(A[i]![j]!) > Math.abs(A[row]![column]!)) [row, column] = [i, j];
    [A[k], A[row]] = [A[row]!, A[k]!];
    [b[k], b[row]] = [b[row]!, b[k]!];
    for (const line of A) [line[k], line[column]] = [line[column]!, line[k]!];
    [columns[k], columns[column]] = [columns[column]!, columns[k]!];
    for (let i = k + 1; i < n; i++) {
      const factor = A[i]![k]! / A[k]![k]!;
      if (factor === 0) continue;
      for (let j = k; j < n; j++) A[i]![j]! -= factor * A[k]![j]!;
      b[i]! -= factor * b[k]!;
    }
  }
  const x = new Float64Array(n);
  for (let k = n - 1; k >= 0; k--) {
    let sum = b[k]!;
    for (let j = k + 1; j < n; j++) sum -= A[k]![j]! * x[columns[j]!]!;
    x[columns[k]!] = sum / A[k]![k]!;
  }
  return x;
}
