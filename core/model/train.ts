import { TRAIN_AXLES } from '../limits';
import { parseQuantity } from '../quantities/parse';
import { inUnit } from '../quantities/show';

/** Forces that travel together, the first one in front. */
export interface Axles {
  /** In their order, N. */
  readonly axles: readonly number[];
  /** Metres from each axle to the next one, one fewer than there are axles; the least of one that varies. */
  readonly spacings: readonly number[];
  /** A spacing that may be anything up to a greater one: behind which axle (0 is the first), and the greatest. */
  readonly varies?: { readonly behind: number; readonly most: number };
  /** N/m, wherever it makes things worse. */
  readonly uniform?: number;
  /** By which the axles, not the uniform part, are multiplied for their impact. */
  readonly impact?: number;
}

/** Axles under a name, as a model keeps them. */
export interface Train extends Axles {
  readonly id: string;
  readonly title?: string;
}

export type ReadTrain = { readonly ok: true; readonly train: Axles } | { readonly ok: false; readonly reason: string };

const GROUP = /^(?:(\d+)\s*[×x*·]\s*)?(.+?)(?:\s+at\s+(.+?))?(?:\s+after\s+(.+?))?$/u;
const BETWEEN = /^(.+?)\s*(?:to|–|…|\.\.\.?)\s*(.+)$/u;

/**
 * A train as it is written: groups of axles from the front, each behind a plus sign, and what is spread over a length. “2 × 90 kN at 1.2 m + 60 kN after
 * 3.5 m”, “35 kN + 145 kN after 4.3 m + 145 kN after 4.3 to 9 m with 9.3 kN/m”. Units may be left out: `force` and `length` are what bare
 * numbers mean.
 */
export function readTrain(text: string, units: { readonly force: string; readonly length: string }): ReadTrain {
  try {
    return { ok: true, train: trainOf(text, units) };
  } catch (error) {
    if (error instanceof TrainFault) return { ok: false, reason: error.message };
    throw error;
  }
}

class TrainFault extends Error {}

function trainOf(text: string, units: { readonly force: string; readonly length: string }): Axles {
  if (text.includes(',')) throw new TrainFault('a comma cannot be read for certain: put a plus sign between groups of axles, and write the decimal mark as a point'); // oxfmt-ignore
  const [axles = '', spread, ...more] = text.trim().split(/\s+with\s+/u);
  if (more.length > 0) throw new TrainFault('“with” says once what is spread over a length');
  const number = (words: string, dimension: 'force' | 'length' | 'intensity', unit: string, what: string): number => {
    const read = parseQuantity(words, dimension, unit);
    if (!read.ok) throw new TrainFault(`“${words}” is no ${what}: ${read.reason}`);
    if (!(read.value > 0)) throw new TrainFault(`${what} “${words}” must be greater than 0`);
    return read.value;
  };
  const length = (words: string): number => number(words, 'length', units.length, 'distance');
  const [all, spacings]: [number[], number[]] = [[], []];
  let varies: Axles['varies'];
  for (const part of axles.split(/\s*\+\s*/u)) {
    const [, times, force, spacing, after] = GROUP.exec(part.trim()) ?? [];
    if (!force)
      throw new TrainFault(`“${part.trim()}” is no axle: write a force, such as 90 kN, or several, such as 2 × 90 kN at 1.2 m`);
    const count = times === undefined ? 1 : Number(times);
    const each = number(force, 'force', units.force, 'axle force');
    if (count < 1 || all.length + count > TRAIN_AXLES)
      throw new TrainFault(`“${part.trim()}”: a train has 1 to ${TRAIN_AXLES} axles`);
    if (count > 1 && spacing === undefined)
      throw new TrainFault(`“${part.trim()}” does not say how far apart its axles are: add “at 1.2 m”`);
    if (count === 1 && spacing !== undefined && after === undefined && all.length === 0)
      throw new TrainFault(
        `“${part.trim()}” is one axle, which has no spacing: leave “at ${spacing}” out, or say how many there are`,
      );
    const apart = spacing === undefined ? undefined : length(spacing);
    if (all.length > 0) {
      const words = after ?? spacing;
      if (words === undefined)
        throw new TrainFault(`“${part.trim()}” does not say how far it is behind what is in front of it: add “after 3.5 m”`);
      const [, least, most] = BETWEEN.exec(words) ?? [];
      if (least !== undefined) {
        if (varies) throw new TrainFault('only one gap of a train may vary');
        // “4 to 9 m” gives its unit once.
        const unit = /[^\d\s.]+$/u.exec(most!)?.[0] ?? units.length;
        const from = number(least, 'length', unit, 'distance');
        const to = length(most!);
        if (!(to > from)) throw new TrainFault(`“${words}” must go from the less to the greater`);
        varies = { behind: all.length - 1, most: to };
        spacings.push(from);
      } else spacings.push(length(words));
    } else if (after !== undefined)
      throw new TrainFault(`“${part.trim()}” is in front: nothing is there that it could be “after ${after}”`);
    all.push(...Array.from({ length: count }, () => each));
    spacings.push(...Array.from({ length: count - 1 }, () => apart!));
  }
  const uniform =
    spread === undefined ? undefined : number(spread, 'intensity', `${units.force}/${units.length}`, 'uniform part');
  return { axles: all, spacings, ...(varies && { varies }), ...(uniform !== undefined && { uniform }) };
}

/** The same, written; what `readTrain` reads back. */
export function writeTrain(
  { axles, spacings, varies, uniform }: Axles,
  units: { readonly force: string; readonly length: string },
): string {
  const force = (value: number): string => `${plain(inUnit(value, units.force))} ${units.force}`;
  const length = (value: number): string => `${plain(inUnit(value, units.length))} ${units.length}`;
  const groups: string[] = [];
  for (let first = 0; first < axles.length;) {
    // As many equal axles as follow each other at one spacing that does not vary.
    let last = first;
    const isLike = (k: number): boolean =>
      k + 1 < axles.length && axles[k + 1] === axles[first] && spacings[k] === spacings[first] && varies?.behind !== k;
    while (isLike(last)) last++;
    const count = last - first + 1;
    const before = first - 1;
    const gap =
      first === 0
        ? ''
        : varies?.behind === before
          ? ` after ${plain(inUnit(spacings[before]!, units.length))} to ${length(varies.most)}`
          : ` after ${length(spacings[before]!)}`;
    groups.push(
      count > 1 ? `${count} × ${force(axles[first]!)} at ${length(spacings[first]!)}${gap}` : `${force(axles[first]!)}${gap}`,
    );
    first = last + 1;
  }
  const spread =
    uniform === undefined
      ? ''
      : ` with ${plain(inUnit(uniform, `${units.force}/${units.length}`))} ${units.force}/${units.length}`;
  return groups.join(' + ') + spread;
}

/** Digits as they were typed. */
const plain = (value: number): string => String(Number(value.toPrecision(9)));
