import { diagramOf } from './diagram';
import { evaluate, stationary } from './polynomial';
import { pieceOf, valueIn } from './read';
import type { Solution } from './results';
import { isPlane } from '../stiffness/structure';

/** How far a member bends from the straight line between its own ends, where, and how many times as long it is. */
export interface OwnDeflection {
  readonly x: number;
  readonly size: number;
  readonly span: number;
}

/** The largest such deflection of member m in an outcome of one value, in both directions across it; exact. Undefined where it stays straight. */
export function ownDeflection(solution: Solution, outcome: number, m: number): OwnDeflection | undefined {
  const diagram = diagramOf(solution, outcome, m);
  const { length, first, end, from, to } = diagram;
  const across = isPlane(solution.structure) ? (['v'] as const) : (['v', 'w'] as const);
  const chord = across.map((quantity) => [valueIn(diagram, quantity, 0), valueIn(diagram, quantity, length)] as const);
  let [x, size] = [0, 0];
  for (let k = first; k < end; k++) {
    const piece = to[k]! - from[k]!;
    // In both directions at once: where the sum of the squares is stationary.
    const squares = new Float64Array(2 * DEGREE + 1);
    const relative = across.map((quantity, i) => {
      const [a, b] = chord[i]!;
      const c = new Float64Array(DEGREE + 1);
      c.set(pieceOf(diagram, k, quantity));
      const slope = (b - a) / length;
      c[0]! -= a + slope * from[k]!;
      c[1]! -= slope;
      for (let p = 0; p <= DEGREE; p++) for (let q = 0; q <= DEGREE; q++) squares[p + q]! += c[p]! * c[q]!;
      return c;
    });
    const candidates =
      relative.length === 1 ? stationary(relative[0]!, 0, DEGREE, piece) : stationary(squares, 0, 2 * DEGREE, piece);
    for (const s of [0, ...candidates, piece]) {
      const here = Math.hypot(...relative.map((c) => evaluate(c, 0, DEGREE, s)));
      if (here > size) [x, size] = [from[k]! + s, here];
    }
  }
  return size > NOTHING * length ? { x, size, span: length / size } : undefined;
}

/** Of deflections under linear loads. */
const DEGREE = 5;
/** What is left of a straight line by rounding. */
const NOTHING = 1e-12;
