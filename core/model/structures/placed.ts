import type { Part } from '../part';
import { typicals } from '../typical/all';
import { uprightInSpace, valueFault, type Typical } from '../typical/typical';
import type { PlacedMeasures, TypicalValues } from './measures';
import { structureWords as WORDS } from './words';

export const typicalOf = (type: string): Typical | undefined => typicals.find(({ id }) => id === type);

/** Nodes of a structure, at most: measures that would build more are a slip of the finger. */
export const MOST_NODES = 100_000;

/** No more nodes than so many stand at one crossing of the parts that are counted: a tower has four corners. */
const AT_A_CROSSING = 4;

/** Why measures cannot be built, and of which of them; undefined where they can. Nothing is built to tell it. */
export function unbuildable(type: string, values: TypicalValues): { readonly what: string; readonly key?: string } | undefined {
  const typical = typicalOf(type);
  if (!typical) return { what: WORDS.unknown(type) };
  for (const field of typical.fields) {
    const what = valueFault(field, values[field.key]);
    if (what !== undefined) return { what, key: field.key };
  }
  const nodes = typical.fields.reduce((product, { kind, key }) => {
    const value = values[key];
    return product * (kind === 'count' ? Number(value) + 1 : Array.isArray(value) ? value.length + 1 : 1);
  }, AT_A_CROSSING);
  return nodes > AT_A_CROSSING * MOST_NODES ? { what: WORDS.tooMany(MOST_NODES) } : undefined;
}

/** No member is drawn of it: what a section and a material are called does not matter. */
const NO_STUFF = { section: '', material: '' };

/** What the measures build, under ids of its own. */
export function builtOf({ type, values, upright }: Omit<PlacedMeasures, 'id'>): Part {
  const part = typicalOf(type)!.build(values, NO_STUFF);
  return upright ? uprightInSpace(part) : part;
}
