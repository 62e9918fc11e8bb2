import { memberEnds, type Member, type Model } from './model';
import { minus, plus, pointOf, size, type Point } from './point';

export type NodePlaces = ReadonlyMap<string, Point>;

export const placesOf = (model: Pick<Model, 'nodes'>): Map<string, Point> =>
  new Map(model.nodes.map((node) => [node.id, pointOf(node)]));

/** Both ends of a member, end offsets included. */
export function endsOf(member: Member, places: NodePlaces): readonly [Point, Point] {
  const [from, to] = memberEnds.map((end) => plus(places.get(member[end])!, (member.offset?.[end] ?? [0, 0, 0]) as Point));
  return [from!, to!];
}

/** Length between the offset ends. */
export const lengthOf = (member: Member, places: NodePlaces): number => {
  const [from, to] = endsOf(member, places);
  return size(minus(to, from));
};
