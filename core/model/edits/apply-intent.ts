import { applyPatches, current, enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';
import { checkModel } from '../check';
import { keepAnalysed, keepExpected, keepReported } from './keep-expected';
import { optionalLists } from '../schema';
import { giveLoadIds, hasLoadIds } from '../loads/ids';
import type { Model } from '../model';
import { isFault, type Notice } from '../notice';
import { rounded, type AxisName } from '../point';
import { removeDoubled } from './doubled';
import { followStructures } from '../structures/follow-structures';
import { followFormulas } from './follow-formulas';
import { insert } from './insert';
import { keyedLists, type KeyedList } from './keyed-lists';
import { settingKeys, type Intent, type IntentOf, type NodeMove, type Settings } from './intent';
import { join } from './join';
import { makeJoints } from './joints';
import { mergeNodes } from './merge';
import { removeDependents } from './remove-dependents';
import { renameEntries, renameReferences } from './rename';
import { repeat } from './repeat';
import { turnRound } from './turn-round';
import { split } from './split';
import { transform } from './transform';
import { unfit } from './unfit';

enablePatches();

export type Applied =
  | {
      readonly ok: true;
      readonly model: Model;
      readonly patches: readonly Patch[];
      readonly inverse: readonly Patch[];
      /** Something was read otherwise than it was sent, a quantity in a text: the patches alone do not lead to the model. */
      readonly converted: boolean;
      /** What the edit left out, in sentences: it would have meant something that is hardly meant. */
      readonly said: readonly string[];
    }
  | { readonly ok: false; readonly faults: readonly Notice[] };

type Entry = Record<string, unknown>;
/** Nodes within this distance (metres) of a grid line stand on it. */
const LINE = 1e-9;
type Lists = Record<KeyedList, Entry[]>;

/**
 * (model, intent) → model, with the patches that lead there and back. The whole result is checked: an edit that would leave a fault
 * is refused with all its faults, and the model stays as it was. A model that cannot be solved yet is no fault here. `trust` leaves
 * the check out: for a picture of what an edit that is still in hand would do, never for what is kept.
 */
export function applyIntent(model: Model, intent: Intent, checking: 'check' | 'trust' = 'check'): Applied {
  const said: string[] = [];
  const result = intent.type === 'patch' ? patched(model, intent.patches) : changed(model, intent, said);
  if (!isChange(result)) return { ok: false, faults: [result] };
  const [next, patches, inverse] = withLoadIds(result);
  if (checking === 'trust') return { ok: true, model: next, patches, inverse, converted: false, said };
  const checked = checkModel(next, model);
  if (!checked.model) return { ok: false, faults: checked.notices.filter(isFault) };
  // The edited model itself where nothing was converted: it shares all unchanged parts with the one before, and views can tell.
  const converted = checked.converted === true;
  return { ok: true, model: converted ? checked.model : next, patches, inverse, converted, said };
}

const isChange = (result: Change | Notice): result is Change => Array.isArray(result);

/** Loads that an edit has added get their ids. */
function withLoadIds(change: Change): Change {
  const [model, patches, inverse] = change;
  if (!Array.isArray(model.loads) || hasLoadIds(model.loads)) return change;
  const [next, more, back] = produceWithPatches(model, (draft) => giveLoadIds(draft.loads as unknown as Entry[])) as Change;
  return [next, [...patches, ...more], [...back, ...inverse]];
}

type Change = readonly [Model, readonly Patch[], readonly Patch[]];

function patched(model: Model, patches: readonly Patch[]): Change | Notice {
  try {
    return produceWithPatches(model, (draft) => applyPatches(draft, [...patches])) as Change;
  } catch {
    return unfit('patches', 'This step does not fit the model as it now is', 'Load the newer state and try again');
  }
}

function changed(model: Model, intent: Exclude<Intent, { type: 'patch' }>, said: string[]): Change | Notice {
  let refusal: Notice | undefined;
  const result = produceWithPatches(model, (draft) => {
    refusal = change(draft, intent, said);
    if (!refusal) {
      keepExpected(draft);
      keepReported(draft);
      keepAnalysed(draft);
      const tell = (words: string): void => void said.push(words);
      const followed = (before: Model): Notice | undefined =>
        draft.formulas && followFormulas({ draft, before, now: plain(draft), isRemoval: intent.type === 'remove', tell });
      refusal = followed(model);
      if (refusal || !draft.structures) return;
      const now = plain(draft);
      const reshaped = followStructures(draft, model, now, tell);
      refusal = reshaped.refusal;
      if (refusal || !reshaped.any) return;
      // What was asked of members that are no more goes with them, before expressions are followed once more.
      keepExpected(draft);
      keepReported(draft);
      refusal = followed(now);
    }
  });
  return refusal ?? (result as Change);
}

function change(draft: Draft<Model>, intent: Exclude<Intent, { type: 'patch' }>, said: string[]): Notice | undefined {
  const lists = draft as unknown as Lists;
  switch (intent.type) {
    case 'put':
      return put(draft, intent.list, intent.entry, intent.key);
    case 'draw':
      lists.nodes.push(...intent.nodes.map((node) => ({ ...node })));
      lists.members.push(...intent.members.map((member) => ({ ...member })));
      return undefined;
    case 'moveNodes':
      return move(draft, intent.moves);
    case 'stretch':
      return stretch(draft, intent.axis, intent.beyond, intent.by, intent.what ?? 'beyond');
    case 'remove':
      return remove(draft, lists, intent.list, intent.keys);
    case 'order':
      return ordered(lists, intent.list, intent.keys);
    case 'set':
      return set(draft as unknown as Entry, intent.settings);
    case 'transform':
      return transform(draft, plain(draft), intent.nodes, intent.motion);
    case 'repeat':
      return repeat(draft, plain(draft), intent, (words) => said.push(words));
    case 'split':
      return split(draft, plain(draft), intent.cuts);
    case 'join':
      return join(draft, plain(draft), intent.members);
    case 'joints':
      return makeJoints(draft, plain(draft), intent.members);
    case 'turnRound':
      return turnRound(draft, plain(draft), intent.members);
    case 'removeDoubled':
      return removeDoubled(draft, plain(draft));
    case 'merge':
      return mergeNodes(draft, plain(draft), intent.pairs);
    case 'insert':
      return insert(draft, plain(draft), intent);
    case 'rename':
      return renameEntries(draft, intent.list, intent.names);
    case 'underlay':
      if (intent.change === null) delete draft.underlay;
      else if (draft.underlay) Object.assign(draft.underlay, intent.change);
      else (draft as unknown as Entry).underlay = { ...intent.change };
      return undefined;
    case 'batch':
      return batch(draft, intent.intents, said);
  }
}

/** The model as it stands within an edit, as plain objects: reading a draft is slow. */
const plain = (draft: Draft<Model>): Model => current(draft) as Model;

/** One after the other; the first that does not fit refuses them all. */
function batch(draft: Draft<Model>, intents: readonly Intent[], said: string[]): Notice | undefined {
  for (let i = 0; i < intents.length; i++) {
    const intent = intents[i]!;
    if (intent.type === 'patch') return unfit('intents', 'Patches cannot be part of another edit', 'Send them alone');
    const alike = putsFrom(intents, i);
    const refusal = alike.length > 1 ? putAll(draft, alike) : change(draft, intent, said);
    if (refusal) return refusal;
    i += Math.max(0, alike.length - 1);
  }
  return undefined;
}

type Put = IntentOf<'put'>;

/** The entries that are put into one list from here on, each under its own key. */
function putsFrom(intents: readonly Intent[], from: number): readonly Put[] {
  const first = intents[from]!;
  if (first.type !== 'put' || first.key !== undefined) return [];
  const fits = (one: Intent): one is Put => one.type === 'put' && one.list === first.list && one.key === undefined;
  let to = from;
  while (to < intents.length && fits(intents[to]!)) to++;
  return intents.slice(from, to) as readonly Put[];
}

/** The same as one after the other, but the list is looked through once: a table of thousands of rows is put in as many steps as it has rows. */
function putAll(draft: Draft<Model>, puts: readonly Put[]): undefined {
  const { list } = puts[0]!;
  const lists = draft as unknown as Lists;
  const keyName = keyedLists[list];
  const there = (plain(draft) as unknown as Lists)[list] ?? [];
  const places = new Map(there.map((entry, at) => [entry[keyName], at]));
  const entries = (lists[list] ??= []);
  for (const { entry } of puts) {
    const key = entry[keyName];
    const at = key === undefined ? undefined : places.get(key);
    if (at === undefined) places.set(key, entries.length);
    entries[at ?? entries.length] = { ...entry };
  }
  return undefined;
}

/** Puts entries of a list in another order; each of them once. */
function ordered(lists: Lists, list: KeyedList, keys: readonly string[]): Notice | undefined {
  const key = keyedLists[list];
  const entries = new Map((lists[list] ?? []).map((entry) => [String(entry[key]), entry]));
  const isWhole = keys.length === entries.size && new Set(keys).size === keys.length && keys.every((one) => entries.has(one));
  if (!isWhole) return unfit('keys', `An order of ${list} names each of them once`, 'Name all of them');
  lists[list] = keys.map((one) => entries.get(one)!);
  return undefined;
}

function set(model: Entry, settings: Settings): Notice | undefined {
  const unknown = Object.keys(settings).find((key) => !(settingKeys as readonly string[]).includes(key));
  if (unknown !== undefined)
    return unfit(`settings.${unknown}`, `“${unknown}” is not a setting of a model`, `Set ${settingKeys.join(', ')}`);
  for (const key of settingKeys) {
    if (settings[key] === null) Reflect.deleteProperty(model, key);
    else if (settings[key] !== undefined) model[key] = settings[key];
  }
  return undefined;
}

function stretch(draft: Draft<Model>, axis: AxisName, beyond: number, by: number, what: 'beyond' | 'line'): undefined {
  for (const node of draft.nodes) {
    const at = node[axis] ?? 0;
    if (at < beyond - LINE || (what === 'line' && at > beyond + LINE)) continue;
    node[axis] = rounded(at + by);
  }
  return undefined;
}

/** Adds an entry, or puts it in the place of the one that has `key` (by default its own key). A renamed entry keeps its references. */
function put(draft: Draft<Model>, list: KeyedList, entry: Readonly<Entry>, key?: string): Notice | undefined {
  const lists = draft as unknown as Lists;
  const keyName = keyedLists[list];
  const sought = key ?? entry[keyName];
  lists[list] ??= [];
  const at = sought === undefined ? -1 : lists[list].findIndex((item) => item[keyName] === sought);
  if (at < 0 && key !== undefined)
    return unfit('key', `There is no “${key}” to change in ${list}`, 'Choose an entry of the list');
  if (at < 0) lists[list].push({ ...entry });
  else lists[list][at] = { ...entry };
  if (key !== undefined && entry[keyName] !== key) renameReferences(draft, list, { [key]: String(entry[keyName]) });
  return undefined;
}

function move(draft: Draft<Model>, moves: readonly NodeMove[]): Notice | undefined {
  const nodes = new Map(draft.nodes.map((node) => [node.id, node]));
  for (const { id, x, y, z } of moves) {
    const node = nodes.get(id);
    if (!node) return unfit('moves', `There is no node “${id}”`, 'Choose an existing node');
    node.x = rounded(x);
    node.y = rounded(y);
    if (z !== undefined && (z !== 0 || node.z !== undefined)) node.z = rounded(z);
  }
  return undefined;
}

function remove(draft: Draft<Model>, lists: Lists, list: KeyedList, keys: readonly string[]): Notice | undefined {
  const gone = new Set(keys);
  const model = plain(draft);
  const keyName = keyedLists[list];
  const before = lists[list]?.length ?? 0;
  lists[list] = (lists[list] ?? []).filter((item) => !gone.has(item[keyName] as string));
  if (lists[list].length === before)
    return unfit('keys', `Nothing of the name ${keys.join(', ')} is left in ${list}`, 'Choose an existing entry');
  if ((list in optionalLists || list === 'structures') && lists[list].length === 0) Reflect.deleteProperty(draft, list);
  removeDependents(draft, model, list, gone);
  return undefined;
}
