import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import { distance, minus, plus, times, type Point } from '../point';

/** Where a structure stands by now: how its own places become places of the model, and which of its nodes stand elsewhere. */
export interface StandingFrame {
  readonly toModel: (own: Point) => Point;
  /** By node: how far it stands from where its measures put it. */
  readonly off: readonly Point[];
  /** How many do. */
  readonly odd: number;
}

/** Nodes within this distance, metres, stand where they should. */
const NEAR = 1e-6;
const NOWHERE: Point = [0, 0, 0];

/**
 * A structure may have been moved, turned or mirrored as a whole since it was placed: the rigid motion that brings its nodes nearest to
 * where they are (Kabsch, Acta Crystallographica A 32, 1976; mirrored ones included). `now`: undefined of nodes that are no more.
 */
export function standingOf(own: readonly Point[], now: readonly (Point | undefined)[], at: Point): StandingFrame {
  const placed = frameOf((one) => plus(one, at), own, now);
  if (placed.odd === 0) return placed;
  const pairs = own.flatMap((one, i) => (now[i] ? [[one, now[i]] as const] : []));
  const middle = (pick: 0 | 1): Point =>
    times(
      pairs.reduce<Point>((sum, pair) => plus(sum, pair[pick]), NOWHERE),
      1 / pairs.length,
    );
  const [from, to] = [middle(0), middle(1)];
  const H = Matrix.zeros(3, 3);
  for (const [a, b] of pairs) H.add(Matrix.columnVector([...minus(a, from)]).mmul(Matrix.rowVector([...minus(b, to)])));
  const { leftSingularVectors: U, rightSingularVectors: V } = new SingularValueDecomposition(H);
  const R = V.mmul(U.transpose());
  const turned = frameOf(
    (one) => plus(R.mmul(Matrix.columnVector([...minus(one, from)])).to1DArray() as unknown as Point, to),
    own,
    now,
  );
  return turned.odd < placed.odd ? turned : placed;
}

function frameOf(toModel: StandingFrame['toModel'], own: readonly Point[], now: readonly (Point | undefined)[]): StandingFrame {
  const off = own.map((one, i): Point => {
    const is = now[i];
    if (!is) return NOWHERE;
    const should = toModel(one);
    return distance(is, should) < NEAR ? NOWHERE : minus(is, should);
  });
  return { toModel, off, odd: off.filter((one) => one !== NOWHERE).length };
}
