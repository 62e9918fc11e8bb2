import type { Item } from '@rigid-beam/drawing/display-list';

/** What a tool learns of the pointer: pixels of the sheet, and which keys are held. */
export interface ToolPointer {
  readonly x: number;
  readonly y: number;
  readonly type: string;
  readonly shift: boolean;
  readonly alt: boolean;
}

/** A tool in hand: a small state chart fed by pointer and keys. It changes the model only through the editor. */
export interface Tool {
  readonly name: string;
  /** What to do next, in a sentence; shown on the sheet. */
  readonly hint: string;
  readonly cursor: string;
  /** Places can be typed for it, and arrow keys carry its mark: it has the keyboard while it is in hand. */
  readonly takesPlaces?: true;
  down?(event: ToolPointer): void;
  move?(event: ToolPointer): void;
  up?(event: ToolPointer): void;
  cancel?(event: ToolPointer): void;
  /** The pointer has left the sheet. */
  away?(): void;
  /** The other choices were asked for: right button, or a long press. */
  menu?(event: ToolPointer): void;
  /** Selecting leaves its bench where it is: what is in hand is put on what is selected. */
  readonly keepsBench?: true;
  /** Everything is meant: Ctrl+A. */
  all?(): void;
  /** True when the key was used. */
  key?(event: KeyboardEvent): boolean;
  /** Marks that the tool draws over the sheet. */
  overlay?(): Item[];
  leave?(): void;
}
