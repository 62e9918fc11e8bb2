import { extremesOverMembers } from '@rigid-beam/core/results/extremes-over-members';
import { nameOf } from '@rigid-beam/core/model/named';
import { isRange } from '@rigid-beam/core/combinations/outcome';
import { closerLooks, judgementsOf } from '@rigid-beam/core/tables/results/headlines/right';
import type { Writing } from '../asked';
import { heading, words, type Block } from '../blocks';
import { reportWords as WORDS } from '../words';
import { reported } from './results';

/** Whether results can be right: balance, energy, symmetry and what else tells it, of each case and of what is reported. */
export function checks(writing: Writing): Block[] {
  const { model, solution, display } = writing;
  if (!solution) return [words(WORDS.notSolved)];
  const all = new Set([...model.cases.keys(), ...reported(writing)]);
  return [...all].flatMap((outcome): Block[] => {
    if (isRange(solution.outcomes[outcome]!)) return [];
    const asked = { model, solution, outcome, display };
    const quick = judgementsOf({ ...asked, drawn: 'Mz' }, (quantity) => extremesOverMembers(solution, outcome, quantity));
    const closer = closerLooks.flatMap((look) => look(asked) ?? []);
    const items = [...quick, ...closer].map(({ words: said, is }) => `${is === 'well' ? WORDS.well : WORDS.look} ${said}`);
    return [heading(2, nameOf(solution.outcomes[outcome]!)), { is: 'list', items }];
  });
}
