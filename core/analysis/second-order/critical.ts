import { maxNorm } from '../../linear-algebra/max-norm';
import type { Kernels } from '../../linear-algebra/kernels';
import { evaluate } from '../../results/polynomial';
import { degreeOf, offsetOf } from '../../results/quantities';
import type { StructuralResponse } from '../../results/results';
import { sumOf } from '../../results/sums';
import { STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import type { System } from '../factorise';
import { unitShape } from '../unit-shape';
import type { Lean } from './along';
import { Columns } from './leaning';
import { Pressing } from './pressing';
import { recoverLeaning } from './recover-leaning';

/** A critical load: by which factor the axial forces of a response, and the shape in which the structure gives way, its largest movement 1 m. */
export interface Critical {
  readonly factor: number;
  readonly shape: StructuralResponse;
}

/** So near a critical factor is bracketed, as part of itself. */
const EXACT = 1e-10;
/** So far under it its shape is read: everything else is this part of it. */
const BELOW = 1e-5;
/** How often the first guess is doubled: beyond that no more modes are looked for. */
const DOUBLED = 12;
const STEPS = 200;

/** What is known at a load factor: how many modes lie under it, and the reciprocal of what a push does, which goes through zero at each. */
interface Known {
  readonly factor: number;
  readonly count: number;
  readonly left: number;
}

/**
 * The first critical factors of the axial forces of a response, each with its shape; of negative factors where `sign` is −1. The number of modes under a factor
 * is counted by negative pivots, those of members between resting nodes included (Wittrick and Williams, A general algorithm for computing natural
 * frequencies of elastic structures, Quarterly Journal of Mechanics and Applied Mathematics 24, 1971), so that none is passed over; between counts the factor is
 * found by the response to a push. Fewer where no more are there.
 */
export function criticalLoads(
  system: System,
  supported: Uint8Array,
  kernels: Kernels,
  { first, modes, sign = 1 }: { readonly first: StructuralResponse; readonly modes: number; readonly sign?: 1 | -1 },
): readonly Critical[] {
  const { structure, matrices } = system;
  const pushed = (seed: number): { columns: Columns; pressing: Pressing } => {
    const columns = new Columns(structure, matrices, { response: first, leanOf: (m) => leanBy(m, structure.lengths[m]!, seed) });
    return { columns, pressing: new Pressing(system, columns, kernels) };
  };
  const { pressing } = pushed(1);
  const at = (factor: number): Known => {
    if (!pressing.lean({ factor: sign * factor })) return { factor, count: Infinity, left: 0 };
    const count = pressing.unstable();
    return { factor, count, left: pressing.yielding() };
  };
  const known: Known[] = [{ factor: 0, count: 0, left: 0 }];
  const look = (factor: number): Known => {
    const one = at(factor);
    known.push(one);
    known.sort((a, b) => a.factor - b.factor);
    return one;
  };
  // Members between resting nodes are the stiffest way to buckle: where the first of them does, something has buckled before.
  const guess = firstGuess(structure, first, sign);
  if (guess === undefined) return [];
  for (let doubled = 0; doubled <= DOUBLED && look(guess * 2 ** doubled).count < modes; doubled++);
  const found: Critical[] = [];
  for (let mode = 1; mode <= modes; mode++) {
    const factor = search(mode, known, look);
    if (factor === undefined) break;
    const { columns, pressing: again } = pushed(mode + 1);
    again.lean({ factor: sign * factor * (1 - BELOW) });
    again.unstable();
    const added = again.responseTo(again.solved(), supported);
    const { response: whole } = recoverLeaning({ structure, matrices }, first, { columns, leaning: again.leaning, added });
    const shape = sumOf(structure, [{ part: whole, factor: 1 }, { part: first, factor: -1 }]); // oxfmt-ignore
    const equal = found.filter((other) => Math.abs(other.factor - sign * factor) <= 1e-4 * factor);
    found.push({ factor: sign * factor, shape: unitShape(apart(structure, shape, equal.map((other) => other.shape))) }); // oxfmt-ignore
  }
  return found;
}

/** The factor at which there are `mode` modes for the first time: halved until it is alone, then by the regula falsi (Illinois), which is quick as long as the push goes straight through zero. */
function search(mode: number, known: Known[], look: (factor: number) => Known): number | undefined {
  /** What is left at a side that stays is halved each time, so that the other side moves too. */
  const damped = new Map<Known, number>();
  for (let step = 1; step < STEPS; step++) {
    const above = known.findIndex(({ count }) => count >= mode);
    if (above < 0) return undefined;
    const [low, high] = [known[above - 1]!, known[above]!];
    const width = high.factor - low.factor;
    if (width <= EXACT * high.factor) return (low.factor + high.factor) / 2;
    const isAlone = high.count - low.count === 1 && low.factor > 0 && width < 0.2 * high.factor;
    const [below, beyond] = [damped.get(low) ?? low.left, damped.get(high) ?? high.left];
    if (!isAlone || step % 6 === 0 || below * beyond >= 0) {
      look(low.factor + width / 2);
      continue;
    }
    const edge = 0.4 * EXACT * high.factor;
    const straight = low.factor + (width * below) / (below - beyond);
    const found = look(Math.min(Math.max(straight, low.factor + edge), high.factor - edge));
    const stays = found.count >= mode ? low : high;
    damped.set(stays, (stays === low ? below : beyond) / 2);
  }
  return undefined;
}

/** The factor at which the first member in compression anywhere buckles between clamped ends; where none is, nothing buckles. */
function firstGuess(
  s: Structure,
  { pieces, coefficients, pieceWidth, ends }: StructuralResponse,
  sign: 1 | -1,
): number | undefined {
  // What is only rounding beside the others presses nothing.
  const noise = 1e-9 * maxNorm(ends);
  let least = Infinity;
  for (let m = 0; m < s.lengths.length; m++) {
    const o = STIFFNESS_WIDTH * m;
    const bending = Math.min(s.stiffnesses[o + 2]! || Infinity, s.stiffnesses[o + 3]! || Infinity);
    // A string goes as soon as what holds its ends does.
    const critical = bending === Infinity ? 1e-3 * s.stiffnesses[o]! : (4 * Math.PI ** 2 * bending) / s.lengths[m]! ** 2;
    for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++)
      for (const x of [0, pieces.to[k]! - pieces.from[k]!]) {
        const pressed = -sign * evaluate(coefficients, pieceWidth * k + offsetOf('N'), degreeOf('N'), x);
        if (pressed > noise) least = Math.min(least, critical / pressed);
      }
  }
  return least === Infinity ? undefined : least;
}

/** A slope of the fourth degree that looks random, and is the same again: no mode is at right angles to it, however many waves it has. */
function leanBy(m: number, L: number, seed: number): Lean {
  const part = (n: number, k: number): number => {
    const x = Math.sin(12.9898 * (m + 1) + 78.233 * (k + 1) + 37.719 * seed) * 43758.5453;
    return (2 * (x - Math.floor(x)) - 1) * 1e-3 * (2 / L) ** n;
  };
  const powers = [0, 1, 2, 3, 4];
  return { v: powers.map((n) => part(n, n)), w: powers.map((n) => part(n, n + 5)) };
}

/** A shape without what it has of others at the same factor. */
const apart = (s: Structure, shape: StructuralResponse, others: readonly StructuralResponse[]): StructuralResponse =>
  others.reduce((own, other) => {
    const [a, b] = [own.displacements, other.displacements];
    const share = a.reduce((sum, value, f) => sum + value * b[f]!, 0) / (b.reduce((sum, value) => sum + value * value, 0) || 1);
    return sumOf(s, [{ part: own, factor: 1 }, { part: other, factor: -share }]); // oxfmt-ignore
  }, shape);
