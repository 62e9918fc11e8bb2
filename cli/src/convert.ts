import { optionsOf } from '@rigid-beam/core/formats/format';
import { writable, written } from '@rigid-beam/core/formats/registry';
import { fault, isFault } from '@rigid-beam/core/model/notice';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

/** Prints a model in another format on standard output. */
export async function convert(file: string, to: string, said: Readonly<Record<string, string>> = {}): Promise<number> {
  const format = writable.find(({ id }) => id === to);
  if (!format) {
    printNotices([
      fault({
        code: 'wrong-choice',
        path: '--to',
        value: to,
        what: `There is no format “${to}” to be written`,
        expected: 'a format that is registered',
        remedy: `Choose one of ${writable.map(({ id }) => id).join(', ')}`,
      }),
    ]);
    return exitCodes.invalid;
  }
  const options = optionsOf(format.writer, said);
  if ('fault' in options) {
    printNotices([options.fault]);
    return exitCodes.invalid;
  }
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model || notices.some(isFault)) return exitCodes.invalid;
  await format.ready?.();
  for (const words of format.writer.leftOut?.(model) ?? []) console.error(`Note: ${words}`);
  await print(written(format, model, options.values));
  return exitCodes.solved;
}
