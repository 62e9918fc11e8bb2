import { formatOf } from '@rigid-beam/core/formats/registry';
import { checkModel, type Checked } from '@rigid-beam/core/model/check';
import { filled } from '@rigid-beam/core/sections/catalogue/fill';

/** The text of a file in a format that can be read, or a value that should be a model. */
export type AskedToRead = { readonly text: string; readonly format: string } | { readonly value: unknown };

/** Reads it, with all its faults. It takes as long as what it holds asks for. */
export const readAsked = (asked: AskedToRead): Checked =>
  'text' in asked ? filled(formatOf(asked.format)!.read!(asked.text)) : checkModel(asked.value);
