/** All sets of some things, the empty one first. */
export const subsets = <T>(all: readonly T[]): T[][] =>
  all.reduce<T[][]>((found, one) => [...found, ...found.map((set) => [...set, one])], [[]]);
