import { keyedLists, type KeyedList } from '../edits/keyed-lists';
import { fieldsOfEntry } from '../entry-fields';
import type { Field, Fields } from '../fields';
import { isObject, type Entity } from '../findings';
import { rootFields } from '../schema';
import type { DimensionName } from '../../quantities/dimension';

/**
 * Where a number of a model stands, as the file names it: list, key of the entry and the keys in it, as steps of a JSON pointer (RFC 6901) without
 * its first stroke: `nodes/2/x`, `sections/rib/shape/h`, `combinations/U1/factors/G`; of a setting its keys: `analysis/secondOrder/sway/angle`.
 */
export type Place = readonly string[];

/** A key that would reach beyond an object’s own. */
const UNSAFE = '__proto__';
const escaped = (step: string): string => step.replaceAll('~', '~0').replaceAll('/', '~1');
const unescaped = (step: string): string => (step.includes('~') ? step.replaceAll('~1', '/').replaceAll('~0', '~') : step);

export const placeText = (...steps: readonly string[]): string => steps.map(escaped).join('/');
export const placeOf = (of: string): Place => of.split('/').map(unescaped);

export const isKeyedList = (name: string): name is KeyedList => Object.hasOwn(keyedLists, name);

/** The entry of a list that a place lies in, and the keys that are left; the model itself for a setting. */
export interface Held {
  readonly holder: Entity;
  readonly rest: readonly string[];
  readonly list?: KeyedList;
}

/** Finds entries of a model by their keys: each list is looked through once. */
export class Entries {
  private readonly lists = new Map<KeyedList, ReadonlyMap<unknown, number>>();
  constructor(private readonly model: Entity) {}

  /** `root`: the model, or a copy that is being written, whose lists have the same entries in the same order. */
  holding(place: Place, root: Entity = this.model): Held | undefined {
    const [first, key, ...rest] = place;
    if (first === undefined || !isKeyedList(first)) return { holder: root, rest: place };
    const at = key === undefined ? undefined : this.places(first).get(key);
    return at === undefined ? undefined : { holder: (root[first] as Entity[])[at]!, rest, list: first };
  }

  private places(list: KeyedList): ReadonlyMap<unknown, number> {
    let known = this.lists.get(list);
    if (!known) {
      const own = this.model[list];
      const entries = Array.isArray(own) ? (own as unknown[]) : [];
      known = new Map(entries.map((one, i) => [isObject(one) ? one[keyedLists[list]] : undefined, i]));
      this.lists.set(list, known);
    }
    return known;
  }
}

/** What a number at a place must be. */
export interface PlaceKind {
  readonly dimension: DimensionName;
  readonly degrees?: true;
}

const fieldsAt = ({ holder, list }: Held): Fields | undefined => (list === undefined ? rootFields : fieldsOfEntry(list, holder));

/** What may stand at the place by the table of fields; undefined where no number does. */
export function kindAt(held: Held): PlaceKind | undefined {
  const fields = fieldsAt(held);
  return fields && held.rest.length > 0 ? kindIn({ kind: 'object', fields }, held.rest) : undefined;
}

/** The field that stands at the end of these keys of objects, and places in lists. */
const fieldOf = (held: Held, keys: readonly string[]): Field | undefined => {
  const fields = fieldsAt(held);
  const within = (field: Field | undefined, key: string): Field | undefined => {
    if (field?.kind === 'list') return isCount(key) ? field.of : undefined;
    return field?.kind === 'object' && Object.hasOwn(field.fields, key) ? (field.fields as Fields)[key] : undefined;
  };
  return keys.reduce(within, fields && { kind: 'object', fields });
};

const isCount = (step: string | undefined): boolean => step !== undefined && /^\d{1,6}$/.test(step);

function kindIn(field: Field, [step, ...rest]: readonly string[]): PlaceKind | undefined {
  if (step === undefined) return leaf(field);
  switch (field.kind) {
    case 'object':
      return Object.hasOwn(field.fields, step) ? kindIn((field.fields as Fields)[step]!, rest) : undefined;
    case 'list':
      return isCount(step) ? kindIn(field.of, rest) : undefined;
    case 'factors':
      return rest.length === 0 && step !== UNSAFE ? { dimension: 'number' } : undefined;
    case 'vector':
      return rest.length === 0 && isCount(step) ? { dimension: field.dimension } : undefined;
    case 'steps':
    case 'place':
      return rest.length === 0 && isCount(step) ? { dimension: 'length' } : undefined;
    case 'corners':
      return rest.length === 1 && isCount(step) && isCount(rest[0]) ? { dimension: 'length' } : undefined;
    default:
      return undefined;
  }
}

const leaf = (field: Field): PlaceKind | undefined =>
  field.kind === 'quantity'
    ? { dimension: field.dimension, ...(field.degrees && { degrees: true }) }
    : field.kind === 'restraint'
      ? { dimension: field.dimension }
      : undefined;

const child = (parent: unknown, step: string): unknown =>
  Array.isArray(parent)
    ? isCount(step)
      ? (parent as unknown[])[Number(step)]
      : undefined
    : isObject(parent) && Object.hasOwn(parent, step)
      ? parent[step]
      : undefined;

/** What stands at the place. */
export const valueAt = ({ holder, rest }: Held): unknown => rest.reduce<unknown>(child, holder);

/** How long the lists are that a place counts in: where that changes, it may be another’s place. */
export function countsAlong({ holder, rest }: Held): string {
  let at: unknown = holder;
  const counts: number[] = [];
  for (const step of rest) {
    if (Array.isArray(at)) counts.push(at.length);
    at = child(at, step);
  }
  return counts.join();
}

/**
 * Puts a number at the place: whether there was something to put it into. Only the last step may be new, and factors by name that it is the
 * first of, or a point of a section where none was said, which is its origin.
 */
export function putAt(held: Held, value: number): boolean {
  const { holder, rest } = held;
  const last = rest.at(-1)!;
  const within = rest.slice(0, -1);
  let parent = within.reduce<unknown>(child, holder);
  const kind = parent === undefined ? fieldOf(held, within)?.kind : undefined;
  if (kind === 'factors' || kind === 'place') {
    const around = within.slice(0, -1).reduce<unknown>(child, holder);
    if (isObject(around)) parent = around[within.at(-1)!] = kind === 'place' ? [0, 0] : {};
  }
  if (Array.isArray(parent)) {
    if (!(Number(last) < parent.length)) return false;
    parent[Number(last)] = value;
  } else if (isObject(parent) && last !== UNSAFE) parent[last] = value;
  else return false;
  return true;
}
