/** The quantities along a member, in the order and with the degree in which a piece stores their coefficients. */
export const lineQuantities = ['N', 'Vy', 'Mz', 'u', 'v'] as const;
export type LineQuantity = (typeof lineQuantities)[number];

/** Degree of each polynomial under linear loads: N and V quadratic, M and u cubic, v of degree five. */
const DEGREES: Record<LineQuantity, number> = { N: 2, Vy: 2, Mz: 3, u: 3, v: 5 };

const OFFSETS: Record<LineQuantity, number> = { N: 0, Vy: 3, Mz: 6, u: 10, v: 14 };

/** Coefficients of one piece. */
export const PIECE_WIDTH = 20;

export const degreeOf = (quantity: LineQuantity): number => DEGREES[quantity];
export const offsetOf = (quantity: LineQuantity): number => OFFSETS[quantity];
