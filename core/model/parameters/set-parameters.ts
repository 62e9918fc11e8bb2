import { sameDimension } from '../../quantities/dimension';
import { readExpression } from '../../quantities/expression';
import { ParseFault } from '../../quantities/parse-fault';
import { fromUnit } from '../../quantities/show';
import type { Checked } from '../check';
import { applyIntent } from '../edits/apply-intent';
import type { IntentOf } from '../edits/intent';
import type { Model, Parameter } from '../model';
import { fault } from '../notice';
import { dimensionOfUnit, namedBy, parameterPlace } from './evaluate';
import { keptText, mentionsAny } from './typed';

type Put = IntentOf<'put'>;
type Change = Put | IntentOf<'remove'>;

export type Setting =
  | { readonly ok: true; readonly intents: readonly Change[] }
  | { readonly ok: false; readonly reason: string };

/** What gives a parameter of the model a value in SI: an expression that it had goes. */
export const setting = (model: Model, parameter: Parameter, value: number): Put | IntentOf<'batch'> => {
  const put: Put = { type: 'put', list: 'parameters', entry: { ...parameter, value }, key: parameter.id };
  const of = parameterPlace(parameter.id);
  if (!model.formulas?.some((one) => one.of === of)) return put;
  return { type: 'batch', intents: [{ type: 'remove', list: 'formulas', keys: [of] }, put] };
};

/** What gives a parameter what was typed for it: a number (without a unit in the parameter’s own), or an expression of others. */
export function settingTyped(model: Model, name: string, text: string): Setting {
  const parameter = model.parameters?.find(({ id }) => id === name);
  if (!parameter) {
    const known = (model.parameters ?? []).map(({ id }) => id).join(', ');
    return { ok: false, reason: known ? `There is no parameter “${name}”: ${known}` : 'The model has no parameters' };
  }
  const of = parameterPlace(name);
  const { scope } = namedBy(model.parameters!, model.formulas ?? []);
  try {
    const read = readExpression(text, scope);
    const isBare = !read.hasUnit;
    const { unit = '' } = parameter;
    if (!isBare && !sameDimension(read.dimension, dimensionOfUnit(unit)!))
      return { ok: false, reason: `${name} = ${text}: its unit is not one for ${unit === '' ? 'a plain number' : unit}` };
    if (mentionsAny(text, scope))
      return { ok: true, intents: [{ type: 'put', list: 'formulas', entry: { of, is: keptText(text, isBare ? unit : '') } }] };
    const value = isBare ? fromUnit(read.value, unit) : read.value;
    return {
      ok: true,
      intents: [setting(model, parameter, value)].flatMap((one) => (one.type === 'batch' ? (one.intents as Change[]) : [one])),
    };
  } catch (fault) {
    if (fault instanceof ParseFault) return { ok: false, reason: `${name} = ${text}: ${fault.message}` };
    throw fault;
  }
}

/** The model with other values of its parameters, all at once; what hangs on them follows. */
export function withSettings(model: Model, settings: readonly (readonly [name: string, text: string])[]): Checked {
  const intents: Change[] = [];
  for (const [name, text] of settings) {
    const change = settingTyped(model, name, text);
    if (!change.ok)
      return {
        notices: [
          fault({
            code: 'bad-setting',
            path: `parameters.${name}`,
            value: undefined,
            what: change.reason,
            expected: 'a parameter of the model and its value',
            remedy: 'Write a value with its unit, as span=14m',
          }),
        ],
      };
    intents.push(...change.intents);
  }
  const applied = applyIntent(model, { type: 'batch', intents });
  return applied.ok ? { model: applied.model, notices: [] } : { notices: applied.faults };
}
