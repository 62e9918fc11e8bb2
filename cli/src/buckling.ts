import { solve } from '@rigid-beam/core/analysis/session';
import { askedTable } from '@rigid-beam/core/tables/asked';
import { cellText } from '@rigid-beam/core/tables/column';
import type { Model } from '@rigid-beam/core/model/model';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

export interface BucklingOptions {
  readonly case: readonly string[];
  readonly modes: number;
  readonly lengths?: true;
  readonly negative?: true;
}

/** Prints critical load factors of cases and combinations, with buckling lengths where they are wanted. */
export async function buckling(file: string, { case: ids, modes, lengths, negative }: BucklingOptions): Promise<number> {
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  const known = new Set([...model.cases, ...model.combinations].map(({ id }) => id));
  const unknown = ids.find((id) => !known.has(id));
  if (unknown !== undefined) {
    console.error(`Fault: There is no case or combination “${unknown}”. Choose one of ${[...known].join(', ')}.`);
    return exitCodes.invalid;
  }
  const of = ids.length > 0 ? ids : firstOf(model);
  const asked: Model = { ...model, analysis: { ...model.analysis, buckling: { of, modes, ...(negative && { negative }) } } };
  const results = solve(asked);
  printNotices(results.notices);
  const lines: string[] = [];
  for (const one of results.solution?.outcomes ?? []) {
    if (one.kind !== 'shape' || one.measure !== 'factor') continue;
    lines.push(`${one.id} ${one.title}`);
    if (!lengths) continue;
    const table = askedTable(asked, () => results, { name: 'bucklingLengths', outcome: one.id, of: 'itself', places: 2 });
    if (typeof table === 'string') continue;
    lines.push(table.columns.map(({ title, unit }) => (unit ? `${title} (${unit})` : title)).join('\t'));
    for (const row of table.rows) lines.push(table.columns.map((column) => cellText(column, row)).join('\t'));
    lines.push('');
  }
  await print([`${lines.join('\n')}\n`]);
  return exitCodes[results.status];
}

/** Every sum, or every case where there are none. */
const firstOf = ({ cases, combinations }: Model): string[] => {
  const sums = combinations.filter(({ type }) => type === 'sum');
  return (sums.length > 0 ? sums : cases).map(({ id }) => id);
};
