import type { View } from './view';

/** What of a view is about results, and how these are drawn. */
const OF_RESULTS = [
  ...['outcome', 'quantity', 'axial', 'diagramFactor', 'style', 'face', 'scales', 'also', 'together'],
  ...['heldDeflection', 'values', 'kinks', 'governing', 'resultant', 'reactions', 'deflected'],
] as const satisfies readonly (keyof View)[];

/** A view as what stands there whatever results are looked at sees it: it is drawn once, as long as nothing else changes. */
export type Ground = Omit<View, (typeof OF_RESULTS)[number]>;

/** So many deflected lines, loads and reactions stay of what was looked at last, or drawn ahead. */
export const LOOKED_AT = 16;

const IGNORED: ReadonlySet<string> = new Set(OF_RESULTS);

const isView = (one: unknown): one is object => typeof one === 'object' && one !== null && 'projection' in one;

/** Whether two arguments are one; of views, whether they show the same ground. */
export const sameGround = (one: unknown, other: unknown): boolean => sameBut(IGNORED, one, other);

/** Whether two arguments are one; of views, whether they show the same. */
export const sameView = (one: unknown, other: unknown): boolean => sameBut(NOTHING, one, other);

const NOTHING: ReadonlySet<string> = new Set();

/** What a view lacks is undefined. */
function sameBut(ignored: ReadonlySet<string>, one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (!isView(one) || !isView(other)) return false;
  const [a, b] = [one, other] as Record<string, unknown>[];
  const isSame = (key: string): boolean => ignored.has(key) || Object.is(a![key], b![key]);
  return Object.keys(one).every(isSame) && Object.keys(other).every(isSame);
}
