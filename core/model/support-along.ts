import { memberAxes } from './local-axes';
import type { Model, Support } from './model';
import { placesOf } from './places';
import { minus, size, times, type Point } from './point';

/** A member that ends at a node, and the way in which it runs. */
export interface Meeting {
  readonly id: string;
  readonly way: Point;
}

/** The members that end at a node, in their order. */
export function membersAt(model: Model, node: string): readonly Meeting[] {
  const places = placesOf(model);
  return model.members.flatMap(({ id, start, end }): Meeting[] => {
    const [a, b] = [places.get(start), places.get(end)];
    if ((start !== node && end !== node) || !a || !b) return [];
    const way = minus(b, a);
    return size(way) > 0 ? [{ id, way }] : [];
  });
}

/** The direction of a plane member as a line, which has no sense: between −90 and 90 degrees. */
function slopeOf([x, y]: Point): number {
  const degrees = (Math.atan2(y, x) * 180) / Math.PI;
  const turned = degrees > 90 ? degrees - 180 : degrees <= -90 ? degrees + 180 : degrees;
  return Math.round(turned * 1e9) / 1e9 + 0;
}

/** The same line with its sense to the right, to the front where it runs neither way, else up. */
const withSense = (way: Point): Point => {
  const sense = Math.sign([way[0], way[2], way[1]].find((part) => Math.abs(part) > 1e-9 * size(way)) ?? 1);
  return times(way, sense);
};

const tidy = (part: number): number => Math.round(part * 1e12) / 1e12 + 0;

/** A support turned so that its x runs along a member and its y stands square to it, upright where that can be. */
export function turnedAlong(support: Support, { way }: Meeting, space: Model['space']): Support {
  const { angle: _, axes: __, ...rest } = support;
  if (space === 'plane') {
    const angle = slopeOf(way);
    return { ...rest, ...(angle !== 0 && { angle }) };
  }
  const [xx, xy, xz, yx, yy, yz] = [...memberAxes(...withSense(way), 0)].map(tidy) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return xx === 1 ? rest : { ...rest, axes: { x: [xx, xy, xz], y: [yx, yy, yz] } };
}

/**
 * A roller that rolls along a member of the node, so that its reaction stands square to it; along the most inclined one where several meet.
 * In space it is held both ways across. Undefined where no member ends there.
 */
export function supportAlongMember(model: Model, node: string): Support | undefined {
  const all = membersAt(model, node);
  const inclined = ({ way }: Meeting): number => {
    const level = Math.hypot(way[0], way[2]);
    return Math.min(Math.abs(way[1]), level) / size(way);
  };
  const [first, ...others] = all;
  if (!first) return undefined;
  const chosen = others.reduce((best, one) => (inclined(one) > inclined(best) + 1e-12 ? one : best), first);
  const held: Support = model.space === 'plane' ? { node, uy: 'fixed' } : { node, uy: 'fixed', uz: 'fixed' };
  return turnedAlong(held, chosen, model.space);
}
