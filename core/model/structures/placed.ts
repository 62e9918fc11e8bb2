import type { Part } from '../part';
import { typicals } from '../typical/all';
import { uprightInSpace, type Typical } from '../typical/typical';
import type { PlacedMeasures } from './measures';

export const typicalOf = (type: string): Typical | undefined => typicals.find(({ id }) => id === type);

/** No member is drawn of it: what a section and a material are called does not matter. */
const NO_STUFF = { section: '', material: '' };

/** What the measures build, under ids of its own. */
export function builtOf({ type, values, upright }: Omit<PlacedMeasures, 'id'>): Part {
  const part = typicalOf(type)!.build(values, NO_STUFF);
  return upright ? uprightInSpace(part) : part;
}
