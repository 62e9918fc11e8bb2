import type { Model, Support } from './model';
import { placesOf } from './places';

/**
 * In the plane: a roller that rolls along a member of the node, so that its reaction stands square to it; along the most inclined one where
 * several meet. Undefined where no member ends there.
 */
export function supportAlongMember(model: Model, node: string): Support | undefined {
  const places = placesOf(model);
  const angles = model.members.flatMap(({ start, end }): number[] => {
    const [a, b] = [places.get(start), places.get(end)];
    if ((start !== node && end !== node) || !a || !b) return [];
    const degrees = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
    // A line has no sense: between −90 and 90.
    const turned = degrees > 90 ? degrees - 180 : degrees <= -90 ? degrees + 180 : degrees;
    return [Math.round(turned * 1e9) / 1e9 + 0];
  });
  if (angles.length === 0) return undefined;
  const inclined = (degrees: number): number => Math.min(Math.abs(degrees), 90 - Math.abs(degrees));
  const angle = angles.reduce((best, one) => (inclined(one) > inclined(best) ? one : best));
  return { node, uy: 'fixed', ...(angle !== 0 && { angle }) };
}
