import type { Random } from '../../core/test/random';

const values: readonly unknown[] = [
  null, true, 0, -1, 1e308, 2147483648, 9e99, -1e308, 1e-60, 5e-324, 1e5, 1e-9, 0.1, 2, '', 'x', '\0', 'constructor', '__proto__',
  '../../etc', '<script>', '1 kN', '3 m', 'IPE 300', [], [null], [[]], {}, [1, 2, 3], { constructor: 1 }, { toString: 'x' }, { type: 'put' },
  { kind: 'turn' }, 'a'.repeat(70), '😀'.repeat(40), [1e10, 0, 0],
]; // oxfmt-ignore
/** What a careful reader may know, where it does not belong. */
const keys = ['constructor', 'toString', 'z', 'id', 'type', 'to', 'spread', 'width', 'openings', 'roll', 'shape', 'catalogue', 'members', 'nodes']; // oxfmt-ignore
const beside = (value: number, random: Random): number =>
  random.of([2 * value, value / 2, -value, value * 1e3, value * 1e-3, value * 1e9, value + 1e-9, value * 1e-12, value * 1e60]);

/** The same with one part, wherever it lies, replaced, doubled, moved, removed or added. */
export function spoiled(random: Random, value: unknown): unknown {
  if (typeof value === 'number' && random.below(2)) return beside(value, random);
  if (typeof value !== 'object' || value === null || random.below(6) === 0) return random.of(values);
  if (Array.isArray(value)) return spoiledList(random, value);
  const parts = value as Record<string, unknown>;
  const own = Object.keys(parts);
  const key = random.below(8) === 0 || own.length === 0 ? random.of(keys) : random.of(own);
  if (random.below(8) === 0) return Object.fromEntries(Object.entries(parts).filter(([other]) => other !== key));
  return Object.fromEntries([...Object.entries(parts), [key, spoiled(random, Object.hasOwn(parts, key) ? parts[key] : 0)]]);
}

function spoiledList(random: Random, list: readonly unknown[]): unknown[] {
  if (list.length === 0 || random.below(6) === 0) return [...list, random.of([...values, ...list])];
  const place = random.below(list.length);
  const part = list[place];
  const ways: (() => unknown[])[] = [
    () => list.toSpliced(place, 1),
    () => list.toSpliced(place, 0, part),
    () => list.with(place, random.of(list)),
    ...Array.from({ length: 6 }, () => () => list.with(place, spoiled(random, part))),
  ];
  return random.of(ways)();
}
