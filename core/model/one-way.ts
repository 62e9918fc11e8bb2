import type { OneWay, Support, Translation } from './model';

/** A support that pushes one way along an axis of its own, after a gap; both ways where none is given. Nothing is left of what says nothing. */
export function pushing(support: Support, along: Translation, way: OneWay | undefined, gap?: number): Support {
  const { oneWay, gaps, ...rest } = support;
  const ways = { ...without(oneWay, along), ...(way && { [along]: way }) };
  const lengths = { ...without(gaps, along), ...(way && gap && { [along]: gap }) };
  return {
    ...rest,
    ...(Object.keys(ways).length > 0 && { oneWay: ways }),
    ...(Object.keys(lengths).length > 0 && { gaps: lengths }),
  };
}

function without<T>(
  of: { readonly [along in Translation]?: T } = {},
  along: Translation,
): { readonly [along in Translation]?: T } {
  const { [along]: _, ...rest } = of;
  return rest;
}
