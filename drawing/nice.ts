/** The largest of 1, 2, 5 × 10ⁿ that is not above x. */
export function niceBelow(x: number): number {
  const power = 10 ** Math.floor(Math.log10(x));
  const lead = x / power;
  return (lead >= 5 - 1e-9 ? 5 : lead >= 2 - 1e-9 ? 2 : 1) * power;
}

/** The smallest round number that is not below x, in steps that come near to it: what a length of a drawing stands for. */
export function scaleAbove(x: number): number {
  const power = 10 ** Math.floor(Math.log10(x));
  const lead = x / power;
  return (STEPS.find((step) => step >= lead - 1e-9) ?? 10) * power;
}
const STEPS = [1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10];
