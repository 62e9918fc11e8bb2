import { mechanismsWithRemedies } from '@rigid-beam/core/analysis/remedies';
import type { Model } from '@rigid-beam/core/model/model';
import { isFault } from '@rigid-beam/core/model/notice';
import { analysisFaults } from '@rigid-beam/core/stiffness/analysis-checks';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';

/** Reports all faults of a model file; says nothing but one line when there is none. */
export async function check(file: string, how: 'faults only' | 'seek remedies'): Promise<number> {
  const { model, notices } = await readInput(file);
  const all = [...notices, ...(model ? analysisFaults(model) : [])];
  printNotices(all);
  if (!model || all.some(isFault)) return exitCodes.invalid;
  if (how === 'seek remedies' && printRemedies(model) > 0) return exitCodes.unstable;
  console.log('No faults.');
  return exitCodes.solved;
}

/** Each way in which the structure can move, with the edits that stop it; how many there are. */
function printRemedies(model: Model): number {
  const harmful = mechanismsWithRemedies(model).filter(({ harmless }) => !harmless);
  for (const { description, remedies } of harmful) {
    console.error(`Fault: ${description}`);
    for (const remedy of remedies) console.log(`Remedy: ${remedy.description}.`);
    if (remedies.length === 0) console.log('No edit of one member or support was found that stops it.');
  }
  return harmful.length;
}
