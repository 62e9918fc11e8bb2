import { writeModelFile } from '@rigid-beam/core/formats/model-file';
import type { Writing } from '../asked';
import { words, type Block } from '../blocks';
import { reportWords as WORDS } from '../words';

/** The model itself, from which all of it can be found again; a picture behind the drawing is none that one reads as letters. */
export function model({ model: written }: Writing): Block[] {
  const { underlay, ...rest } = written;
  return [...(underlay ? [words(WORDS.withoutUnderlay)] : []), { is: 'listing', text: writeModelFile(rest) }];
}
