/** A model as the projects page shows it; drawing and figure are stored with it, and empty until they have been made. */
export interface ModelTile {
  readonly id: string;
  readonly title: string;
  readonly changed: string;
  /** The same in milliseconds, to sort by. */
  readonly changedAt: number;
  readonly words: string;
  readonly figure: string;
  readonly markup: string;
  /** Whether drawing and figure are of the model as it now is; otherwise they are being made. */
  readonly isCurrent: boolean;
}

/** A project with its models, or with those that are shown. */
export interface ProjectTiles {
  readonly id: string;
  readonly name: string;
  readonly number: string;
  /** What was removed, and can be brought back. */
  readonly removed: readonly ModelTile[];
  readonly models: readonly ModelTile[];
}

/** A part of all projects, as far down as somebody looks. */
export interface ShownTiles {
  readonly projects: readonly ProjectTiles[];
  /** Models and empty projects that follow. */
  readonly more: number;
  /** Projects in all, whatever is searched. */
  readonly count: number;
  /** Projects to which a model can be moved. */
  readonly names: readonly { readonly id: string; readonly name: string }[];
}

export const TILE = { width: 340, height: 190 };
