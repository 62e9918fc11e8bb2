import { showQuantity } from '../../quantities/show';
import type { Formula, Parameter } from '../model';
import { dimensionOfUnit, given, isSameNumber, namedBy, parameterPlace } from '../parameters/evaluate';
import { unfitName } from '../parameters/names';
import { Entries, kindAt, placeOf, valueAt } from '../parameters/place';
import { placeSaid } from '../parameters/words';
import { listOf, type RuleContext } from './context';

/** Parameters have names that can be told from units, and values in their range; expressions give the numbers that stand in their places. */
export function checkParameters(context: RuleContext): void {
  const parameters = listOf(context.model, 'parameters') as unknown as Parameter[];
  const formulas = listOf(context.model, 'formulas') as unknown as Formula[];
  if (parameters.length + formulas.length === 0) return;
  parameters.forEach((one, i) => checkParameter(context, one, i));
  const named = namedBy(parameters, formulas);
  const entries = new Entries(context.model);
  formulas.forEach((formula, i) => {
    const { of, is } = formula;
    if (typeof of !== 'string' || typeof is !== 'string') return;
    const path = `formulas[${i}].is`;
    const place = placeOf(of);
    const held = entries.holding(place);
    const isParameter = place[0] === 'parameters';
    const kind = held && (isParameter ? undefined : kindAt(held));
    if (!held || (isParameter ? of !== parameterPlace(place[1]!) : !kind))
      return void context.findings.fault({
        code: 'no-such-place',
        path: `formulas[${i}].of`,
        value: of,
        what: 'There is no number at this place that an expression could give',
        expected: 'list, entry and keys of a number, as nodes/2/x',
        remedy: 'Name a number of the model, or remove the expression',
      });
    const reason = isParameter ? named.reasons.get(place[1]!) : undefined;
    const value = kind ? given(is, kind, named) : reason === undefined ? named.scope.get(place[1]!)! : { reason };
    if ('reason' in value)
      return void context.findings.fault({
        code: 'bad-expression',
        path,
        value: is,
        what: `“${is}” gives nothing (${placeSaid(context.model, of)}): ${value.reason}`,
        expected: 'an expression of parameters, numbers and units',
        remedy: 'Mend the expression, or write a number in its place',
        subjects: [placeSaid(context.model, of)],
      });
    const stands = valueAt(held);
    if (typeof stands === 'number' && isSameNumber(stands, value.value)) return;
    context.findings.fault({
      code: 'stale-expression',
      path,
      value: is,
      what: `${placeSaid(context.model, of)} is ${stands === undefined ? 'not given' : String(stands)}, but “${is}” gives ${value.value}`,
      expected: 'the number that the expression gives',
      remedy: 'Write one of the two',
      subjects: [placeSaid(context.model, of)],
    });
  });
}

function checkParameter({ findings }: RuleContext, { id, unit, value, from, to, step }: Parameter, i: number): void {
  const subjects = [`parameter ${id}`];
  const unfit = typeof id === 'string' ? unfitName(id) : undefined;
  if (unfit !== undefined)
    findings.fault({
      code: 'unfit-name',
      path: `parameters[${i}].id`,
      value: id,
      what: `This cannot be the name of a parameter: ${unfit}`,
      expected: 'a name such as span or h_1',
      remedy: 'Choose another name',
      subjects,
    });
  if (typeof unit === 'string' && !dimensionOfUnit(unit))
    findings.fault({
      code: 'bad-unit',
      path: `parameters[${i}].unit`,
      value: unit,
      what: `“${unit}” is no unit`,
      expected: 'a unit such as m or kN/m; none for a plain number',
      remedy: 'Write a unit, or leave it out',
      subjects,
    });
  const shown = (one: number): string =>
    typeof unit === 'string' && dimensionOfUnit(unit) ? showQuantity(one, unit, 6) : String(one);
  const isRange = from === undefined || to === undefined || from < to;
  const isInside = !(value < (from ?? value) - slack(value)) && !(value > (to ?? value) + slack(value));
  if (isRange && isInside && (step === undefined || step > 0)) return;
  findings.fault({
    code: 'outside-range',
    path: `parameters[${i}].${isRange && isInside ? 'step' : isRange ? 'value' : 'to'}`,
    value: isRange && isInside ? step : isRange ? value : to,
    what: !isRange
      ? `The range of “${id}” ends before it begins`
      : isInside
        ? `The step of “${id}” is not greater than 0`
        : `“${id}” is ${shown(value)} and lies outside its range, ${from === undefined ? '' : `from ${shown(from)}`}${to === undefined ? '' : ` to ${shown(to)}`}`,
    expected: 'a value from the beginning of the range to its end, and a step greater than 0',
    remedy: 'Change the value, or its range',
    subjects,
  });
}

const slack = (value: number): number => 1e-9 * Math.abs(value);
