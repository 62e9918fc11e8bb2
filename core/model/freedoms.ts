/** The movements of a node, global: three displacements, three rotations. */
export const freedoms = ['ux', 'uy', 'uz', 'rx', 'ry', 'rz'] as const;
export type Freedom = (typeof freedoms)[number];
