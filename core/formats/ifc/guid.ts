import { v5 } from 'uuid';

/** Of the names that are made here: what has the same kind and id in a model has the same one in each of its files. */
const SPACE = '6f0c1c52-3f0b-5d0a-9a6e-6d1f7a2b8c44';
const LETTERS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz_$';

/** A globally unique identifier as ISO 10303-21 files of IFC write it: 128 bits by 22 letters, two bits in the first. */
export function guidOf(...name: readonly string[]): string {
  const bits = BigInt(`0x${v5(JSON.stringify(name), SPACE).replaceAll('-', '')}`);
  return Array.from({ length: 22 }, (_, i) => LETTERS[Number((bits >> BigInt(6 * (21 - i))) & 63n)]!).join('');
}
