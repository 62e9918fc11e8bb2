import { once } from '../../once';
import { derivative, signChanges } from '../polynomial';
import type { OfMember, OneSum, Source, Sum } from './derived';

/** A factor that is none beside one. */
const NOTHING = 1e-14;

/** A quantity that is a sum of what is stored along a member, by factors that the member has. */
export function oneSum(of: readonly Source[], factors: (member: OfMember) => Sum): OneSum {
  const terms = once((member: OfMember): Sum => factors(member).filter(([, factor]) => Math.abs(factor) > NOTHING));
  return {
    ...{ of, terms, takesShear: false, spreads: false, isMagnitude: false },
    at: (here, member) => {
      const value = terms(member).reduce((sum, [source, factor]) => sum + factor * here[source], 0);
      return { max: value, min: value };
    },
    turns: (piece, member) => {
      const own = terms(member);
      const sum = new Float64Array(Math.max(1, ...own.map(([source]) => piece[source].length)));
      for (const [source, factor] of own) piece[source].forEach((one, k) => (sum[k]! += factor * one));
      return signChanges(derivative(sum), piece.length);
    },
  };
}
