import { displayOf } from '@rigid-beam/core/quantities/display';
import { workingsOf } from '@rigid-beam/core/workings/of-model';
import { workingsSteps, type WorkingsStepId } from '@rigid-beam/core/workings/blocks';
import { workingsStepsOf } from '@rigid-beam/core/workings/steps';
import type { NumbersWay } from '@rigid-beam/core/workings/number-words';
import { workingsText } from '@rigid-beam/core/workings/text';
import { workingsPage } from '@rigid-beam/drawing/workings/html-workings';
import type { workingsFormats } from './choices';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

export interface WorkingsOptions {
  readonly case?: string;
  readonly steps?: string;
  readonly members?: string;
  readonly as: (typeof workingsFormats)[number];
  readonly numbers: NumbersWay;
  readonly inEi?: true;
}

/** Prints how the results of a case come about, step by step. */
export async function workings(file: string, options: WorkingsOptions): Promise<number> {
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  const refuse = (words: string): number => {
    console.error(`Fault: ${words}.`);
    return exitCodes.invalid;
  };
  const wanted = listed(options.steps) as readonly WorkingsStepId[] | undefined;
  const odd = wanted?.find((step) => !workingsSteps.includes(step));
  if (odd !== undefined) return refuse(`There is no step “${odd}”. Choose of ${workingsSteps.join(', ')}`);
  const members = listed(options.members);
  const stranger = members?.find((id) => model.members.every((one) => one.id !== id));
  if (stranger !== undefined) return refuse(`There is no member “${stranger}”`);
  const caseId = options.case ?? model.cases[0]?.id ?? '';
  const found = workingsOf(model, caseId, members);
  if (typeof found === 'string') return refuse(found.replace(/\.$/, ''));
  if ('notices' in found) {
    printNotices(found.notices);
    return exitCodes.unstable;
  }
  const steps = workingsStepsOf(found, displayOf(model), members && new Set(members), options.inEi ? 'in EI' : 'plain').filter(
    ({ id }) => wanted?.includes(id) ?? true,
  );
  const title = `${model.title} · ${caseId}`;
  if (options.as === 'json')
    await print([`${JSON.stringify({ format: 'rigid-beam/workings', version: 1, case: caseId, steps }, null, 1)}\n`]);
  else if (options.as === 'html') await print([workingsPage(steps, { title, numbers: options.numbers })]);
  else await print([`${title}\n\n${workingsText(steps)}`]);
  return exitCodes.solved;
}

const listed = (text: string | undefined): readonly string[] | undefined => text?.split(',').map((one) => one.trim());
