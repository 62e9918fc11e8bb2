/** What is said of typical structures that take other measures. */
export const structureWords = {
  remedy: 'Undo what was changed by hand, or let it be a structure no longer: what it consists of stays',
  unknown: (type: string): string => `“${type}” is no typical structure`,
  tooMany: (most: number): string => `There would be more than ${most.toLocaleString('en')} nodes`,
  unbuildable: (id: string, why: string): string => `“${id}” cannot have these measures: ${why}`,
  movedByHand: (id: string, odd: number, of: number): string =>
    `“${id}” cannot follow: ${odd} of its ${of} nodes stand elsewhere than its measures put them`,
  divided: (id: string, member: string): string =>
    `“${id}” cannot follow: its member “${member}” was divided or joined to other nodes since`,
  keepOff: (id: string, nodes: readonly string[]): string =>
    `Nodes ${nodes.slice(0, 6).join(', ')}${nodes.length > 6 ? ', …' : ''} of “${id}” had been moved by hand, and keep that beside their new places`,
  lost: (id: string, members: string, loads: string): string => `${loads} went with ${members} of “${id}” that are no more`,
  stay: (nodes: string): string => `Other members hang at ${nodes}, which stay where they are`,
};
