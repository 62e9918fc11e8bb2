/** Lists of the model, and the key by which their entries are found. */
export const keyedLists = {
  materials: 'id',
  sections: 'id',
  nodes: 'id',
  members: 'id',
  supports: 'node',
  cases: 'id',
  loads: 'id',
  combinations: 'id',
  groups: 'id',
  actions: 'id',
  trains: 'id',
  expected: 'id',
  ruleSets: 'id',
  parameters: 'id',
  formulas: 'of',
  structures: 'id',
} as const;
export type KeyedList = keyof typeof keyedLists;
