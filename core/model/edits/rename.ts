import { renameIn } from './rename-in-load';
import type { Draft } from 'immer';
import type { Model } from '../model';
import type { Notice } from '../notice';
import { keyedLists, type KeyedList } from './keyed-lists';
import { placeOf, placeText } from '../parameters/place';
import { renamedIn } from '../parameters/renamed';
import { unfit } from './unfit';

type Entry = Record<string, unknown>;
type Lists = Record<KeyedList, Entry[]>;

/** Which keys of which lists name an entry of a list. */
const references: { readonly [list in KeyedList]?: readonly (readonly [KeyedList, string])[] } = {
  nodes: [
    ['members', 'start'],
    ['members', 'end'],
    ['supports', 'node'],
    ['loads', 'node'],
  ],
  members: [
    ['loads', 'member'],
    ['expected', 'member'],
  ],
  sections: [['members', 'section']],
  materials: [['members', 'material']],
  cases: [
    ['loads', 'case'],
    ['loads', 'of'],
    ['expected', 'outcome'],
  ],
  combinations: [['expected', 'outcome']],
};

/** Gives entries of a list other names, all at once (so that two can change places); everything that names them follows. */
export function renameEntries(draft: Draft<Model>, list: KeyedList, names: Readonly<Record<string, string>>): Notice | undefined {
  const lists = draft as unknown as Lists;
  const key = keyedLists[list];
  const present = new Set((lists[list] ?? []).map((entry) => entry[key]));
  const missing = Object.keys(names).find((id) => !present.has(id));
  if (missing !== undefined)
    return unfit('names', `There is no “${missing}” to rename in ${list}`, 'Choose an entry of the list');
  for (const entry of lists[list]) {
    const next = nextName(names, entry[key]);
    if (next !== undefined) entry[key] = next;
  }
  renameReferences(draft, list, names);
  return undefined;
}

const nextName = (names: Readonly<Record<string, string>>, id: unknown): string | undefined =>
  typeof id === 'string' && Object.hasOwn(names, id) ? names[id] : undefined;

const renamedKeys = (
  names: Readonly<Record<string, string>>,
  factors: Readonly<Record<string, number>>,
): Record<string, number> =>
  Object.fromEntries(Object.entries(factors).map(([id, factor]) => [nextName(names, id) ?? id, factor]));

/** Keys in objects that are named for entries of a list. */
const namedKeys: { readonly [list in KeyedList]?: readonly string[] } = {
  materials: ['stiffness'],
  ...Object.fromEntries(['cases', 'actions', 'combinations'].map((list) => [list, ['factors', 'cases', 'beside']])),
};

/** Places of expressions lead through names, and expressions mention parameters. */
function renameInFormulas(draft: Draft<Model>, list: KeyedList, names: Readonly<Record<string, string>>): void {
  const before = namedKeys[list] ?? [];
  for (const formula of draft.formulas ?? []) {
    const place = placeOf(formula.of);
    const next = place.map((step, i) => {
      const isNamed =
        i === 1 ? place[0] === list || (place[0] === 'supports' && list === 'nodes') : i > 1 && before.includes(place[i - 1]!);
      return (isNamed ? nextName(names, step) : undefined) ?? step;
    });
    if (next.some((step, i) => step !== place[i])) formula.of = placeText(...next);
    if (list === 'parameters') formula.is = renamedIn(formula.is, names);
  }
}

/** Everything that names an entry of the list, after the entry itself was renamed. */
export function renameReferences(draft: Draft<Model>, list: KeyedList, names: Readonly<Record<string, string>>): void {
  const lists = draft as unknown as Lists;
  for (const [other, key] of references[list] ?? []) {
    for (const item of lists[other] ?? []) {
      const next = nextName(names, item[key]);
      if (next !== undefined) item[key] = next;
    }
  }
  renameInFormulas(draft, list, names);
  const stiffness = draft.analysis?.secondOrder?.stiffness;
  if (list === 'materials' && stiffness) draft.analysis!.secondOrder!.stiffness = renamedKeys(names, stiffness);
  const swinging = draft.analysis?.naturalModes;
  if (list === 'cases' && swinging?.cases) swinging.cases = renamedKeys(names, swinging.cases);
  const spectrum = swinging?.spectrum;
  if (list === 'cases' && spectrum?.beside) spectrum.beside = renamedKeys(names, spectrum.beside);
  if (list === 'nodes') {
    for (const one of swinging?.nodes ?? []) one.node = nextName(names, one.node) ?? one.node;
    const harmonic = swinging?.harmonic;
    if (harmonic) {
      harmonic.node = nextName(names, harmonic.node) ?? harmonic.node;
      if (harmonic.at !== undefined) harmonic.at = nextName(names, harmonic.at) ?? harmonic.at;
    }
  }
  const renamed = (ids: readonly string[]): string[] => ids.map((id) => nextName(names, id) ?? id);
  // Groups name them in lists, and so do loads on several things.
  if (list === 'nodes' || list === 'members')
    for (const item of [...(lists.groups ?? []), ...(lists.structures ?? [])]) {
      const ids = item[list] as readonly string[] | undefined;
      if (ids?.some((id) => Object.hasOwn(names, id))) item[list] = renamed(ids);
    }
  if (list === 'nodes' || list === 'members') {
    const next = (id: string): string => nextName(names, id) ?? id;
    const same = (id: string): string => id;
    const naming = list === 'nodes' ? { node: next, member: same } : { node: same, member: next };
    draft.loads.forEach((_, i) => renameIn(draft.loads, i, naming));
  }
  if (list === 'members')
    for (const chapter of draft.report?.chapters ?? [])
      if (chapter.chapter === 'members' && chapter.members) chapter.members = renamed(chapter.members);
  if (list !== 'cases' && list !== 'combinations' && list !== 'actions') return;
  const buckling = draft.analysis?.buckling;
  if (buckling) buckling.of = renamed(buckling.of);
  for (const action of draft.actions ?? []) action.of = renamed(action.of);
  for (const combination of draft.combinations) {
    if (combination.type === 'envelope') combination.of = renamed(combination.of);
    else
      combination.factors = Object.fromEntries(
        Object.entries(combination.factors).map(([id, factor]) => [nextName(names, id) ?? id, factor]),
      );
  }
}
