import { firstOptions } from '@rigid-beam/core/formats/format';
import { formatOf, writable, written } from '@rigid-beam/core/formats/registry';
import { type MadeFile, type Refusal, type Stage } from '@rigid-beam/core/formats/made-file';
import { resultsFile } from '@rigid-beam/core/formats/results-file';
import { solve } from '@rigid-beam/core/analysis/session';
import { resultsOfRun, type RunName } from '@rigid-beam/core/analysis/runs';
import type { Model } from '@rigid-beam/core/model/model';
import { resultsWithShear } from '@rigid-beam/core/results/with-shear';
import { tablesFile, type TablesAsked } from '@rigid-beam/core/tables/files/tables-file';
import { drawingFile, type DrawingAsked } from '@rigid-beam/drawing/files/drawing-file';
import { reportFile, type TypedReport } from '@rigid-beam/drawing/files/report-file';
import { listed, type Tools } from '@rigid-beam/drawing/files/tools';
import { fileWords } from '@rigid-beam/drawing/files/words';

/** A results file: of which run, at how many places along each member, and of which cases and combinations, with commas between several. */
export interface ResultsAsked {
  readonly run?: RunName | undefined;
  readonly stations: number;
  readonly cases?: string | undefined;
}

/** A file that takes an analysis or drawing, as it is asked for. A new kind is entered here, with its query and route. */
export type AskedWork =
  | { readonly what: 'file'; readonly asked: { readonly format: string } }
  | { readonly what: 'results'; readonly asked: ResultsAsked }
  | { readonly what: 'tables'; readonly asked: TablesAsked }
  | { readonly what: 'drawing'; readonly asked: DrawingAsked }
  | { readonly what: 'report'; readonly asked: TypedReport };

/** The file, or why there is none. */
export function doneWork(model: Model, work: AskedWork, tools: Tools): Promise<MadeFile | Refusal> | MadeFile | Refusal {
  switch (work.what) {
    case 'file':
      return fileOf(model, work.asked.format, tools.told);
    case 'results':
      return resultsOf(model, work.asked, tools.told);
    case 'tables':
      return tablesFile(model, work.asked, tools.told);
    case 'drawing':
      return drawingFile(model, work.asked, tools);
    case 'report':
      return reportFile(model, work.asked, tools);
  }
}

/** A file of a format that takes an analysis, as it is where nothing more is said. */
async function fileOf(model: Model, id: string, told: (stage: Stage) => void = () => undefined): Promise<MadeFile> {
  const format = writable.find((one) => one.id === id)!;
  await format.ready?.();
  told('writing');
  const { mediaType, extension, writer } = format;
  return { mediaType, extension, parts: written(format, model, firstOptions(writer)), notes: writer.leftOut?.(model) ?? [] };
}

function resultsOf(
  model: Model,
  { run, stations, cases }: ResultsAsked,
  told: (stage: Stage) => void = () => undefined,
): MadeFile | Refusal {
  told('solving');
  const named = resultsOfRun(model, solve(model, [], run ? [run] : []), run);
  const results = resultsWithShear(named.results, model);
  const only = cases === undefined ? undefined : listed(cases);
  const ids = results.solution?.outcomes.map(({ id }) => id);
  const unknown = ids && only?.find((id) => !ids.includes(id));
  if (unknown !== undefined) return { words: fileWords.noOutcome(unknown, ids!.join(', ')) };
  told('writing');
  const { mediaType, extension } = formatOf('results')!;
  const parts = resultsFile(results, { stations, ...(only && { only }), ...(named.run && { run: named.run }) });
  return { mediaType, extension, parts, notes: [] };
}
