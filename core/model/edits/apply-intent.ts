import { applyPatches, enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';
import { checkModel } from '../check';
import type { Model } from '../model';
import { fault, isFault, type Notice } from '../notice';
import { keyedLists, settingKeys, type Intent, type KeyedList } from './intent';
import { removeDependents } from './remove-dependents';

enablePatches();

export type Applied =
  | { readonly ok: true; readonly model: Model; readonly patches: readonly Patch[]; readonly inverse: readonly Patch[] }
  | { readonly ok: false; readonly faults: readonly Notice[] };

type Entry = Record<string, unknown>;
type Lists = Record<KeyedList | 'loads', Entry[]>;

/**
 * (model, intent) → model, with the patches that lead there and back. The whole result is checked: an edit that would leave a fault
 * is refused with all its faults, and the model stays as it was. A model that cannot be solved yet is no fault here.
 */
export function applyIntent(model: Model, intent: Intent): Applied {
  const result = intent.type === 'patch' ? patched(model, intent.patches) : changed(model, intent);
  if (!isChange(result)) return { ok: false, faults: [result] };
  const [next, patches, inverse] = result;
  const checked = checkModel(next);
  if (!checked.model) return { ok: false, faults: checked.notices.filter(isFault) };
  // The edited model itself where nothing was converted: it shares all unchanged parts with the one before, and views can tell.
  return { ok: true, model: checked.converted ? checked.model : next, patches, inverse };
}

const isChange = (result: Change | Notice): result is Change => Array.isArray(result);

type Change = readonly [Model, readonly Patch[], readonly Patch[]];

function patched(model: Model, patches: readonly Patch[]): Change | Notice {
  try {
    return produceWithPatches(model, (draft) => applyPatches(draft, [...patches])) as Change;
  } catch {
    return unfit('patches', 'This step does not fit the model as it now is', 'Load the newer state and try again');
  }
}

const unfit = (path: string, what: string, remedy: string): Notice =>
  fault({ code: 'unfit-edit', path, value: undefined, what, expected: 'an edit that fits the model', remedy });

function changed(model: Model, intent: Exclude<Intent, { type: 'patch' }>): Change | Notice {
  let refusal: Notice | undefined;
  const result = produceWithPatches(model, (draft) => {
    refusal = change(draft, intent);
  });
  return refusal ?? (result as Change);
}

function change(draft: Draft<Model>, intent: Exclude<Intent, { type: 'patch' }>): Notice | undefined {
  const lists = draft as unknown as Lists;
  switch (intent.type) {
    case 'put':
      return put(lists, intent.list, intent.entry, intent.key);
    case 'putLoad':
      if (intent.at === undefined) lists.loads.push({ ...intent.load });
      else if (intent.at < lists.loads.length) lists.loads[intent.at] = { ...intent.load };
      else return unfit('at', `There is no load ${intent.at + 1}`, 'Choose a load of the list');
      return undefined;
    case 'draw':
      lists.nodes.push(...intent.nodes.map((node) => ({ ...node })));
      lists.members.push(...intent.members.map((member) => ({ ...member })));
      return undefined;
    case 'moveNodes':
      return move(lists, intent.moves);
    case 'stretch':
      for (const node of draft.nodes)
        if (node[intent.axis] >= intent.beyond - 1e-9) node[intent.axis] = rounded(node[intent.axis] + intent.by);
      return undefined;
    case 'remove':
      return remove(draft, lists, intent.list, intent.keys);
    case 'removeLoads': {
      const gone = new Set(intent.at);
      lists.loads = lists.loads.filter((_, i) => !gone.has(i));
      return undefined;
    }
    case 'set': {
      const unknown = Object.keys(intent.settings).find((key) => !(settingKeys as readonly string[]).includes(key));
      if (unknown !== undefined)
        return unfit(`settings.${unknown}`, `“${unknown}” is no setting of a model`, `Set ${settingKeys.join(', ')}`);
      for (const key of settingKeys) if (intent.settings[key] !== undefined) (draft as Entry)[key] = intent.settings[key];
      return undefined;
    }
  }
}

/** Sums of typed dimensions must not leave 7.199999999999999. */
const rounded = (x: number): number => Number(x.toFixed(9)) + 0;

/** Adds an entry, or puts it in the place of the one that has `key` (by default its own key). A renamed entry keeps its references. */
function put(lists: Lists, list: KeyedList, entry: Readonly<Entry>, key?: string): Notice | undefined {
  const keyName = keyedLists[list];
  const sought = key ?? entry[keyName];
  const at = lists[list].findIndex((item) => item[keyName] === sought);
  if (at < 0 && key !== undefined)
    return unfit('key', `There is no “${key}” to change in ${list}`, 'Choose an entry of the list');
  if (at < 0) lists[list].push({ ...entry });
  else lists[list][at] = { ...entry };
  if (key !== undefined && entry[keyName] !== key) rename(lists, list, key, String(entry[keyName]));
  return undefined;
}

/** Which keys of which lists name an entry of a list. */
const references: { readonly [list in KeyedList]?: readonly (readonly [KeyedList | 'loads', string])[] } = {
  nodes: [
    ['members', 'start'],
    ['members', 'end'],
    ['supports', 'node'],
    ['loads', 'node'],
  ],
  members: [['loads', 'member']],
  sections: [['members', 'section']],
  materials: [['members', 'material']],
  cases: [['loads', 'case']],
};

function rename(lists: Lists, list: KeyedList, from: string, to: string): void {
  for (const [other, key] of references[list] ?? []) for (const item of lists[other]) if (item[key] === from) item[key] = to;
  if (list !== 'cases' && list !== 'combinations') return;
  for (const combination of lists.combinations) {
    if (Array.isArray(combination.of)) combination.of = combination.of.map((id) => (id === from ? to : id));
    const factors = combination.factors as Record<string, number> | undefined;
    if (factors && Object.hasOwn(factors, from))
      combination.factors = Object.fromEntries(Object.entries(factors).map(([id, factor]) => [id === from ? to : id, factor]));
  }
}

function move(
  lists: Lists,
  moves: readonly { readonly id: string; readonly x: number; readonly y: number }[],
): Notice | undefined {
  const nodes = new Map(lists.nodes.map((node) => [node.id, node]));
  for (const { id, x, y } of moves) {
    const node = nodes.get(id);
    if (!node) return unfit('moves', `There is no node “${id}”`, 'Choose an existing node');
    node.x = rounded(x);
    node.y = rounded(y);
  }
  return undefined;
}

function remove(draft: Draft<Model>, lists: Lists, list: KeyedList, keys: readonly string[]): Notice | undefined {
  const gone = new Set(keys);
  const keyName = keyedLists[list];
  const before = lists[list].length;
  lists[list] = lists[list].filter((item) => !gone.has(item[keyName] as string));
  if (lists[list].length === before)
    return unfit('keys', `Nothing of the name ${keys.join(', ')} is left in ${list}`, 'Choose an existing entry');
  removeDependents(draft, list, gone);
  return undefined;
}
