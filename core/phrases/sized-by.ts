import { kindAt, placeText } from '../model/parameters/place';
import { turnedRound } from '../model/parameters/turned-round';
import type { Entity } from '../model/findings';
import type { Varied } from './phrase';

export type Size = Varied['sizes'][number];

/**
 * A load in which the numbers that differ from those of the other one, made with other sizes, are expressions of these; undefined where one
 * follows no size in proportion.
 */
export const sizedBy = <T extends object>(load: T, other: object | undefined, sizes: readonly Size[]): T | undefined =>
  withExpressions(load, other, { load: load as unknown as Entity, sizes, place: [] }) as T | undefined;

/** A load, where in it one is, and the sizes that were told. */
interface Within {
  readonly load: Entity;
  readonly sizes: readonly Size[];
  readonly place: readonly string[];
}

function withExpressions(value: unknown, other: unknown, within: Within): unknown {
  if (typeof value === 'number' && typeof other === 'number') return value === other ? value : expressionOf(value, other, within);
  if (typeof value !== 'object' || value === null || typeof other !== 'object' || other === null)
    return value === other ? value : undefined;
  const entries = Object.entries(value).map(
    ([key, one]) =>
      [key, withExpressions(one, (other as Record<string, unknown>)[key], { ...within, place: [...within.place, key] })] as const,
  );
  if (Object.keys(other).length !== entries.length || entries.some(([, one]) => one === undefined)) return undefined;
  return Array.isArray(value) ? entries.map(([, one]) => one) : Object.fromEntries(entries);
}

const expressionOf = (value: number, other: number, { load, sizes, place }: Within): string | undefined =>
  textOfSize({ dimension: kindAt({ holder: load, rest: place, list: 'loads' })?.dimension, value, other }, sizes);

/** The size, times what, that a number is which has another value when the sizes have: one of the same dimension. */
export function textOfSize(
  { dimension, value, other }: Partial<Pick<Size, 'dimension'>> & Pick<Size, 'value' | 'other'>,
  sizes: readonly Size[],
): string | undefined {
  for (const size of sizes) {
    if (size.dimension !== dimension) continue;
    const times = size.value === 0 ? other / size.other : value / size.value;
    const meets = (one: number, beside: number): boolean => Math.abs(times * one - beside) <= 1e-9 * Math.abs(beside);
    if (!Number.isFinite(times) || !meets(size.other, other) || !meets(size.value, value)) continue;
    return timesText(times, size.kept);
  }
  return undefined;
}

const timesText = (times: number, text: string): string =>
  Math.abs(times - 1) < 1e-12
    ? text
    : Math.abs(times + 1) < 1e-12
      ? turnedRound(text)
      : `${Number(times.toPrecision(15))}*(${text})`;

/** The expression that gives the size of a load, and the places of the numbers that hang on that. */
export interface SizeGiven {
  readonly text: string | undefined;
  readonly places: readonly string[];
}

/** By what the size of a load is given, if one expression gives all numbers that hang on it. `other`: the load with another size. */
export function sizeGiven(
  load: { readonly id: string },
  other: object,
  size: number,
  textAt: (place: string) => string | undefined,
): SizeGiven {
  const all = [...hanging(load, other, [])].map(([value, place]) => ({
    times: value / size,
    place: placeText('loads', load.id, ...place),
  }));
  const texts = all.map(({ times, place }) => {
    const text = textAt(place);
    if (text === undefined || Math.abs(times - 1) < 1e-9) return text;
    if (Math.abs(times + 1) < 1e-9) return turnedRound(text);
    const [, factor, inner] = /^(-?[\d.]+(?:e-?\d+)?)\*\((.*)\)$/.exec(text) ?? [];
    return inner !== undefined && Math.abs(Number(factor) / times - 1) < 1e-9 ? inner : undefined;
  });
  return { text: texts.every((one) => one === texts[0]) ? texts[0] : undefined, places: all.map(({ place }) => place) };
}

/** The numbers that differ, and where they stand. */
function* hanging(value: unknown, other: unknown, place: readonly string[]): Generator<readonly [number, readonly string[]]> {
  if (typeof value === 'number' && value !== other) yield [value, place];
  if (typeof value !== 'object' || value === null || typeof other !== 'object' || other === null) return;
  for (const [key, one] of Object.entries(value)) yield* hanging(one, (other as Record<string, unknown>)[key], [...place, key]);
}
