import { produceWithPatches, type Patch } from 'immer';
import type { Model } from '../model';
import { keyedLists, type KeyedList } from './keyed-lists';

/** An entry or a setting that was changed here and elsewhere since both were the same. */
export interface Clash {
  readonly list: KeyedList | 'settings';
  readonly key: string;
  /** As it stands here and there; undefined where it was removed. */
  readonly here: unknown;
  readonly there: unknown;
}

export type Rebased =
  | { readonly ok: true; readonly patches: readonly Patch[] }
  | { readonly ok: false; readonly clashes: readonly Clash[] };

type Entry = Record<string, unknown>;
type Lists = Record<KeyedList, readonly Entry[] | undefined>;

/**
 * What an edit did to `base`, which became `here`, as patches on another state of the model: entry by entry, known by their keys and never
 * by their places. Whatever the edit changed must still be there as it was; otherwise nothing is done, and all that clashes is told.
 */
export function rebased(base: Model, here: Model, there: Model): Rebased {
  const clashes: Clash[] = [];
  const [, patches] = produceWithPatches(there, (draft) => {
    const settings = draft as unknown as Entry;
    for (const key of new Set([base, here].flatMap(Object.keys))) {
      if (Object.hasOwn(keyedLists, key)) continue;
      const [before, after, now] = [base, here, there].map((model) => (model as unknown as Entry)[key]);
      if (isSame(before, after) || isSame(after, now)) continue;
      if (!isSame(before, now)) clashes.push({ list: 'settings', key, here: after, there: now });
      else if (after === undefined) Reflect.deleteProperty(settings, key);
      else settings[key] = after;
    }
    for (const [list, keyName] of Object.entries(keyedLists) as [KeyedList, string][]) {
      const [before, after, now] = [base, here, there].map((model) => (model as unknown as Lists)[list] ?? []);
      if (before === after) continue;
      const merged = mergedList(keyName, before!, after!, now!, (key, mine, theirs) =>
        clashes.push({ list, key, here: mine, there: theirs }),
      );
      if (merged) (draft as unknown as Record<KeyedList, readonly Entry[]>)[list] = merged;
    }
  });
  return clashes.length > 0 ? { ok: false, clashes } : { ok: true, patches };
}

type Tell = (key: string, here: unknown, there: unknown) => void;

/** The entries there with what changed from `before` to `after`; undefined where that is nothing. */
function mergedList(
  keyName: string,
  before: readonly Entry[],
  after: readonly Entry[],
  now: readonly Entry[],
  tell: Tell,
): readonly Entry[] | undefined {
  const keyed = (entries: readonly Entry[]): Map<string, Entry> => new Map(entries.map((one) => [String(one[keyName]), one]));
  const [old, mine, theirs] = [keyed(before), keyed(after), keyed(now)];
  const result = new Map(theirs);
  let isChanged = false;
  for (const key of new Set([...old.keys(), ...mine.keys()])) {
    const [was, is, stands] = [old.get(key), mine.get(key), theirs.get(key)];
    if (isSame(was, is) || isSame(is, stands)) continue;
    if (!isSame(was, stands)) {
      tell(key, is, stands);
      continue;
    }
    isChanged = true;
    if (is) result.set(key, is);
    else result.delete(key);
  }
  const inOrder = reordered(old, mine, result);
  return isChanged || inOrder ? (inOrder ?? [...result.values()]) : undefined;
}

/** The result in the order that the edit gave to the entries, where it gave another one. */
function reordered(
  old: ReadonlyMap<string, Entry>,
  mine: ReadonlyMap<string, Entry>,
  result: ReadonlyMap<string, Entry>,
): readonly Entry[] | undefined {
  const common = (entries: ReadonlyMap<string, Entry>, others: ReadonlyMap<string, Entry>): string[] =>
    [...entries.keys()].filter((key) => others.has(key));
  if (common(old, mine).join('\0') === common(mine, old).join('\0')) return undefined;
  const place = new Map([...mine.keys()].map((key, i) => [key, i]));
  return [...result.entries()].sort(([a], [b]) => (place.get(a) ?? Infinity) - (place.get(b) ?? Infinity)).map(([, one]) => one);
}

const isSame = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** Clashes in words, with both states. */
export const clashWords = (clashes: readonly Clash[]): string =>
  clashes
    .slice(0, 3)
    .map(({ list, key, here, there }) => {
      const subject = list === 'settings' ? `The ${key}` : `${NAMES[list] ?? list} ${key}`;
      if (there === undefined) return `${subject} was removed in the other window; here it is ${stateWords(here, undefined)}`;
      if (here === undefined) return `${subject} was removed here; in the other window it is ${stateWords(there, undefined)}`;
      return `${subject} was changed in both windows: here ${stateWords(here, there)}, there ${stateWords(there, here)}`;
    })
    .join('. ') + (clashes.length > 3 ? `, and ${clashes.length - 3} more` : '');

const NAMES: Partial<Record<KeyedList, string>> = {
  nodes: 'Node',
  members: 'Member',
  supports: 'The support of node',
  loads: 'Load',
  cases: 'Load case',
  combinations: 'Combination',
  sections: 'Section',
  materials: 'Material',
  groups: 'Group',
  actions: 'Action',
  trains: 'Train',
  expected: 'Expected value',
  ruleSets: 'Set of rules',
  parameters: 'Parameter',
  formulas: 'Expression of',
  structures: 'Structure',
};

/** An entry as the file writes it; of two only what differs. */
function stateWords(state: unknown, other: unknown): string {
  const isEntry = typeof state === 'object' && state !== null && !Array.isArray(state);
  const shown =
    isEntry && typeof other === 'object' && other !== null
      ? Object.fromEntries(
          Object.keys({ ...other, ...state })
            .filter((key) => !isSame((state as Entry)[key], (other as Entry)[key]))
            .map((key) => [key, (state as Entry)[key] ?? null]),
        )
      : state;
  const text = JSON.stringify(shown) ?? 'not set';
  return text.length > 160 ? `${text.slice(0, 160)}…` : text;
}
