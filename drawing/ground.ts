import type { View } from './view';

/** What of a view is about results, and how these are drawn. */
const OF_RESULTS = [
  ...['outcome', 'quantity', 'axial', 'diagramFactor', 'style', 'face', 'scales', 'also', 'together'],
  ...['heldDeflection', 'values', 'kinks', 'governing', 'resultant', 'reactions', 'deflected'],
] as const satisfies readonly (keyof View)[];

/** A view as what stands there whatever results are looked at sees it: it is drawn once, as long as nothing else changes. */
export type Ground = Omit<View, (typeof OF_RESULTS)[number]>;

const IGNORED: ReadonlySet<string> = new Set(OF_RESULTS);

const isView = (one: unknown): one is Record<string, unknown> => typeof one === 'object' && one !== null && 'projection' in one;

/** Whether two arguments are one; of views, whether they show the same ground. */
export function sameGround(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (!isView(one) || !isView(other)) return false;
  const keys = Object.keys(one).filter((key) => !IGNORED.has(key));
  return (
    keys.every((key) => Object.is(one[key], other[key])) &&
    Object.keys(other).every((key) => IGNORED.has(key) || key in one || other[key] === undefined)
  );
}
