import { isFault } from '@rigid-beam/core/model/notice';
import { readinessFaults } from '@rigid-beam/core/stiffness/readiness';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';

/** Reports all faults of a model file; says nothing but one line when there is none. */
export async function check(file: string): Promise<number> {
  const { model, notices } = await readInput(file);
  const all = [...notices, ...(model ? readinessFaults(model) : [])];
  printNotices(all);
  const faults = all.filter(isFault).length;
  if (faults === 0) console.log('No faults.');
  return faults === 0 ? exitCodes.solved : exitCodes.invalid;
}
