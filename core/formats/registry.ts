import { ifcFormat } from './ifc/format';
import { resultsOfRun, runNames, type RunName } from '../analysis/runs';
import { solve } from '../analysis/session';
import { resultsWithShear } from '../results/with-shear';
import type { Model } from '../model/model';
import { ofText, type FilePart, type Format, type OptionValues } from './format';
import { readModelFile, writeModelFile } from './model-file';
import { resultsFile } from './results-file';

/** Points along a member in a results file, unless others are asked for. */
export const STATIONS = 21;

/** The analysis that the model itself asks for. */
const AS_SET = 'as set';

/** Every kind of file. The command, the routes, the projects page and the menu at the top list what is registered here. */
export const formats: readonly Format[] = [
  {
    id: 'model',
    words: 'Model file',
    extension: '.rbm.json',
    mediaType: 'application/json',
    reader: { read: ofText(readModelFile) },
    writer: { write: ({ model }) => [writeModelFile(model)], needs: 'model', options: [] },
  },
  {
    id: 'results',
    words: 'Results file',
    extension: '.results.json',
    mediaType: 'application/json',
    writer: {
      write: ({ model, results, options: { stations, run } }) => {
        const named = resultsOfRun(model, results(), runsNamed(run)[0]);
        return resultsFile(resultsWithShear(named.results, model), {
          stations: Number(stations),
          ...(named.run && { run: named.run }),
        });
      },
      needs: 'analysis',
      options: [
        { key: 'stations', words: 'Points along each member', value: { is: 'count', least: 2, most: 10_000, first: STATIONS } },
        { key: 'run', words: 'Analysis', value: { is: 'choice', of: [AS_SET, ...runNames], first: AS_SET } },
      ],
    },
  },
  ifcFormat,
];

export const formatOf = (id: string): Format | undefined => formats.find((format) => format.id === id);

export type ReadableFormat = Format & Required<Pick<Format, 'reader'>>;
export type WritableFormat = Format & Required<Pick<Format, 'writer'>>;
/** Formats that a model can be read from, and those that it can be written to. */
export const readable = formats.filter((format): format is ReadableFormat => format.reader !== undefined);
export const writable = formats.filter((format): format is WritableFormat => format.writer !== undefined);

/** The parts of a file of a sound model. */
export const written = ({ writer }: WritableFormat, model: Model, options: OptionValues): Iterable<FilePart> =>
  writer.write({ model, options, results: () => solve(model, [], runsNamed(options['run'])) });

const runsNamed = (run: OptionValues[string] | undefined): readonly RunName[] => runNames.filter((name) => name === run);

/** The format of a file by its name, among those that can be read: the one with the longest fitting extension; the model file for others. */
export function formatOfName(name: string): ReadableFormat {
  const fitting = readable.filter(({ extension }) => name.toLowerCase().endsWith(extension));
  return fitting.sort((a, b) => b.extension.length - a.extension.length)[0] ?? readable[0]!;
}

/** A file name made of a model's title. */
export function fileNameOf({ title }: Pick<Model, 'title'>, { extension }: Pick<Format, 'extension'>): string {
  const plain = title.replace(/[^A-Za-z0-9]+/g, '-').replace(/^-+|-+$/g, '');
  return `${plain.toLowerCase() || 'model'}${extension}`;
}
