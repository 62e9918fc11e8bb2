export const shares = ['none', 'reactions', 'all'] as const;
/** What of the results stands in the file: nothing, reactions and movements of nodes, or forces along members as well. */
export type Share = (typeof shares)[number];
