import type { Refusal } from '@rigid-beam/core/formats/made-file';
import { exitCodes } from './exit-codes';
import { printNotices } from './input';

/** Says on standard error why a file was not made, and returns the exit code. */
export function refused(refusal: Refusal): number {
  if ('words' in refusal) console.error(`Fault: ${refusal.words}`);
  else printNotices(refusal.notices);
  return 'words' in refusal ? exitCodes.invalid : exitCodes[refusal.status];
}
