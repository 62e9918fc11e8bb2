import { memberAxes } from '../local-axes';
import type { Member, Model } from '../model';
import { endsOf, placesOf, type NodePlaces } from '../places';
import { minus, size } from '../point';

/** What was found of a model's members; many targets ask for the same. */
const known = new WeakMap<Model, { readonly places: NodePlaces; readonly members: ReadonlyMap<string, Member> }>();

/** A member's local axes and its length between its offset ends. */
export function shapeOf(model: Model, id: string): { readonly axes: Float64Array; readonly length: number } | undefined {
  let found = known.get(model);
  if (!found)
    known.set(model, (found = { places: placesOf(model), members: new Map(model.members.map((one) => [one.id, one])) }));
  const member = found.members.get(id);
  if (!member || !found.places.has(member.start) || !found.places.has(member.end)) return undefined;
  const [start, end] = endsOf(member, found.places);
  const way = minus(end, start);
  return { axes: memberAxes(...way, model.space === 'plane' ? 0 : (member.roll ?? 0)), length: size(way) };
}
