import { solve } from '@rigid-beam/core/analysis/session';
import { massShares } from '@rigid-beam/core/combinations/mass-shares';
import { askedTable } from '@rigid-beam/core/tables/asked';
import { cellText } from '@rigid-beam/core/tables/column';
import type { ResultList } from '@rigid-beam/core/tables/results/lists';
import type { Model } from '@rigid-beam/core/model/model';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

export interface ModesOptions {
  readonly modes?: number;
  readonly masses?: true;
  readonly earthquake?: true;
}

/** Prints natural modes, what has mass in them and with what an earthquake pushes the base where that is wanted; masses are those of the file, or the usual ones where it says nothing. */
export async function modes(file: string, { modes: count, masses, earthquake }: ModesOptions): Promise<number> {
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  const settings = model.analysis?.naturalModes ?? { cases: massShares(model) };
  const naturalModes = { ...settings, ...(count !== undefined && { modes: count }) };
  const asked: Model = { ...model, analysis: { ...model.analysis, naturalModes } };
  const results = solve(asked);
  printNotices(results.notices);
  if (!results.solution) return exitCodes[results.status];
  const outcome = results.solution.outcomes[0]!.id;
  const lines: string[] = [];
  const write = (name: ResultList): void => {
    const table = askedTable(asked, () => results, { name, outcome, of: 'itself', places: 2 });
    if (typeof table === 'string') return;
    if (lines.length > 0) lines.push('');
    lines.push(table.columns.map(({ title, unit }) => (unit ? `${title} (${unit})` : title)).join('\t'));
    for (const row of table.rows) lines.push(table.columns.map((column) => cellText(column, row)).join('\t'));
  };
  write('naturalModes');
  if (masses) write('masses');
  if (earthquake) write('baseShear');
  await print([`${lines.join('\n')}\n`]);
  return exitCodes[results.status];
}
