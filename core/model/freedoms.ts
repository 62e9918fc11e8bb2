/** The movements of a node, global: three displacements, three rotations. */
export const freedoms = ['ux', 'uy', 'uz', 'rx', 'ry', 'rz'] as const;
export type Freedom = (typeof freedoms)[number];

/** The forces and couples at a node, each along or about the same axis as the movement on which it does work. */
export const nodalForces = ['fx', 'fy', 'fz', 'mx', 'my', 'mz'] as const;
