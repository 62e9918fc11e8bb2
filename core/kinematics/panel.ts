import { FREEDOMS, type Structure } from '../stiffness/structure';

const MOST = 4000;

/**
 * The four-sided panel whose diagonals change most in a motion: sides are members, or two nodes that stay at rest (the ground); it
 * has no diagonal member. Corners in order round the panel; the first diagonal is the one to brace.
 */
export function findPanel(
  s: Structure,
  members: readonly (readonly number[])[],
  amounts: Float64Array,
): readonly [number, number, number, number] | undefined {
  const moves = (i: number): boolean => [0, 1, 2].some((k) => Math.abs(amounts[FREEDOMS * i + k]!) > 1e-7);
  const neighbours = (i: number): number[] =>
    members[i]!.map((m) => (s.memberNodes[2 * m] === i ? s.memberNodes[2 * m + 1]! : s.memberNodes[2 * m]!));
  const joined = (a: number, b: number): boolean => neighbours(a).includes(b);
  const side = (a: number, b: number): boolean => joined(a, b) || (!moves(a) && !moves(b) && a !== b);
  const moving = s.names.nodes.flatMap((_, i) => (moves(i) ? [i] : [])).slice(0, MOST);

  let best: readonly [number, number, number, number] | undefined;
  let most = 1e-6;
  for (const a of moving) {
    const around = neighbours(a);
    for (const b of around)
      for (const d of around) {
        if (b >= d || joined(b, d)) continue;
        // The fourth corner is next to both, or ends the ground between them.
        for (const c of [...neighbours(b), ...neighbours(d)]) {
          if (c === a || c === b || c === d || !side(c, b) || !side(c, d) || joined(a, c) || isStraight(s, b, a, d)) continue;
          const change = Math.abs(strainRate(s, amounts, a, c)) + Math.abs(strainRate(s, amounts, b, d));
          if (change > most) [best, most] = [[a, b, c, d], change];
        }
      }
  }
  return best;
}

/** Rate of change of the distance between two nodes. */
function strainRate(s: Structure, amounts: Float64Array, a: number, b: number): number {
  let [along, size] = [0, 0];
  for (let k = 0; k < 3; k++) {
    const x = s.coordinates[3 * b + k]! - s.coordinates[3 * a + k]!;
    along += x * (amounts[FREEDOMS * b + k]! - amounts[FREEDOMS * a + k]!);
    size += x * x;
  }
  return size === 0 ? 0 : along / Math.sqrt(size);
}

function isStraight(s: Structure, a: number, b: number, c: number): boolean {
  const u = [0, 1, 2].map((k) => s.coordinates[3 * b + k]! - s.coordinates[3 * a + k]!) as [number, number, number];
  const v = [0, 1, 2].map((k) => s.coordinates[3 * c + k]! - s.coordinates[3 * b + k]!) as [number, number, number];
  const cross = Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]);
  return cross < 1e-6 * Math.hypot(...u) * Math.hypot(...v);
}
