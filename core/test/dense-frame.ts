import type { Model } from '../model/model';

/**
 * A second path to the same answer that shares no code with the first: a dense stiffness method, members cut into equal parts,
 * hinges by rotations of their own instead of condensation, solved by Gauss with full pivoting. Slow, for tests.
 * Reads plane models with frame members, hinges, fixed and sprung supports, node loads, global line loads and point forces.
 */
export function denseFrame(model: Model, cuts: number): { movement: (node: string) => [number, number, number] } {
  const index = new Map<string, number>();
  let size = 0;
  const unknown = (key: string): number => {
    const known = index.get(key);
    if (known !== undefined) return known;
    index.set(key, size);
    return size++;
  };
  for (const node of model.nodes) for (const freedom of ['ux', 'uy', 'rz']) unknown(`${node.id} ${freedom}`);
  const entries: [number, number, number][] = [];
  const forces = new Map<number, number>();
  const push = (i: number, value: number): void => void forces.set(i, (forces.get(i) ?? 0) + value);

  for (const member of model.members) {
    const [start, end] = [member.start, member.end].map((id) => model.nodes.find((node) => node.id === id)!) as [
      Model['nodes'][number],
      Model['nodes'][number],
    ];
    const section = model.sections.find(({ id }) => id === member.section)!;
    const { E } = model.materials.find(({ id }) => id === member.material)!;
    const [dx, dy] = [(end.x - start.x) / cuts, (end.y - start.y) / cuts];
    const L = Math.hypot(dx, dy);
    const [c, s] = [dx / L, dy / L];
    const hinged = (side: 'start' | 'end'): boolean => member.behaviour === 'truss' || member.releases?.[side]?.mz === 'free';
    const at = (cut: number): number[] => {
      if (cut === 0)
        return [
          unknown(`${start.id} ux`),
          unknown(`${start.id} uy`),
          unknown(hinged('start') ? `${member.id} start` : `${start.id} rz`),
        ];
      if (cut === cuts)
        return [unknown(`${end.id} ux`), unknown(`${end.id} uy`), unknown(hinged('end') ? `${member.id} end` : `${end.id} rz`)];
      return ['ux', 'uy', 'rz'].map((freedom) => unknown(`${member.id} ${cut} ${freedom}`));
    };
    for (let cut = 0; cut < cuts; cut++) {
      const places = [...at(cut), ...at(cut + 1)];
      const [a, b] = [(E * section.A!) / L, (E * section.Iz!) / L ** 3];
      const local = [
        [a, 0, 0, -a, 0, 0],
        [0, 12 * b, 6 * b * L, 0, -12 * b, 6 * b * L],
        [0, 6 * b * L, 4 * b * L * L, 0, -6 * b * L, 2 * b * L * L],
        [-a, 0, 0, a, 0, 0],
        [0, -12 * b, -6 * b * L, 0, 12 * b, -6 * b * L],
        [0, 6 * b * L, 2 * b * L * L, 0, -6 * b * L, 4 * b * L * L],
      ];
      const turn = [
        [c, s, 0],
        [-s, c, 0],
        [0, 0, 1],
      ];
      const T = (i: number, j: number): number => (Math.floor(i / 3) === Math.floor(j / 3) ? turn[i % 3]![j % 3]! : 0);
      for (let i = 0; i < 6; i++)
        for (let j = 0; j < 6; j++) {
          let sum = 0;
          for (let k = 0; k < 6; k++) for (let l = 0; l < 6; l++) sum += T(k, i) * local[k]![l]! * T(l, j);
          entries.push([places[i]!, places[j]!, sum]);
        }
    }
    for (const load of model.loads) {
      if (load.type !== 'line' || load.member !== member.id) continue;
      for (let cut = 0; cut < cuts; cut++) {
        const places = [...at(cut), ...at(cut + 1)];
        const [wx, wy] = [load.from.wx ?? 0, load.from.wy ?? 0];
        const across = -s * wx + c * wy;
        const couple = (across * L * L) / 12;
        [(wx * L) / 2, (wy * L) / 2, couple, (wx * L) / 2, (wy * L) / 2, -couple].forEach((force, i) => push(places[i]!, force));
      }
    }
  }
  for (const load of model.loads) {
    if (load.type !== 'node') continue;
    push(unknown(`${load.node} ux`), load.fx ?? 0);
    push(unknown(`${load.node} uy`), load.fy ?? 0);
    push(unknown(`${load.node} rz`), load.mz ?? 0);
  }
  const fixed = new Set<number>();
  for (const support of model.supports) {
    for (const freedom of ['ux', 'uy', 'rz'] as const) {
      const restraint = support[freedom] ?? 'free';
      const place = unknown(`${support.node} ${freedom}`);
      if (restraint === 'fixed') fixed.add(place);
      else if (typeof restraint === 'number') entries.push([place, place, restraint]);
    }
  }
  const K = Array.from({ length: size }, () => new Float64Array(size));
  for (const [i, j, value] of entries) if (!fixed.has(i) && !fixed.has(j)) K[i]![j]! += value;
  for (let i = 0; i < size; i++) if (K[i]!.every((value) => value === 0)) K[i]![i] = 1;
  const u = gauss(
    K,
    Float64Array.from({ length: size }, (_, i) => (fixed.has(i) ? 0 : (forces.get(i) ?? 0))),
  );
  return {
    movement: (node) => ['ux', 'uy', 'rz'].map((freedom) => u[index.get(`${node} ${freedom}`)!]!) as [number, number, number],
  };
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
