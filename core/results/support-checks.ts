import { freedoms, type Model } from '../model/model';
import type { Solution } from './results';
import { responseOf } from './sums';

/** Something about a support that is worth a look. */
export interface SupportCheck {
  readonly code: 'idle-support' | 'uplift';
  readonly node: string;
  /** Of an uplift: how large it is, N. */
  readonly force: number;
}

/** Parts of the largest reaction that count as none. */
const NONE = 1e-9;

/**
 * Supports that carry nothing in any case, and those that are pulled up (their reaction has a downward part) in what acts; none in an
 * envelope.
 */
export function supportChecks(model: Model, solution: Solution, outcome: number): readonly SupportCheck[] {
  const place = new Map(solution.structure.names.nodes.map((id, i) => [id, i]));
  const largest = solution.responses.reduce(
    (most, { reactions }) => reactions.reduce((one, value) => Math.max(one, Math.abs(value)), most),
    0,
  );
  const acting = responseOf(solution, outcome);
  return model.supports.flatMap(({ node }): SupportCheck[] => {
    const i = place.get(node);
    if (i === undefined) return [];
    const carries = solution.responses.some(({ reactions }) =>
      freedoms.some((_, k) => Math.abs(reactions[6 * i + k]!) > NONE * largest),
    );
    if (!carries) return largest > 0 ? [{ code: 'idle-support', node, force: 0 }] : [];
    const up = acting ? -acting.reactions[6 * i + 1]! : 0;
    return up > NONE * largest ? [{ code: 'uplift', node, force: up }] : [];
  });
}
