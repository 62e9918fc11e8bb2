import {
  ACTION_WAYS,
  EXPANDED_LOADS,
  FACTOR_SIZE,
  FACTOR_STEPS,
  FACTORS,
  FORMULAS,
  PANEL_STEPS,
  PARAMETERS,
  PARTS,
  RESULT_NUMBERS,
} from '../../limits';
import { once } from '../../once';
import { isObject, type Entity } from '../findings';
import { compoundKinds, isCompound } from '../loads/compound';
import type { LoadAmount } from '../loads/compound-kind';
import { inOrderOfReference } from '../reference-order';
import { listOf, numberOf, type RuleContext } from './context';
import { countWays } from './ways';

/** Numbers of a piece of a member, of a member and of a node in the results of one case. */
const OF_A_PIECE = { plane: 20, space: 34 } as const;
const OF_A_MEMBER = 12;
const OF_A_NODE = 12;

/**
 * What combinations, loads and results will hold is counted before anything is resolved, divided or solved: a few lines of a file may ask for
 * more than fits. Returns whether all of it fits.
 */
export function checkAmounts({ model, findings }: RuleContext): boolean {
  const [cases, combinations] = [listOf(model, 'cases'), listOf(model, 'combinations')];
  let fits = true;
  const tooMuch = (path: string, count: number, limit: number, what: string): void => {
    if (count <= limit) return;
    fits = false;
    findings.fault({
      code: 'too-much',
      path,
      value: count,
      what: `${what}: at most ${limit.toLocaleString('en')} fit`,
      expected: `at most ${limit.toLocaleString('en')}`,
      remedy: 'Divide the model, or leave out what is not needed',
    });
  };
  const ways = countWays(model);
  for (const list of ['actions', 'combinations'])
    listOf(model, list).forEach(({ id, type }, i) => {
      const own = type === 'envelope' ? 1 : (ways.get(id) ?? 1);
      if (own <= ACTION_WAYS) return;
      fits = false;
      findings.fault({
        code: 'too-many-ways',
        path: `${list}[${i}].${list === 'actions' ? 'of' : 'factors'}`,
        value: own,
        what: `“${String(id)}” could act in ${own.toLocaleString('en-GB')} ways, and ${ACTION_WAYS} is the most`,
        expected: `at most ${ACTION_WAYS} ways`,
        remedy: 'Let fewer cases turn round or take turns in it',
        subjects: [`${list === 'actions' ? 'action' : 'combination'} ${String(id)}`],
      });
    });
  tooMuch('parameters', listOf(model, 'parameters').length, PARAMETERS, 'There are too many parameters');
  tooMuch('formulas', listOf(model, 'formulas').length, FORMULAS, 'Too many numbers are given by expressions');
  const actions = listOf(model, 'actions');
  tooMuch('combinations', factorsOfWays(model, ways, cases.length), FACTORS, TOO_MUCH.factors);
  const { steps, largest } = factorsOfSums(combinations, cases.length + actions.length);
  tooMuch('combinations', steps, FACTOR_STEPS, 'The sums of sums take too many additions when they are resolved to load cases');
  if (largest && largest.size > FACTOR_SIZE) {
    fits = false;
    findings.fault({
      code: 'too-large',
      path: 'combinations',
      value: largest.id,
      what: `The factors of “${largest.id}” multiply to more than ${FACTOR_SIZE.toLocaleString('en')} when it is resolved to load cases`,
      expected: `factors of ${FACTOR_SIZE.toLocaleString('en')} at the most`,
      remedy: 'Correct the factors, or name the load cases themselves',
      subjects: [`combination ${largest.id}`],
    });
  }
  tooMuch('combinations', partsOfEnvelopes(combinations, ways), PARTS, TOO_MUCH.parts);

  const width = widthOf(model);
  const loads = listOf(model, 'loads');
  const members = listOf(model, 'members');
  const whole = cases.length * numbersOfCase(model);
  // A load that begins or ends inside a member cuts it there, in its own case.
  const cuts = loads.reduce((sum, load) => sum + cutsOf(load), 0);
  tooMuch('cases', whole + cuts * width, RESULT_NUMBERS, 'The results of all load cases would hold too many numbers');
  const amount = amountOf(loads, members);
  tooMuch('loads', amount.steps, PANEL_STEPS, 'The pressures on panels take too many steps to be divided among members');
  tooMuch('loads', amount.loads, EXPANDED_LOADS, 'The loads stand for too many loads on single members and nodes');
  return fits;
}

export const TOO_MUCH = {
  factors: 'The sums have too many factors when they are resolved to load cases',
  parts: 'The envelopes have too many parts when they are resolved',
} as const;

/** How many factors there are when sums are resolved: each way has one on each solved case, and each sum one on each action before its ways are made. */
export function factorsOfWays(model: Entity, ways: ReadonlyMap<unknown, number>, solved: number): number {
  const actions = listOf(model, 'actions');
  const sums = listOf(model, 'combinations').filter(({ type }) => type === 'sum');
  const count = [...sums, ...actions].reduce((sum, { id }) => sum + (ways.get(id) ?? 1), 0);
  return count * solved + sums.length * actions.length;
}

const widthOf = ({ space }: Entity): number => OF_A_PIECE[space === 'space' ? 'space' : 'plane'];

/** Numbers in the results of a case whose loads cut no member. */
export const numbersOfCase = (model: Entity): number =>
  listOf(model, 'members').length * (widthOf(model) + OF_A_MEMBER) + listOf(model, 'nodes').length * OF_A_NODE;

/** What expanding all loads takes, at the most. */
function amountOf(loads: readonly Entity[], members: readonly Entity[]): LoadAmount {
  const meeting = new Map<unknown, number>();
  for (const { start, end } of members) for (const node of [start, end]) meeting.set(node, (meeting.get(node) ?? 0) + 1);
  const byCase = new Map<unknown, number>();
  const total = { steps: 0, loads: 0 };
  for (const load of loads) {
    const kind = typeof load.type === 'string' && isCompound(load as { type: string }) ? load.type : undefined;
    const amount = kind && compoundKinds[kind as keyof typeof compoundKinds].amount(load, (node) => meeting.get(node) ?? 0);
    const own = amount ? amount.loads : load.type === 'notional' ? 0 : 1;
    total.steps += amount ? amount.steps : 0;
    total.loads += own;
    byCase.set(load.case, (byCase.get(load.case) ?? 0) + own);
  }
  for (const { type, of } of loads) if (type === 'notional') total.loads += byCase.get(of) ?? 0;
  return total;
}

/** How many additions resolving all sums takes, and the one whose factors may become the largest. */
const factorsOfSums = once((combinations: readonly Entity[], terms: number): FactorsOfSums => {
  const sums = combinations.flatMap(({ id, factors }) =>
    typeof id === 'string' && isObject(factors) ? [{ id, parts: Object.keys(factors) }] : [],
  );
  const known = new Map(sums.map((one) => [one.id, one.parts]));
  const factorsOf = new Map(combinations.map(({ id, factors }) => [id, factors]));
  const sizes = new Map<string, number>();
  let steps = 0;
  let largest: { readonly id: string; readonly size: number } | undefined;
  for (const id of inOrderOfReference(sums)) {
    const factors = factorsOf.get(id) as Entity;
    let size = 0;
    for (const part of known.get(id)!) {
      if (known.has(part)) steps += terms;
      size += Math.abs(numberOf(factors[part])) * (sizes.get(part) ?? 1);
    }
    sizes.set(id, size);
    if (!largest || size > largest.size) largest = { id, size };
  }
  return { steps, largest };
});

interface FactorsOfSums {
  readonly steps: number;
  readonly largest: { readonly id: string; readonly size: number } | undefined;
}

const cutsOf = ({ type, from, to }: Entity): number =>
  type === 'point' ? 1 : Number(isObject(from) && from.at !== undefined) + Number(isObject(to) && to.at !== undefined);

/** How many there are in all when envelopes of envelopes are resolved; no more than is refused anyway is counted. */
export const partsOfEnvelopes = once((combinations: readonly Entity[], ways: ReadonlyMap<unknown, number>): number => {
  const envelopes = combinations.flatMap(({ id, of }) =>
    typeof id === 'string' && Array.isArray(of) ? [{ id, parts: of.filter((part) => typeof part === 'string') }] : [],
  );
  const known = new Map(envelopes.map(({ id, parts }) => [id, parts]));
  const resolved = new Map<string, ReadonlySet<string>>();
  let count = 0;
  for (const id of inOrderOfReference(envelopes)) {
    const own = new Set<string>();
    for (const part of known.get(id)!) for (const one of resolved.get(part) ?? [part]) own.add(one);
    resolved.set(id, own);
    for (const one of own) count += ways.get(one) ?? 1;
    if (count > PARTS) break;
  }
  return count;
});
