import { answerOf, askedFor } from '@rigid-beam/core/combinations/asked';
import { taking } from '@rigid-beam/core/combinations/generate/difference';
import { tooManyWords, untoldWords } from '@rigid-beam/core/combinations/generate/words';
import { knownRules } from '@rigid-beam/core/combinations/rules/own';
import { readRules } from '@rigid-beam/core/combinations/rules/read-rules';
import type { RuleSet } from '@rigid-beam/core/combinations/rules/rule-set';
import { writeModelFile } from '@rigid-beam/core/formats/model-file';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { LimitState } from '@rigid-beam/core/model/categories';
import type { Combining, Model } from '@rigid-beam/core/model/model';
import { exitCodes } from './exit-codes';
import { printNotices, readInput, readText } from './input';

export interface CombineOptions {
  readonly rules: string;
  readonly limitState?: LimitState;
  readonly permanent?: NonNullable<Combining['permanent']>;
}

/** A set that comes with the program or stands in the model, by its id, or one of a file of rules. */
async function rulesOf(model: Model, name: string): Promise<RuleSet | undefined> {
  const all = knownRules(model);
  const known = all.find(({ id }) => id === name);
  if (known) return known;
  if (!name.endsWith('.json')) {
    console.error(
      `Fault: There is no set of rules “${name}”. Name one of ${all.map(({ id }) => id).join(', ')}, or a file of rules.`,
    );
    return undefined;
  }
  const text = await readText(name);
  if (typeof text !== 'string') {
    printNotices([text]);
    return undefined;
  }
  try {
    const { rules, notices } = readRules(JSON.parse(text), all);
    printNotices(notices);
    return rules;
  } catch (error) {
    console.error(`Fault: ${name} is not valid JSON: ${(error as Error).message}.`);
    return undefined;
  }
}

/** Prints the model with the combinations that rules ask for, each with its reason; what was typed stays. */
export async function combine(file: string, { rules: name, limitState, permanent }: CombineOptions): Promise<number> {
  const { model, notices } = await readInput(file);
  printNotices(notices);
  const rules = model && (await rulesOf(model, name));
  if (!model || !rules) return exitCodes.invalid;
  const wanted = { rules: rules.id, ...(permanent && { permanent }) };
  const combining = limitState ? askedFor(rules, wanted, [limitState]) : wanted;
  const { made, difference } = answerOf(model, combining, [rules])!;
  if (made.isTooMany || !difference) {
    if (made.isTooMany) console.error(`Fault: ${tooManyWords(made)}`);
    return exitCodes.invalid;
  }
  for (const words of untoldWords(rules, made.untold)) console.error(`Warning: ${words}`);
  const applied = applyIntent(model, taking(model, rules, combining, difference));
  if (!applied.ok) {
    printNotices(applied.faults);
    return exitCodes.invalid;
  }
  process.stdout.write(writeModelFile(applied.model));
  return exitCodes.solved;
}
