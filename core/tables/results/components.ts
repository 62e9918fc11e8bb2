/** X, Y, Z, and the couples about them; a plane structure (`active` freedoms 0, 1, 5) has one couple. */
export const componentName = (k: number, active: readonly number[]): string =>
  k < 3 ? 'XYZ'[k]! : active.length === 3 ? 'M' : `M${'XYZ'[k - 3]}`;

/** The same of movements: along the axes, and turns about them. */
export const movementName = (k: number, active: readonly number[]): string =>
  k < 3 ? `u${'XYZ'[k]}` : active.length === 3 ? 'turn' : `turn ${'XYZ'[k - 3]}`;
