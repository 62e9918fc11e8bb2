/** The largest of 1, 2, 5 × 10ⁿ that is not above x. */
export function niceBelow(x: number): number {
  const power = 10 ** Math.floor(Math.log10(x));
  const lead = x / power;
  return (lead >= 5 - 1e-9 ? 5 : lead >= 2 - 1e-9 ? 2 : 1) * power;
}

/** The smallest of 1, 2, 5 × 10ⁿ that is not below x. */
export function niceAbove(x: number): number {
  const below = niceBelow(x);
  if (below >= x * (1 - 1e-9)) return below;
  const lead = Math.round(below / 10 ** Math.floor(Math.log10(below) + 1e-9));
  return lead === 2 ? below * 2.5 : below * 2;
}
