import { standingFor } from './actions';
import { categoryOf } from '../model/categories';
import { partsIn } from '../model/loads/expand';
import { isOneTerm, type ActionGroup, type LoadCase, type Model } from '../model/model';
import { freeName } from '../model/edits/next-id';
import type { Intent } from '../model/edits/intent';
import { loadedSets, partWords, USUAL_WAYS } from '../model/patterns/parts';

export type PatternBy = NonNullable<ActionGroup['by']>;
export type PatternWays = NonNullable<ActionGroup['ways']>;

/** How a case acts that is more than all of it at once. */
export type CaseForm = PatternBy | 'travelling';

/** A variable case that lies on several spans or holds trains, and how it acts. */
export interface PatternedCase {
  readonly loadCase: LoadCase;
  readonly action: ActionGroup | undefined;
  readonly trains: number;
  /** The sets that its pattern loads, in words: “spans 1, 3”. */
  readonly sets: readonly string[];
}

/** The variable cases of a sound model that lie on several spans or hold trains, or act otherwise than all at once already. */
export function patternedCases(model: Model): readonly PatternedCase[] {
  return model.cases.flatMap((loadCase): PatternedCase[] => {
    if (categoryOf(loadCase.category).isPermanent) return [];
    const action = standingFor(model, loadCase.id);
    const trains = model.loads.filter((load) => load.type === 'train' && load.case === loadCase.id).length;
    if (action?.type === 'travelling') return [{ loadCase, action, trains, sets: [] }];
    const { by = 'spans', ways = USUAL_WAYS } = action ?? {};
    const parts = partsIn(model, action ?? asPattern(loadCase.id, by));
    if (!action && trains === 0 && parts.filter(({ number }) => number !== undefined).length < 2) return [];
    const all = parts.filter(({ number }) => number !== undefined).length;
    return [
      {
        loadCase,
        action,
        trains,
        sets: loadedSets(parts, ways).map((set) => (set.length === all ? loadCase.id : partWords(by, set))),
      },
    ];
  });
}

const asPattern = (caseId: string, by: PatternBy): ActionGroup => ({ id: caseId, type: 'pattern', of: [caseId], by });

const divided =
  (by: PatternBy) =>
  (id: string): { name: string; label: string } => ({ name: `${id} by ${by}`, label: `Load ${id} by ${by}` });
const WORDS = {
  whole: (id: string) => ({ name: id, label: `Load ${id} everywhere at once` }),
  spans: divided('spans'),
  bays: divided('bays'),
  storeys: divided('storeys'),
  travelling: (id: string) => ({ name: `${id} travelling`, label: `Let the trains of ${id} travel` }),
} as const;

/** The edit that loads a case by its spans, or otherwise, lets its trains travel, or loads it everywhere again: wherever it stood, it stands in its new form. */
export function patterning(model: Model, caseId: string, form: CaseForm | undefined, ways?: PatternWays): Intent {
  const before = standingFor(model, caseId);
  const taken = [...model.cases, ...model.combinations, ...(model.actions ?? [])]
    .map(({ id }) => id)
    .filter((id) => id !== before?.id);
  const { name, label } = WORDS[form ?? 'whole'](caseId);
  const id = form === undefined ? caseId : freeName(name, taken);
  const own = ways ?? before?.ways;
  const entry =
    form === 'travelling'
      ? { id, type: form, of: [caseId] }
      : { id, type: 'pattern', of: [caseId], by: form, ...(own && { ways: own }) };
  if (before && form !== undefined)
    return {
      type: 'batch',
      label,
      intents: [
        ...(before.id === id ? [] : [{ type: 'rename', list: 'actions', names: { [before.id]: id } } as const]),
        { type: 'put', list: 'actions', entry, key: id },
      ],
    };
  // What was typed names the one or the other; rules ask anew.
  const [from, to] = before ? [before.id, caseId] : [caseId, id];
  const other = (one: string): string => (one === from ? to : one);
  const combinations = model.combinations.flatMap((one): Intent[] => {
    if (one.type === 'envelope')
      return one.of.includes(from)
        ? [{ type: 'put', list: 'combinations', entry: { ...one, of: one.of.map(other) }, key: one.id }]
        : [];
    if (!(from in one.factors)) return [];
    const factors = Object.fromEntries(Object.entries(one.factors).map(([term, factor]) => [other(term), factor]));
    return [{ type: 'put', list: 'combinations', entry: { ...one, factors }, key: one.id }];
  });
  const actions = (model.actions ?? []).flatMap((one): Intent[] =>
    !isOneTerm(one.type) && one.of.includes(from)
      ? [{ type: 'put', list: 'actions', entry: { ...one, of: one.of.map(other) }, key: one.id }]
      : [],
  );
  return {
    type: 'batch',
    label,
    intents: [
      ...(before ? [] : [{ type: 'put', list: 'actions', entry } as const]),
      ...actions,
      ...combinations,
      ...(before ? [{ type: 'remove', list: 'actions', keys: [before.id] } as const] : []),
    ],
  };
}
