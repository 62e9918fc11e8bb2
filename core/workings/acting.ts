/** Cases that act, by place, with their factors. */
export type Acting = readonly (readonly [at: number, factor: number])[];
