/** The largest of 1, 2, 5 × 10ⁿ that is not above x. */
export function niceBelow(x: number): number {
  const power = 10 ** Math.floor(Math.log10(x));
  const lead = x / power;
  return (lead >= 5 - 1e-9 ? 5 : lead >= 2 - 1e-9 ? 2 : 1) * power;
}
