import type { Pen } from '../trace-path';

/** How a line or an area is put on paper; widths and dashes in millimetres, colours as #rrggbb. */
export interface PaperStyle {
  readonly stroke?: string;
  readonly width?: number;
  readonly dash?: readonly number[];
  readonly fill?: string;
  readonly opacity?: number;
}

export type Weight = 'regular' | 'strong';

/** A text on paper, millimetres: it stands on the middle of its line, from `x` on, about `x`, or up to it. */
export interface PaperText {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  /** Of the letters, as type is measured. */
  readonly size: number;
  readonly weight: Weight;
  readonly colour: string;
  readonly at: 'start' | 'middle' | 'end';
  /** Radians, clockwise about (x, y). */
  readonly angle?: number;
}

/** A picture (PNG or JPEG as `data:` address), millimetres. */
export interface PaperImage {
  readonly image: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What a sheet is put on: a kind of file with lines, areas, texts and pictures. Millimetres from the upper left corner, y down. */
export interface Painter {
  readonly path: (trace: (pen: Pen) => void, style: PaperStyle) => void;
  readonly text: (text: PaperText) => void;
  readonly image: (image: PaperImage) => void;
}

/** Width of a text whose letters are 1 mm high. */
export type WidthOf = (text: string, weight: Weight) => number;

/** From the middle of a line of text to the line that its letters stand on, as a part of their size. */
export const TO_BASELINE = 0.36;
