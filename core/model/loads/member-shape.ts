import { once } from '../../once';
import { memberAxes } from '../local-axes';
import type { Model } from '../model';
import { endsOf, placesOf } from '../places';
import { minus, size } from '../point';

/** What was found of a model's members; many targets ask for the same. */
const namesOf = once((nodes: Model['nodes'], list: Model['members']) => ({
  places: placesOf({ nodes }),
  members: new Map(list.map((one) => [one.id, one])),
}));

/** A member's local axes and its length between its offset ends. */
export function shapeOf(model: Model, id: string): { readonly axes: Float64Array; readonly length: number } | undefined {
  const found = namesOf(model.nodes, model.members);
  const member = found.members.get(id);
  if (!member || !found.places.has(member.start) || !found.places.has(member.end)) return undefined;
  const [start, end] = endsOf(member, found.places);
  const way = minus(end, start);
  return { axes: memberAxes(...way, model.space === 'plane' ? 0 : (member.roll ?? 0)), length: size(way) };
}
