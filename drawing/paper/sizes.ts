/** ISO 216: short and long side, millimetres. */
const SIDES = { A4: [210, 297], A3: [297, 420], A2: [420, 594], A1: [594, 841] } as const;

export type Paper = keyof typeof SIDES;
export const papers = Object.keys(SIDES) as Paper[];
export const paperWays = ['across', 'upright'] as const;
export type PaperWay = (typeof paperWays)[number];

/** Millimetres. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/** A rectangle of a sheet, millimetres from its upper left corner. */
export interface Area extends Size {
  readonly left: number;
  readonly top: number;
}

export function sizeOf(paper: Paper, way: PaperWay): Size {
  const [short, long] = SIDES[paper];
  return way === 'across' ? { width: long, height: short } : { width: short, height: long };
}

/** ISO 5457: the filing margin, and those on the other sides. */
const FILING = 20;
const MARGIN = 10;

/** What the frame of a sheet encloses. */
export const framed = ({ width, height }: Size): Area => ({
  left: FILING,
  top: MARGIN,
  width: width - FILING - MARGIN,
  height: height - 2 * MARGIN,
});
