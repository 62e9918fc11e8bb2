import type { Checked } from '../model/check';
import type { Model } from '../model/model';
import { fault, type Notice } from '../model/notice';
import type { Results } from '../results/results';
import { decoded } from './decoded';

/** A part of a file: text, which is written as UTF-8, or bytes. */
export type FilePart = string | Uint8Array;

/** A choice that a writer leaves to whoever asks, with the words that offer it. */
export interface FormatOption {
  readonly key: string;
  readonly words: string;
  /** A whole number between two bounds, or one of some choices; `first` where nothing is said. */
  readonly value:
    | { readonly is: 'count'; readonly least: number; readonly most: number; readonly first: number }
    | { readonly is: 'choice'; readonly of: readonly string[]; readonly first: string };
}

export type OptionValues = Readonly<Record<string, number | string>>;

/** What a file is written of. */
export interface Writing {
  readonly model: Model;
  /** What an analysis finds of the model, for a writer that needs one. */
  readonly results: () => Results;
  readonly options: OptionValues;
}

interface Reader {
  /** Reads a model, with all faults of the file. */
  readonly read: (file: Uint8Array) => Checked;
}

interface Writer {
  /** Writes a sound model, or what an analysis finds of it: the parts of the file, one after the other. */
  readonly write: (writing: Writing) => Iterable<FilePart>;
  /** Whether writing it takes an analysis, which is no work for a request. */
  readonly needs: 'model' | 'analysis';
  readonly options: readonly FormatOption[];
  /** What of a model the file cannot say, in sentences; it is asked once the format is ready. */
  readonly leftOut?: (model: Model) => readonly string[];
}

/** A kind of file: it reads, writes, or both. */
export interface Format {
  readonly id: string;
  /** How it is offered. */
  readonly words: string;
  /** Of file names, the dot included. */
  readonly extension: string;
  readonly mediaType: string;
  /**
   * Makes ready what reads and writes it, before either: a package that is large comes when it is asked for. `found` tells where a program of such a package
   * lies, by its name; it is found beside the package where nothing is said.
   */
  readonly ready?: (found?: (program: string) => string) => Promise<void>;
  readonly reader?: Reader;
  readonly writer?: Writer;
}

/** A reader of text in UTF-8. */
export const ofText =
  (read: (text: string) => Checked): Reader['read'] =>
  (file) =>
    read(decoded(file));

/** The options of a writer as they are unless something is said. */
export const firstOptions = ({ options }: Writer): OptionValues =>
  Object.fromEntries(options.map(({ key, value }) => [key, value.first]));

/** What is said of a writer's options, as words by their keys: their values, or what is wrong. */
export function optionsOf(
  writer: Writer,
  said: Readonly<Record<string, string>>,
): { readonly values: OptionValues } | { readonly fault: Notice } {
  const values: Record<string, number | string> = { ...firstOptions(writer) };
  for (const [key, text] of Object.entries(said)) {
    const value = writer.options.find((option) => option.key === key)?.value;
    const known = writer.options.map((option) => option.key).join(', ');
    if (!value) return wrongOption(key, text, known === '' ? 'no options' : `one of ${known}`);
    const count = Number(text);
    if (value.is === 'count' && !(Number.isInteger(count) && count >= value.least && count <= value.most))
      return wrongOption(key, text, `a whole number from ${value.least} to ${value.most}`);
    if (value.is === 'choice' && !value.of.includes(text)) return wrongOption(key, text, `one of ${value.of.join(', ')}`);
    values[key] = value.is === 'count' ? count : text;
  }
  return { values };
}

const wrongOption = (key: string, value: string, expected: string): { readonly fault: Notice } => ({
  fault: fault({
    ...{ code: 'wrong-choice', path: key, value, what: `The format has no such option as ${key} = ${value}`, expected },
    remedy: `Give ${expected}, or leave it out`,
  }),
});
