/** The movements of a node, global: three displacements, three rotations. */
export const freedoms = ['ux', 'uy', 'uz', 'rx', 'ry', 'rz'] as const;
export type Freedom = (typeof freedoms)[number];

/** The forces and couples at a node, each along or about the same axis as the movement on which it does work. */
export const nodalForces = ['fx', 'fy', 'fz', 'mx', 'my', 'mz'] as const;

/** What the ends of a member can let go of, in its own axes. */
export const endFreedoms = ['ux', 'uy', 'uz', 'rx', 'my', 'mz'] as const;
export type EndFreedom = (typeof endFreedoms)[number];
export type MemberEnd = 'start' | 'end';
export const memberEnds: readonly MemberEnd[] = ['start', 'end'];
