import { MEMBER_FREEDOMS, STIFFNESS_WIDTH, isPlane, type Structure } from '../stiffness/structure';
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
  const found: BucklingLength[] = [];
  let most = 0;
  for (let m = 0; m < structure.lengths.length; m++) {
    const force = meanAxialForce(acts.ends, m);
    for (const [about, k] of isPlane(structure) ? ([['Mz', 2]] as const) : ([['Mz', 2], ['My', 3]] as const)) {
      const EI = structure.stiffnesses[STIFFNESS_WIDTH * m + k]!;
      if (EI === 0) continue;
      const share = bendingEnergy(shape, m, about) / EI;
      most = Math.max(most, share);
      if (force * one.value < -1e-9 * largestForce(acts)) found.push({ member: m, about, force, length: structure.lengths[m]!, effective: Math.PI * Math.sqrt(EI / -(force * one.value)), share }); // oxfmt-ignore
    } // oxfmt-ignore
  }
  return found.map((length) => ({ ...length, share: most === 0 ? 0 : length.share / most }));
}

const largest = new WeakMap<StructuralResponse, number>();
function largestForce(response: StructuralResponse): number {
  let most = largest.get(response);
  if (most === undefined) {
    most = 0;
    for (let i = 0; i < response.ends.length; i += MEMBER_FREEDOMS)
      most = Math.max(most, Math.abs(response.ends[i + 6]!), Math.abs(response.ends[i]!));
    largest.set(response, most);
  }
  return most;
}

/** The members that bend most in a shape, by their places: those that store at least half of what the first of them does. */
export function bendingMost(structure: Structure, shape: StructuralResponse): readonly number[] {
  const stored = Array.from(structure.lengths, (_, m) =>
    (['Mz', 'My'] as const).reduce((sum, about, i) => {
      const EI = structure.stiffnesses[STIFFNESS_WIDTH * m + 2 + i]!;
      return EI === 0 || offsetOf(about) >= shape.pieceWidth ? sum : sum + bendingEnergy(shape, m, about) / EI;
    }, 0),
  );
  const most = Math.max(...stored);
  const all = stored.flatMap((one, m) => (one >= most / 2 && one > 0 ? [m] : []));
  return all.toSorted((a, b) => stored[b]! - stored[a]!);
}

/** ∫M² dx over member m, exact for cubics: Gauss with four points. */
function bendingEnergy({ pieces, coefficients, pieceWidth }: StructuralResponse, m: number, moment: 'Mz' | 'My'): number {
  let sum = 0;
  for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) {
    const h = pieces.to[k]! - pieces.from[k]!;
    for (const [t, weight] of GAUSS)
      sum += weight * h * evaluate(coefficients, pieceWidth * k + offsetOf(moment), degreeOf(moment), t * h) ** 2;
  }
  return sum;
}
const [A, B] = [0.861136311594053, 0.339981043584856];
const [WA, WB] = [0.347854845137454, 0.652145154862546];
const GAUSS = [[(1 - A) / 2, WA / 2], [(1 - B) / 2, WB / 2], [(1 + B) / 2, WB / 2], [(1 + A) / 2, WA / 2]] as const; // oxfmt-ignore
