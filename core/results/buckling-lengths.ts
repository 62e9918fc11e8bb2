import { STIFFNESS_WIDTH, isPlane, type Structure } from '../stiffness/structure';
import { maxNorm } from '../linear-algebra/max-norm';
import { integrate } from './integrate';
import { evaluate } from './polynomial';
import { degreeOf, offsetOf } from './quantities';
import type { Solution, StructuralResponse } from './results';
import { meanAxialForce } from './slack';
import { responseOf } from './sums';

/** A member in compression at a critical load, as it bends about one of its axes. */
export interface BucklingLength {
  readonly member: number;
  /** The moment by which it bends. */
  readonly about: 'Mz' | 'My';
  /** Its mean axial force in the outcome that is multiplied, newtons; negative. */
  readonly force: number;
  /** Metres: its own, and that of the pinned strut that buckles at the same force. */
  readonly length: number;
  readonly effective: number;
  /** What bending about this axis stores in the mode, beside the member and axis that store most. */
  readonly share: number;
}

/** A member that stores less than this part of what the one does that stores most takes no part in the mode: its length is only that of Euler's formula. */
export const TAKES_PART = 0.02;

/**
 * Buckling lengths of all members in compression at a critical load, which `outcome` is: L_cr = π·√(EI/(α·|N|)) about both axes. Empty where it is no critical load.
 */
export function bucklingLengths(solution: Solution, outcome: number): readonly BucklingLength[] {
  const one = solution.outcomes[outcome];
  if (one?.kind !== 'shape' || one.measure !== 'factor' || one.of === undefined) return [];
  const { structure } = solution;
  const shape = responseOf(solution, outcome)!;
  const acts = responseOf({ ...solution, outcomes: solution.firstOrder ?? solution.outcomes }, one.of)!;
  const noise = 1e-9 * maxNorm(acts.ends);
  const found: BucklingLength[] = [];
  let most = 0;
  for (let member = 0; member < structure.lengths.length; member++) {
    const [force, length] = [meanAxialForce(acts.ends, member), structure.lengths[member]!];
    for (const [about, k] of isPlane(structure) ? ([['Mz', 2]] as const) : ([['Mz', 2], ['My', 3]] as const)) {
      const EI = structure.stiffnesses[STIFFNESS_WIDTH * member + k]!;
      if (EI === 0) continue;
      const share = bendingEnergy(shape, member, about) / EI;
      most = Math.max(most, share);
      const pressed = -force * one.value;
      if (pressed > noise) found.push({ member, about, force, length, effective: Math.PI * Math.sqrt(EI / pressed), share });
    } // oxfmt-ignore
  }
  return found.map((one) => ({ ...one, share: most === 0 ? 0 : one.share / most }));
}

/** The members that bend most in a shape, by their places: those that store at least half of what the first of them does. */
export function bendingMost(structure: Structure, shape: StructuralResponse): readonly number[] {
  const stored = Array.from(structure.lengths, (_, m) =>
    (['Mz', 'My'] as const).reduce((sum, about, i) => {
      const EI = structure.stiffnesses[STIFFNESS_WIDTH * m + 2 + i]!;
      return EI === 0 || offsetOf(about) >= shape.pieceWidth ? sum : sum + bendingEnergy(shape, m, about) / EI;
    }, 0),
  );
  const most = maxNorm(Float64Array.from(stored));
  const all = stored.flatMap((one, m) => (one >= most / 2 && one > 0 ? [m] : []));
  return all.toSorted((a, b) => stored[b]! - stored[a]!);
}

/** ∫M² dx over member m. */
function bendingEnergy({ pieces, coefficients, pieceWidth }: StructuralResponse, m: number, moment: 'Mz' | 'My'): number {
  let sum = 0;
  for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) {
    const h = pieces.to[k]! - pieces.from[k]!;
    sum += integrate(0, h, (x) => evaluate(coefficients, pieceWidth * k + offsetOf(moment), degreeOf(moment), x) ** 2);
  }
  return sum;
}
