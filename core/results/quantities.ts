import { isPlane, type Structure } from '../stiffness/structure';

/** The quantities along a member. */
export const lineQuantities = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz', 'u', 'v', 'w'] as const;
export type LineQuantity = (typeof lineQuantities)[number];

/** Degree of each polynomial under linear loads: N and V quadratic, T constant, M and u cubic, v and w of degree five. */
const DEGREES: Record<LineQuantity, number> = { N: 2, Vy: 2, Vz: 2, T: 0, My: 3, Mz: 3, u: 3, v: 5, w: 5 };
/** Where the coefficients of each lie in those of a piece. What a plane structure has comes first: it stores no more. */
const OFFSETS: Record<LineQuantity, number> = { N: 0, Vy: 3, Mz: 6, u: 10, v: 14, Vz: 20, T: 23, My: 24, w: 28 };

const PLANE_WIDTH = 20;
const SPACE_WIDTH = 34;

/** Coefficients of one piece. */
export const pieceWidth = (s: Structure): number => (isPlane(s) ? PLANE_WIDTH : SPACE_WIDTH);

export const degreeOf = (quantity: LineQuantity): number => DEGREES[quantity];
export const offsetOf = (quantity: LineQuantity): number => OFFSETS[quantity];
/** Whether pieces of this width store the quantity; where they do not, it is zero. */
export const isStored = (width: number, quantity: LineQuantity): boolean => OFFSETS[quantity] < width;
/** Whether the quantity is a movement of the axis, not a force. */
export const isMovement = (quantity: LineQuantity): boolean => quantity === 'u' || quantity === 'v' || quantity === 'w';
