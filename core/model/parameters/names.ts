import { constants, functions } from '../../quantities/functions';
import { unitsOfWord } from '../../quantities/units';

const NAME = /^\p{L}[\p{L}\p{N}_]*$/u;

/** Why a text cannot be the name of a parameter; undefined for one that can. */
export function unfitName(name: string): string | undefined {
  if (!NAME.test(name)) return 'A name begins with a letter, and has letters, figures and _ only';
  if (unitsOfWord(name)) return `“${name}” is read as a unit`;
  if (functions.has(name) || constants.has(name)) return `“${name}” has a meaning of its own in expressions`;
  return undefined;
}
