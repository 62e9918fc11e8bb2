/** Measures of a typical structure by their keys: lengths in metres, counts, choices, spacings. */
export type TypicalValues = { readonly [key: string]: number | string | readonly number[] };

/** What tells a typical structure: its name, its type, and the measures that it has by now. */
export interface PlacedMeasures {
  readonly id: string;
  /** Of the typical structures. */
  readonly type: string;
  readonly values: TypicalValues;
  /** A plane structure that was placed in a space model: its supports hold it upright. */
  readonly upright?: boolean;
}

/** A typical structure that remains one: it may be given other measures, and what of the model belongs to it follows. */
export interface PlacedStructure extends PlacedMeasures {
  /** Where the origin of it stands, metres. */
  readonly origin: readonly [number, number, number];
  /** Nodes and members of the model in the order in which they are built; `MISSING` where one was taken away. */
  readonly nodes: readonly string[];
  readonly members: readonly string[];
}

/** In the place of a node or a member that was taken away. */
export const MISSING = '';
