import { solve } from '../analysis/session';
import type { Checked } from '../model/check';
import type { Model } from '../model/model';
import { readModelFile, writeModelFile } from './model-file';
import { resultsFile } from './results-file';

/** A kind of file. The command, the routes, the projects page and the head strip list what is registered here. */
export interface Format {
  readonly id: string;
  /** How it is offered. */
  readonly words: string;
  /** Of file names, the dot included. */
  readonly extension: string;
  readonly mediaType: string;
  /** Reads a model, with all faults of the text; left out where it holds none. */
  readonly read?: (text: string) => Checked;
  /** Writes a sound model, or what an analysis finds of it: the parts of its text, one after the other. */
  readonly write: (model: Model) => Iterable<string>;
  /** Whether writing it takes an analysis, which is no work for a request. */
  readonly needs: 'model' | 'analysis';
}

/** Points along a member in a results file, unless others are asked for. */
export const STATIONS = 21;

export const formats: readonly Format[] = [
  {
    id: 'model',
    words: 'Model file',
    extension: '.rbm.json',
    mediaType: 'application/json',
    read: readModelFile,
    write: (model) => [writeModelFile(model)],
    needs: 'model',
  },
  {
    id: 'results',
    words: 'Results file',
    extension: '.results.json',
    mediaType: 'application/json',
    write: (model) => resultsFile(solve(model), { stations: STATIONS }),
    needs: 'analysis',
  },
];

export const formatOf = (id: string): Format | undefined => formats.find((format) => format.id === id);

/** Formats that a model can be read from. */
export const readable = formats.filter(({ read }) => read !== undefined);

/** The format of a file by its name, among those that can be read: the one with the longest fitting extension; the model file for others. */
export function formatOfName(name: string): Format {
  const fitting = readable.filter(({ extension }) => name.toLowerCase().endsWith(extension));
  return fitting.sort((a, b) => b.extension.length - a.extension.length)[0] ?? readable[0]!;
}

/** A file name made of a model's title. */
export function fileNameOf({ title }: Pick<Model, 'title'>, { extension }: Format): string {
  const plain = title.replace(/[^A-Za-z0-9]+/g, '-').replace(/^-+|-+$/g, '');
  return `${plain.toLowerCase() || 'model'}${extension}`;
}
