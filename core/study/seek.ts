import type { Model } from '../model/model';
import type { Range } from '../model/parameters/range';
import { showQuantity } from '../quantities/show';
import type { Measure } from './measure';
import { Stepper, type StudyPoint } from './study';
import { study as WORDS } from './words';

/** Which value of a parameter is sought: the least, or the greatest, at which a result is on one side of a bound. */
export interface Seek {
  readonly parameter: string;
  readonly range: Range;
  readonly measure: Measure;
  readonly outcome: string;
  /** SI. */
  readonly bound: number;
}

/** What was tried, in its order, and where the result reaches the bound. */
export interface Sought {
  readonly tried: readonly StudyPoint[];
  readonly found?: number;
  readonly why?: string;
}

/** Places of the range that are looked at before any is looked at closely: a result may reach its bound more than once, and the first is told. */
const SCAN = 12;
const CLOSE = 1e-7;
/** A result that lacks no more of its bound than this part of what it lacked before is there. */
const ALIKE = 1e-9;
const MOST = 60;

/**
 * Seeks by bracketing: the range is gone through in a few steps, and the first two between which the result passes the bound are narrowed down,
 * by the secant where that stays inside and by halves where it does not. A step that gives no result is passed over.
 */
export function sought(model: Model, { parameter, range, measure, outcome, bound }: Seek): Sought {
  const stepper = new Stepper(model, { parameter, measures: [measure], outcome });
  const tried: StudyPoint[] = [];
  const excess = (at: number): number | undefined => {
    const point = { at, ...stepper.at(at) };
    tried.push(point);
    const value = point.values[0];
    return value === undefined ? undefined : value - bound;
  };
  try {
    let low: { at: number; by: number } | undefined;
    for (let i = 0; i <= SCAN; i++) {
      const at = range.from + ((range.to - range.from) * i) / SCAN;
      const by = excess(at);
      if (by === undefined) low = undefined;
      else if (by === 0) return { tried, found: at };
      else if (low && low.by * by < 0) return { tried, ...narrowed(low, { at, by }, range, excess) };
      else low = { at, by };
    }
    const values = tried.flatMap(({ values: [value] }) => value ?? []);
    if (values.length === 0) return { tried, why: tried[0]?.why ?? WORDS.unread };
    return {
      tried,
      why: WORDS.notReached(
        ...([Math.min(...values), Math.max(...values)].map((one) => showQuantity(one, measure.unit, 5)) as [string, string]),
      ),
    };
  } finally {
    stepper.close();
  }
}

interface Side {
  readonly at: number;
  readonly by: number;
}

function narrowed(a: Side, b: Side, range: Range, excess: (at: number) => number | undefined): Pick<Sought, 'found' | 'why'> {
  let [low, high] = [a, b];
  const still = ALIKE * Math.max(Math.abs(a.by), Math.abs(b.by));
  for (let i = 0; i < MOST && high.at - low.at > CLOSE * (range.to - range.from); i++) {
    const middle = (low.at + high.at) / 2;
    const secant = low.at - (low.by * (high.at - low.at)) / (high.by - low.by);
    // Every third step halves, so that a flat end cannot hold it up.
    const at = i % 3 === 2 || !(secant > low.at && secant < high.at) ? middle : secant;
    const by = excess(at);
    if (by === undefined) return { why: WORDS.unread };
    if (Math.abs(by) <= still) return { found: at };
    if (low.by * by < 0) high = { at, by };
    else low = { at, by };
  }
  return { found: Math.abs(low.by) <= Math.abs(high.by) ? low.at : high.at };
}
