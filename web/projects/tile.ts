/** A model as the projects page shows it; the drawing was made on the server. */
export interface ModelTile {
  readonly id: string;
  readonly title: string;
  readonly changed: string;
  readonly words: string;
  readonly figure: string;
  readonly markup: string;
}

export interface ProjectTiles {
  readonly id: string;
  readonly name: string;
  readonly models: readonly ModelTile[];
}

export const TILE = { width: 340, height: 190 };
