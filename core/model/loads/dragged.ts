import { INTENSITY_KEYS, sizeOf } from './intensities';
import type { LineLoad, NodeLoad, PointLoad } from './primitive';

/** The end of a line load, or a force, at another place of its member: metres from the start, of `length` in all. */
export function movedAlong<L extends LineLoad | PointLoad>(
  load: L,
  end: 'from' | 'to' | 'at',
  metres: number,
  length: number,
): L {
  const x = Math.min(Math.max(metres, 0), length);
  if (load.type === 'point') return load.measure === 'length' ? { ...load, at: x } : { ...load, at: x / length };
  const scale = load.measure === 'length' ? 1 : length;
  const [from, to] = [(load.from.at ?? 0) * scale, load.to.at === undefined ? length : load.to.at * scale];
  // The ends of a load do not pass each other.
  const least = 1e-3 * length;
  const ends = end === 'from' ? [Math.min(x, to - least), to] : [from, Math.max(x, from + least)];
  const placed = (at: number | undefined, { at: _, ...values }: LineLoad['from']): LineLoad['from'] =>
    at === undefined ? values : { at, ...values };
  return {
    ...load,
    measure: 'length',
    from: placed(ends[0]! <= 0 ? undefined : ends[0], load.from),
    to: placed(ends[1]! >= length ? undefined : ends[1], load.to),
  };
}

/** One end of a line load so many times as large, to two digits; a load that is the same all along stays so. */
export function resizedEnd(load: LineLoad, end: 'from' | 'to', factor: number): LineLoad {
  const isEven = INTENSITY_KEYS.every((key) => (load.from[key] ?? 0) === (load.to[key] ?? 0));
  const size = sizeOf(load[end]);
  const exact = size * Math.max(0, factor);
  const step = exact > 0 ? 10 ** Math.floor(Math.log10(exact) - 1) : 1;
  const wanted = Math.round(exact / step) * step;
  const scaled = (one: LineLoad['from']): LineLoad['from'] => ({
    ...one,
    ...Object.fromEntries(
      INTENSITY_KEYS.filter((key) => one[key]).map((key) => [key, Number(((one[key]! * wanted) / size).toPrecision(12))]),
    ),
  });
  return { ...load, [end]: scaled(load[end]), ...(isEven && { from: scaled(load.from), to: scaled(load.to) }) };
}

/** A force of the plane that comes from another side: `degrees` from the right, anticlockwise, in which it acts. */
export function turnedForce<L extends NodeLoad | PointLoad>(load: L, degrees: number): L {
  const size = Math.hypot(load.fx ?? 0, load.fy ?? 0);
  const { fx: _, fy: __, ...rest } = load;
  const turn = ((degrees % 360) + 360) % 360;
  const [cos, sin] = [0, 90, 180, 270].includes(turn)
    ? [[1, 0], [0, 1], [-1, 0], [0, -1]][turn / 90]!
    : [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)]; // oxfmt-ignore
  return { ...rest, ...(cos !== 0 && { fx: size * cos! }), ...(sin !== 0 && { fy: size * sin! }) } as unknown as L;
}
