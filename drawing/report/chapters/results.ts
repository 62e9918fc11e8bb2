import { capital } from '@rigid-beam/core/capital';
import { nameOf } from '@rigid-beam/core/model/named';
import { quantityWords } from '@rigid-beam/core/results/quantities';
import { partsOf } from '@rigid-beam/core/results/read';
import { extremesOverMembers } from '@rigid-beam/core/results/extremes-over-members';
import { criticalLoadsTable } from '@rigid-beam/core/tables/results/critical-loads';
import { extremesTable } from '@rigid-beam/core/tables/results/extremes';
import { foundationTable } from '@rigid-beam/core/tables/results/foundation';
import { headlinesOf } from '@rigid-beam/core/tables/results/headlines/headlines';
import { baseShearTable, groundWords } from '@rigid-beam/core/tables/results/base-shear';
import { massesTable, naturalModesTable } from '@rigid-beam/core/tables/results/natural-modes';
import { reactionsTable } from '@rigid-beam/core/tables/results/nodal';
import type { Writing } from '../asked';
import { heading, table, words, type Block } from '../blocks';
import { drawing } from '../figures';
import { reportWords as WORDS } from '../words';

/** The places of the outcomes that are reported. */
export const reported = ({ solution, asked }: Writing): readonly number[] =>
  asked.outcomes.map((id) => solution!.outcomes.findIndex((one) => one.id === id));

/** What was found, outcome by outcome: in words, drawn, and in tables. */
export function results(writing: Writing): Block[] {
  const { model, solution, asked, display } = writing;
  if (!solution) return [words(WORDS.notSolved)];
  const ground = groundWords(solution);
  const displaced = reported(writing).filter((outcome) => partsOf(solution, outcome).some((part) => solution.displaced?.[part]));
  return [
    ...(displaced.length < reported(writing).length ? [words(WORDS.linear)] : []),
    ...(displaced.length > 0 ? [words(WORDS.secondOrder(displaced.map((one) => solution.outcomes[one]!.id).join(', ')))] : []),
    ...(solution.sharing ? [words(WORDS.axiallyRigid)] : []),
    ...(solution.letGo ? [words(WORDS.oneSided)] : []),
    ...reported(writing).flatMap((outcome): Block[] => {
      const governing = (quantity: Parameters<typeof extremesOverMembers>[2]) => extremesOverMembers(solution, outcome, quantity);
      const lines = headlinesOf({ model, solution, outcome, display }, governing);
      const { id } = solution.outcomes[outcome]!;
      return [
        heading(2, nameOf(solution.outcomes[outcome]!)),
        { is: 'facts', facts: lines.map(({ title, value, words: where }) => [title, `${value} ${where}`]) },
        ...asked.quantities.map((quantity) =>
          drawing(writing, {
            subject: quantity,
            outcome,
            caption: WORDS.quantityOf(capital(quantityWords(model.space, quantity, display).name), id),
          }),
        ),
        ...table(extremesTable(solution, outcome, display, governing)),
        ...table(reactionsTable(solution, outcome, display)),
        ...table(foundationTable(solution, outcome, display)),
      ];
    }),
    ...table(criticalLoadsTable(solution)),
    ...table(naturalModesTable(solution, 0, display)),
    ...table(massesTable(solution, 0, display)),
    ...(ground === undefined ? [] : [words(ground)]),
    ...table(baseShearTable(solution, 0, display)),
  ];
}
