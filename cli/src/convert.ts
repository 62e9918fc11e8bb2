import { formatOf, formats } from '@rigid-beam/core/formats/registry';
import { fault, isFault } from '@rigid-beam/core/model/notice';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

/** Prints a model in another format on standard output. */
export async function convert(file: string, to: string): Promise<number> {
  const format = formatOf(to);
  if (!format) {
    printNotices([
      fault({
        code: 'wrong-choice',
        path: '--to',
        value: to,
        what: `There is no format “${to}”`,
        expected: 'a format that is registered',
        remedy: `Choose one of ${formats.map(({ id }) => id).join(', ')}`,
      }),
    ]);
    return exitCodes.invalid;
  }
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model || notices.some(isFault)) return exitCodes.invalid;
  await print(format.write(model));
  return exitCodes.solved;
}
