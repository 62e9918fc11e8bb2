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

export interface ProjectTiles {
  readonly id: string;
  readonly name: string;
  readonly number: string;
  /** What was removed, and can be brought back. */
  readonly removed: readonly ModelTile[];
  readonly models: readonly ModelTile[];
}

export const TILE = { width: 340, height: 190 };
