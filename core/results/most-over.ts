import type { Range } from './curve-points';

interface Place {
  readonly x: number;
  readonly value: number;
}

/** What golden section leaves out of what is searched, step by step. */
const GOLDEN = (3 - Math.sqrt(5)) / 2;
/** The part of the place searched within which the peak is found: 1e-9 of a member at most, which only a kink would notice. */
const FOUND = 1e-8;
const MOST_STEPS = 60;
/** Peaks that are looked at closely, those that may be highest first. */
const PEAKS = 12;

/** A stretch over which a function has a few peaks and kinks and no jump, and in how many steps it is looked at first. */
export interface Looked {
  readonly from: number;
  readonly to: number;
  readonly steps: number;
}

/**
 * The greatest and the least value of a function on stretches that follow each other, between which it may jump: evenly spaced places of all of them first, then around the highest
 * of these by golden section. `read` is told on which stretch x is meant.
 */
export function mostOver(
  read: (x: number, stretch: number) => Range,
  stretches: readonly Looked[],
): { readonly max: Place; readonly min: Place } {
  const xs = stretches.map(({ from, to, steps }) =>
    Array.from({ length: steps + 1 }, (_, i) => (i === steps ? to : from + ((to - from) * i) / steps)),
  );
  const found = xs.map((places, k) => places.map((x) => read(x, k)));
  const side = (values: readonly (readonly number[])[], at: (x: number, k: number) => number): Place => {
    let best = { x: xs[0]![0]!, value: values[0]![0]! };
    let size = 0;
    for (const all of values) for (const value of all) size = Math.max(size, Math.abs(value));
    const meet = (x: number, value: number, slack: number): void => {
      if (value > best.value + slack) best = { x, value };
    };
    values.forEach((all, k) => all.forEach((value, i) => meet(xs[k]![i]!, value, 1e-11 * size)));
    const peaks = values.flatMap((all, k) => (stretches[k]!.steps > 1 ? peaksOf(all).map((one) => ({ ...one, k })) : []));
    for (const { k, i, reach } of peaks.sort((a, b) => b.reach - a.reach).slice(0, PEAKS)) {
      if (reach <= best.value) break;
      const { steps } = stretches[k]!;
      const peak = searched((x) => at(x, k), xs[k]![Math.max(0, i - 1)]!, xs[k]![Math.min(steps, i + 1)]!);
      meet(peak.x, peak.value, 1e-12 * size);
    }
    return best;
  };
  const max = side(
    found.map((all) => all.map((one) => one.max)),
    (x, k) => read(x, k).max,
  );
  const min = side(
    found.map((all) => all.map((one) => -one.min)),
    (x, k) => -read(x, k).min,
  );
  return { max, min: { x: min.x, value: -min.value } };
}

/** Which of the values of a stretch are peaks, and how high it may be beside them: between two places it rises by no more than it falls beside these. */
function peaksOf(values: readonly number[]): readonly { readonly i: number; readonly reach: number }[] {
  return values.flatMap((value, i) => {
    const beside = [values[i - 1], values[i + 1]].filter((one) => one !== undefined);
    return beside.every((one) => value >= one) ? [{ i, reach: value + Math.max(...beside.map((one) => value - one)) }] : [];
  });
}

/** The highest place between two, of which something between is higher: parabolas where they lead, golden section where they do not (Brent 1973, ch. 5). */
function searched(at: (x: number) => number, from: number, to: number): Place {
  let [low, high] = [from, to];
  const slack = FOUND * (to - from);
  const first = low + GOLDEN * (high - low);
  const start: Place = { x: first, value: at(first) };
  let [best, second, third] = [start, start, start];
  let [step, before] = [0, 0];
  for (let i = 0; i < MOST_STEPS; i++) {
    const middle = (low + high) / 2;
    if (Math.abs(best.x - middle) <= 2 * slack - (high - low) / 2) break;
    let next = NaN;
    if (Math.abs(before) > slack) {
      const r = (best.x - second.x) * (best.value - third.value);
      const q = (best.x - third.x) * (best.value - second.value);
      const move = -((best.x - third.x) * q - (best.x - second.x) * r) / (2 * (q - r));
      // A parabola leads inwards, and by less than half the step before the last.
      if (Math.abs(move) < Math.abs(before) / 2 && best.x + move > low && best.x + move < high) next = move;
    }
    if (Number.isNaN(next)) {
      before = best.x < middle ? high - best.x : low - best.x;
      next = GOLDEN * before;
    } else before = step;
    step = Math.abs(next) >= slack ? next : Math.sign(next) * slack || slack;
    const place: Place = { x: best.x + step, value: at(best.x + step) };
    if (place.value >= best.value) {
      if (place.x < best.x) high = best.x;
      else low = best.x;
      [third, second, best] = [second, best, place];
    } else {
      if (place.x < best.x) low = place.x;
      else high = place.x;
      if (place.value >= second.value || second === best) [third, second] = [second, place];
      else if (place.value >= third.value || third === best || third === second) third = place;
    }
  }
  return best;
}
