/** What is said of a change since another state of the model. */
export const changed = {
  name: (id: string): string => `${id}, change`,
  notInBoth: (id: string): string => `There is no ${id} in both states`,
  noSum: (id: string): string => `${id} is no single value in both states: choose a case or a sum`,
  others: (kind: 'nodes' | 'members', id: string): string =>
    `The change is told of one structure: ${kind === 'nodes' ? 'node' : 'member'} “${id}” is not in both states, or stands in another order`,
  otherSpace: 'The change is told of one structure: one state lies in the plane, the other in space',
  moved: (node: string): string => `The change is told place by place: node “${node}” stands elsewhere by now`,
  turned: (member: string): string => `The change is told place by place: member “${member}” runs otherwise by now`,
};
