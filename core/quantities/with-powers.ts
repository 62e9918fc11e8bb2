const POWERS: Readonly<Record<string, string>> = { 2: '²', 3: '³', 4: '⁴', 6: '⁶' };

/** A unit as it is printed: cm² for cm2. */
export const withPowers = (unit: string): string =>
  unit.replace(/([A-Za-z])([2346])/g, (_, letter: string, power: string) => letter + POWERS[power]!);
