/** The quantities along a member, in the order in which a piece stores their coefficients. */
export const lineQuantities = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz', 'u', 'v', 'w'] as const;
export type LineQuantity = (typeof lineQuantities)[number];

/** Degree of each polynomial under linear loads: N and V quadratic, T constant, M and u cubic, v and w of degree five. */
const DEGREES: Record<LineQuantity, number> = { N: 2, Vy: 2, Vz: 2, T: 0, My: 3, Mz: 3, u: 3, v: 5, w: 5 };
const OFFSETS: Record<LineQuantity, number> = { N: 0, Vy: 3, Vz: 6, T: 9, My: 10, Mz: 14, u: 18, v: 22, w: 28 };

/** Coefficients of one piece. */
export const PIECE_WIDTH = 34;

export const degreeOf = (quantity: LineQuantity): number => DEGREES[quantity];
export const offsetOf = (quantity: LineQuantity): number => OFFSETS[quantity];
/** Whether the quantity is a movement of the axis, not a force. */
export const isMovement = (quantity: LineQuantity): boolean => quantity === 'u' || quantity === 'v' || quantity === 'w';
