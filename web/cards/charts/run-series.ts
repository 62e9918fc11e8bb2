import { inUnit } from '@rigid-beam/core/quantities/show';
import type { Quantity } from '@rigid-beam/core/results/quantities';
import type { RunReader } from '@rigid-beam/core/results/run-reader';

/** A point of a chart: metres along the run in the unit of lengths, and a value in its own. */
export interface ChartPoint {
  readonly x: number;
  readonly y: number;
}

/** The curve of a quantity along a run: of an envelope, or where there is a range at each place, its upper and its lower bound. */
export interface Series {
  readonly upper: readonly ChartPoint[];
  readonly lower: readonly ChartPoint[] | undefined;
  /** Where it is greatest and least. */
  readonly extremes: readonly ChartPoint[];
}

/** Units in which a chart is drawn. */
export interface ChartUnits {
  readonly length: string;
  readonly value: string;
}

/** From the exact points of its members: both sides of each jump, the ends of pieces, and every peak. Undefined where it is not known on one of them. */
export function seriesOf(
  { stretches, extremes }: Pick<RunReader, 'stretches' | 'extremes'>,
  quantity: Quantity,
  units: ChartUnits,
  has: 'one value' | 'a range',
): Series | undefined {
  const curves = stretches.map(({ curve }) => curve(quantity));
  const found = extremes(quantity);
  if (!found || !curves.every((one) => one !== undefined)) return undefined;
  const points = curves.flat();
  const at = (x: number, value: number): ChartPoint => ({ x: inUnit(x, units.length), y: inUnit(value, units.value) });
  return {
    upper: points.map(({ x, max }) => at(x, max)),
    lower: has === 'a range' ? points.map(({ x, min }) => at(x, min)) : undefined,
    extremes: [found.max, found.min].map(({ x, value }) => at(x, value)),
  };
}
