import { readable } from '@rigid-beam/core/formats/registry';
import { checkModel, type Checked } from '@rigid-beam/core/model/check';
import { filled } from '@rigid-beam/core/sections/catalogue/fill';

/** A file in a format that can be read, or a value that should be a model. */
export type AskedToRead = { readonly file: Uint8Array; readonly format: string } | { readonly value: unknown };

/** Reads it, with all its faults. It takes as long as what it holds asks for. */
export async function readAsked(asked: AskedToRead): Promise<Checked> {
  if (!('file' in asked)) return checkModel(asked.value);
  const format = readable.find(({ id }) => id === asked.format)!;
  await format.ready?.();
  return filled(format.reader.read(asked.file));
}
