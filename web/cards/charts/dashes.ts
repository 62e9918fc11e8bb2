/** How the lines of other outcomes are dashed, pixels, and the same as a sign beside their names. */
export const DASHES: readonly (readonly [number, number, ...number[]])[] = [[6, 3], [2, 2], [8, 3, 2, 3], [12, 4]]; // oxfmt-ignore
export const DASH_SIGNS = ['╌╌', '┈┈', '╌·', '— —'] as const;
