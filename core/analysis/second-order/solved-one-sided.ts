import type { Kernels } from '../../linear-algebra/kernels';
import { secondOrder as WORDS } from '../words';
import type { ActingSets, Gone } from './acting-sets';
import { displacedIn, givenWay, type SolvedDisplaced, type SolvedIn } from './solved-displaced';

/** Sets of what acts that are tried, and after so many only the worst of what is wrong changes sides. */
const MOST_SETS = 60;
const AT_ONCE = 10;
/** The least part of the loads by which these grow where they cannot be put on at once. */
const LEAST_STEP = 1 / 64;

/**
 * One outcome of a structure in which something acts one way: in the set that the first order has found, and in others until the displaced structure has no
 * force of the wrong sign, and nothing is off that would have to hold. Where a set cannot bear the loads, these grow step by step: what is slack may become
 * taut on the way.
 */
export function solvedOneSided(
  { model, basis }: Pick<SolvedIn, 'model' | 'basis'>,
  sets: ActingSets,
  outcome: number,
  kernels: Kernels,
): SolvedDisplaced {
  const settle = (share: number, from: Gone): Settled => settled({ model, basis, sets, outcome, kernels }, share, from);
  let gone = sets.firstOf(outcome);
  const whole = settle(1, gone);
  if (!('beyond' in whole)) return whole;
  let [share, step] = [0, 1 / 2];
  while (share < 1 && step >= LEAST_STEP) {
    const next = Math.min(1, share + step);
    const found = settle(next, gone);
    if (!('gone' in found)) {
      step /= 2;
      continue;
    }
    [share, gone] = [next, found.gone];
    if (share === 1) return found;
  }
  return whole.beyond();
}

type Settled =
  | (Extract<SolvedDisplaced, { readonly response: unknown }> & { readonly gone: Gone })
  | Extract<SolvedDisplaced, { readonly words: string }>
  | { readonly beyond: () => SolvedDisplaced };

interface Settling extends Pick<SolvedIn, 'model' | 'basis'> {
  readonly sets: ActingSets;
  readonly outcome: number;
  readonly kernels: Kernels;
}

/** Under a share of the loads, beginning with a set. */
function settled({ model, basis, sets, outcome, kernels }: Settling, share: number, from: Gone): Settled {
  const tried = new Set<string>();
  let [gone, last] = [from, from];
  for (let round = 0; round < MOST_SETS; round++) {
    const found = sets.response(basis.outcomes[outcome]!, gone, share);
    if (!found) return { words: WORDS.loose(sets.named(gone)), members: [] };
    const state = { model, basis, ...sets.rest(gone) };
    const solved = displacedIn(state, found.first, kernels);
    if (solved === 'beyond') return { beyond: () => givenWay({ ...state, ...sets.rest(gone) }, found.first, kernels) };
    if ('words' in solved) return solved;
    const wrong = sets.wrong(gone, found, solved);
    if (wrong.length === 0) return { ...solved, gone };
    tried.add(gone.join(' '));
    const all = changed(gone, wrong);
    last = wrong;
    // A set that comes again is left by one after the other.
    gone = round < AT_ONCE && !tried.has(all.join(' ')) ? all : changed(gone, wrong.slice(0, 1));
    if (tried.has(gone.join(' '))) break;
  }
  return { words: WORDS.quarrel(sets.named(last)), members: [] };
}

const changed = (gone: Gone, some: Gone): Gone => {
  const next = new Set(gone);
  for (const i of some) if (!next.delete(i)) next.add(i);
  return [...next].sort((a, b) => a - b);
};
