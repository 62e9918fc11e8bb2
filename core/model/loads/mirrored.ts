import type { LineLoad, PointLoad } from './primitive';

/** The same load on its member as a mirror across the member's middle shows it: directions stay, places change. `length` in metres. */
export function mirroredOnMember<L extends LineLoad | PointLoad>(load: L, length: number): L {
  const end = load.measure === 'length' ? length : 1;
  const other = (at: number): number => Math.round((end - at) * 1e12) / 1e12;
  if (load.type === 'point') return { ...load, at: other(load.at) };
  const turned = ({ at, ...values }: LineLoad['from']): LineLoad['from'] =>
    at === undefined ? values : { at: other(at), ...values };
  return { ...load, from: turned(load.to), to: turned(load.from) };
}
