import { nameOf } from '@rigid-beam/core/model/named';
import { responseOf } from '@rigid-beam/core/results/sums';
import type { Row } from '@rigid-beam/core/tables/column';
import { balanceTable } from '@rigid-beam/core/tables/results/nodal';
import { schedules } from '@rigid-beam/core/tables/schedules/lists';
import type { Writing } from '../asked';
import { heading, table, words, type Block } from '../blocks';
import { drawing } from '../figures';
import { reportWords as WORDS } from '../words';

/** What acts, case by case: drawn, in a list, and what it adds up to. */
export function loads(writing: Writing): Block[] {
  const { model, solution, display } = writing;
  const kind = schedules.loads;
  const columns = kind.columns(model).filter(({ key }) => key !== 'case');
  return model.cases.flatMap((one, at): Block[] => {
    const rows = kind.rows(model).filter((row) => row['case'] === one.id);
    const response = solution && responseOf(solution, at);
    return [
      heading(2, nameOf(one)),
      ...(one.selfWeight ? [words(WORDS.selfWeight)] : []),
      ...(rows.length === 0 && !one.selfWeight ? [words(WORDS.noLoads)] : []),
      ...(rows.length > 0 ? [drawing(writing, { subject: 'loads', outcome: at, caption: WORDS.loadsOf(one.id) })] : []),
      ...table<Row>({ title: kind.words, columns, rows }),
      ...(solution && response ? table(balanceTable(response, solution.structure.active, display)) : []),
    ];
  });
}
