import type { Kernels } from '../../linear-algebra/kernels';
import type { Model } from '../../model/model';
import { bendingMost } from '../../results/buckling-lengths';
import type { DisplacedOutcome, Solution, StructuralResponse } from '../../results/results';
import type { System } from '../factorise';
import { secondOrder as WORDS } from '../words';
import type { Gone } from './acting-sets';
import type { Lean } from './along';
import { criticalLoads } from './critical';
import { displaced, type Leading } from './displaced';
import type { DisplacedResponse } from './recover-leaning';
import { imperfectionsOf } from './imperfections';

/** What is less in balance than this is not believed. */
const BALANCED = 1e-6;
/** Members that are named where they give way. */
const NAMED = 6;

/** An outcome in second order, with what has let go in it of that which acts one way; or why there is none, with the members that give way. */
export type SolvedDisplaced =
  | (DisplacedResponse & { readonly displaced: DisplacedOutcome; readonly gone?: Gone })
  | { readonly words: string; readonly members: readonly string[] };

/** The equations of what acts, and the solution of the first order that they go with. */
export interface SolvedIn {
  readonly model: Model;
  readonly basis: Solution;
  readonly system: System;
  readonly supported: Uint8Array;
  readonly leading?: Leading;
}

/** One outcome by its response of the first order, or why it has no second order, with the members that give way. */
export function solvedDisplaced(state: SolvedIn, first: StructuralResponse | undefined, kernels: Kernels): SolvedDisplaced {
  if (!first) return { words: WORDS.travelling, members: [] };
  const solved = displacedIn(state, first, kernels);
  return solved === 'beyond' ? givenWay(state, first, kernels) : solved;
}

export function displacedIn(
  { model, basis: { structure }, system, supported, leading }: SolvedIn,
  first: StructuralResponse,
  kernels: Kernels,
): SolvedDisplaced | 'beyond' {
  const { leanOf, sway, bow } = imperfectionsOf(model.analysis?.secondOrder, structure, first);
  const found = displaced(system, supported, kernels, { first, leanOf, leading });
  if (found === 'beyond') return found;
  if (found === 'unsettled') return { words: WORDS.unsettled, members: [] };
  const { residual, jointResidual } = found.response.equilibrium;
  if (!(Math.max(residual, jointResidual) <= BALANCED)) return { words: WORDS.unsettled, members: [] };
  const isImperfect = bow !== 0 || sway[0] !== 0 || sway[1] !== 0;
  return { ...found, displaced: { sway, bow, ...(isImperfect && { leans: leansOf(structure.lengths.length, leanOf) }) } };
}

/** What can be borne of loads that are beyond the critical ones, and what gives way then. */
export function givenWay(
  { basis: { structure }, system, supported }: SolvedIn,
  first: StructuralResponse,
  kernels: Kernels,
): SolvedDisplaced {
  const [critical] = criticalLoads(system, supported, kernels, { first, modes: 1 });
  if (!critical) return { words: WORDS.sheared, members: [] };
  const members = bendingMost(structure, critical.shape).slice(0, NAMED).map((m) => structure.names.members[m]!); // oxfmt-ignore
  return { words: WORDS.beyond(critical.factor.toPrecision(3), members.map((id) => `“${id}”`).join(', ')), members };
}

function leansOf(count: number, leanOf: (m: number) => Lean): Float64Array {
  const leans = new Float64Array(4 * count);
  for (let m = 0; m < count; m++) {
    const { v, w } = leanOf(m);
    leans[4 * m] = v[0] ?? 0;
    leans[4 * m + 1] = v[1] ?? 0;
    leans[4 * m + 2] = w[0] ?? 0;
    leans[4 * m + 3] = w[1] ?? 0;
  }
  return leans;
}
