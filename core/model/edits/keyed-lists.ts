/** Lists of the model whose entries are found by a key of their own. Loads have none and are found by their place. */
export const keyedLists = {
  materials: 'id',
  sections: 'id',
  nodes: 'id',
  members: 'id',
  supports: 'node',
  cases: 'id',
  combinations: 'id',
  groups: 'id',
} as const;
export type KeyedList = keyof typeof keyedLists;
