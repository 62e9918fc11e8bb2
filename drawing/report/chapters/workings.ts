import { isRange } from '@rigid-beam/core/combinations/outcome';
import { nameOf } from '@rigid-beam/core/model/named';
import type { Column, Table } from '@rigid-beam/core/tables/column';
import { workingsIn } from '@rigid-beam/core/workings/ask';
import type { WorkingsBlock } from '@rigid-beam/core/workings/blocks';
import { numberWords } from '@rigid-beam/core/workings/number-words';
import { workingsStepsOf } from '@rigid-beam/core/workings/steps';
import type { Writing } from '../asked';
import { heading, words, type Block } from '../blocks';
import { reportWords as WORDS } from '../words';
import { reported } from './results';

/** Members that are worked out in a report, the first of more, and columns of a matrix that a page has room for. */
const MOST_MEMBERS = 40;
const MOST_COLUMNS = 14;

/** How the results of what is reported come about, step by step: of cases and sums; an envelope has no workings of its own. */
export function workings(writing: Writing): Block[] {
  const { model, solution, display } = writing;
  if (!solution) return [words(WORDS.notSolved)];
  return reported(writing).flatMap((outcome): Block[] => {
    const one = solution.outcomes[outcome]!;
    const name = heading(2, nameOf(one));
    if (isRange(one)) return [name, words(WORDS.noWorkings)];
    const found = workingsIn(model, solution, one.id);
    if (typeof found === 'string') return [name, words(`${found}.`)];
    const ids = model.members.map(({ id }) => id);
    const shown = ids.length > MOST_MEMBERS ? new Set(ids.slice(0, MOST_MEMBERS)) : undefined;
    return [
      name,
      ...(shown ? [words(WORDS.someWorkings(MOST_MEMBERS, ids.length))] : []),
      ...workingsStepsOf(found, display, shown).flatMap(({ title, blocks }) => [heading(2, title), ...blocks.map(blockOf)]),
    ];
  });
}

function blockOf(block: WorkingsBlock): Block {
  switch (block.is) {
    case 'text':
      return words(block.text);
    case 'formula':
      return { is: 'formula', tex: block.tex, plain: block.plain };
    case 'table':
      return tableOf('', block.columns, block.rows.map((row) => row.map(String))); // oxfmt-ignore
    case 'matrix': {
      const { name, rows, columns, values, way } = block;
      if (columns.length > MOST_COLUMNS) return words(WORDS.wideMatrix(name.plain, columns.length));
      return tableOf('', [name.plain, ...columns], values.map((row, i) => [rows[i]!, ...row.map((value) => numberWords(value, way))])); // oxfmt-ignore
    }
  }
}

function tableOf(title: string, columns: readonly string[], rows: readonly (readonly string[])[]): Block {
  const all = columns.map((head, i): Column<readonly string[]> => ({ key: String(i), title: head, value: (row) => row[i]! }));
  const table: Table<readonly string[]> = { title, columns: all, rows };
  return { is: 'table', table: table as unknown as Table<never> };
}
