import { outlineProperties } from '@rigid-beam/core/sections/built/properties';
import { readSection } from '@rigid-beam/core/sections/built/read-section';
import { exitCodes } from './exit-codes';
import { printNotices, readText } from './input';

/** Prints the properties of a section of any outline, or built of parts, as JSON in SI. */
export async function section(file: string): Promise<number> {
  const text = await readText(file);
  if (typeof text !== 'string') {
    printNotices([text]);
    return exitCodes.invalid;
  }
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    console.error(`Fault: ${file} is not valid JSON: ${(error as Error).message}.`);
    return exitCodes.invalid;
  }
  const read = readSection(value);
  printNotices(read.notices);
  if (!('lines' in read)) return exitCodes.invalid;
  const { solution: _, ...properties } = outlineProperties(read.lines);
  console.log(JSON.stringify({ format: 'rigid-beam/section-properties', version: 1, ...properties }, undefined, 1));
  return exitCodes.solved;
}
