import { resultsWithShear } from '@rigid-beam/core/results/with-shear';
import { resultsFile } from '@rigid-beam/core/formats/results-file';
import { fault } from '@rigid-beam/core/model/notice';
import { mechanismsWithRemedies } from '@rigid-beam/core/analysis/remedies';
import type { DisplacedOutcomes } from '@rigid-beam/core/model/analysis-settings';
import { resultsOfRun, type RunName } from '@rigid-beam/core/analysis/runs';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Results } from '@rigid-beam/core/results/results';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

export interface SolveOptions {
  readonly stations: number;
  readonly case: readonly string[];
  readonly run?: RunName;
  readonly secondOrder?: DisplacedOutcomes;
  readonly remedies?: true;
}

/** Prints the results file on standard output and notices on standard error; returns the exit code. */
export async function solveCommand(
  file: string,
  { stations, case: only, run, secondOrder: of, remedies }: SolveOptions,
): Promise<number> {
  const { model: read, notices } = await readInput(file);
  const model =
    read && of ? { ...read, analysis: { ...read.analysis, secondOrder: { ...read.analysis?.secondOrder, of } } } : read;
  const analysed: Results = model ? solve(model, notices, run ? [run] : []) : { status: 'invalid', notices, mechanisms: [] };
  const named: ReturnType<typeof resultsOfRun> = model ? resultsOfRun(model, analysed, run) : { results: analysed };
  let { results } = named;
  const unknown = only.filter((id) => results.solution && !results.solution.outcomes.some((outcome) => outcome.id === id));
  if (unknown.length > 0) {
    const faults = unknown.map((id) =>
      fault({
        code: 'unknown-case',
        path: '--case',
        value: id,
        what: `There is no case or combination “${id}”`,
        expected: 'an id of the model',
        remedy: `Choose one of ${results.solution!.outcomes.map((outcome) => outcome.id).join(', ')}`,
      }),
    );
    results = { status: 'invalid', notices: [...results.notices, ...faults], mechanisms: [] };
  }
  printNotices(results.notices);
  const remedied = remedies && model && results.status === 'unstable' ? mechanismsWithRemedies(model) : undefined;
  await print(
    resultsFile(model ? resultsWithShear(results, model) : results, {
      stations,
      ...(only.length > 0 && { only }),
      ...(named.run && { run: named.run }),
      ...(remedied && { remedied }),
    }),
  );
  return exitCodes[results.status];
}
