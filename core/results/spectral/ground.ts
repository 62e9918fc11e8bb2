import { SPECTRUM_DAMPING, type GroundType, type SpectrumSettings, type SpectrumShape } from '../../model/spectrum-settings';
import type { AxisKey } from '../../quantities/axis-names';

interface Corners {
  /** Soil factor. */
  readonly S: number;
  readonly TB: number;
  readonly TC: number;
  readonly TD: number;
}

/** EN 1998-1, tables 3.2 and 3.3. */
const LEVEL: Readonly<Record<SpectrumShape, Readonly<Record<GroundType, Corners>>>> = {
  'type 1': {
    A: { S: 1, TB: 0.15, TC: 0.4, TD: 2 },
    B: { S: 1.2, TB: 0.15, TC: 0.5, TD: 2 },
    C: { S: 1.15, TB: 0.2, TC: 0.6, TD: 2 },
    D: { S: 1.35, TB: 0.2, TC: 0.8, TD: 2 },
    E: { S: 1.4, TB: 0.15, TC: 0.5, TD: 2 },
  },
  'type 2': {
    A: { S: 1, TB: 0.05, TC: 0.25, TD: 1.2 },
    B: { S: 1.35, TB: 0.05, TC: 0.25, TD: 1.2 },
    C: { S: 1.5, TB: 0.1, TC: 0.25, TD: 1.2 },
    D: { S: 1.8, TB: 0.1, TC: 0.3, TD: 1.2 },
    E: { S: 1.6, TB: 0.05, TC: 0.25, TD: 1.2 },
  },
};

/** EN 1998-1, table 3.4: a_vg / a_g, and the corners upwards and downwards. */
const UPRIGHT = { part: { 'type 1': 0.9, 'type 2': 0.45 }, corners: { S: 1, TB: 0.05, TC: 0.15, TD: 1 } } as const;
/** Lower bound of the design spectrum beside a_g: the recommended value of EN 1998-1, 3.2.2.5 (4). */
const BETA = 0.2;
/** Upwards and downwards no structure behaves better: EN 1998-1, 3.2.2.5 (6). */
const MOST_UPRIGHT = 1.5;
/** Seconds up to which the elastic spectrum is told: EN 1998-1, 3.2.2.2 (1). */
export const LONGEST = 4;

/**
 * The acceleration of a response spectrum at a period in seconds, m/s²: by EN 1998-1, 3.2.2.2 and 3.2.2.3 (elastic), 3.2.2.5 (design), or from a table. Undefined where it
 * tells none.
 */
export function accelerationAt(spectrum: SpectrumSettings, along: AxisKey, period: number): number | undefined {
  const { shape, table = [], vertical = 1 } = spectrum;
  if (shape === undefined) {
    const found = fromTable(table, period);
    return found === undefined ? undefined : (along === 'y' ? vertical : 1) * found;
  }
  const { ground = 'A', acceleration = 0, importance = 1, behaviour, damping = SPECTRUM_DAMPING } = spectrum;
  const isUpright = along === 'y';
  const { S, TB, TC, TD } = isUpright ? UPRIGHT.corners : LEVEL[shape][ground];
  const ag = importance * acceleration * (isUpright ? UPRIGHT.part[shape] : 1);
  if (behaviour === undefined) {
    if (period > LONGEST) return undefined;
    const η = Math.max(0.55, Math.sqrt(10 / (5 + 100 * damping)));
    const peak = η * (isUpright ? 3 : 2.5);
    return ag * S * (period < TB ? 1 + (period / TB) * (peak - 1) : peak * falling(period, TC, TD));
  }
  const peak = 2.5 / (isUpright ? Math.min(behaviour, MOST_UPRIGHT) : behaviour);
  if (period < TB) return ag * S * (2 / 3 + (period / TB) * (peak - 2 / 3));
  const design = ag * S * peak * falling(period, TC, TD);
  return period > TC ? Math.max(design, BETA * ag) : design;
}

/** The largest acceleration of all periods up to one: what quicker modes are accelerated by at most. Undefined where the spectrum tells none of them. */
export function largestUpTo(spectrum: SpectrumSettings, along: AxisKey, period: number): number | undefined {
  // It turns where its branches meet.
  const { shape, ground = 'A', table = [] } = spectrum;
  const corners = shape === undefined ? table.map((one) => one.period) : [0, TB_OF(shape, ground, along)];
  const all = [...corners.filter((one) => one < period), period].map((one) => accelerationAt(spectrum, along, one));
  const told = all.filter((one) => one !== undefined);
  return told.length === 0 ? undefined : Math.max(...told);
}

const TB_OF = (shape: SpectrumShape, ground: GroundType, along: AxisKey): number =>
  along === 'y' ? UPRIGHT.corners.TB : LEVEL[shape][ground].TB;

/** Behind the plateau as 1/T, and as 1/T² where the ground moves no farther. */
const falling = (T: number, TC: number, TD: number): number => (T <= TC ? 1 : T <= TD ? TC / T : (TC * TD) / (T * T));

/** On a straight line between two periods of the table; nothing before the first and behind the last. */
function fromTable(table: NonNullable<SpectrumSettings['table']>, period: number): number | undefined {
  const after = table.findIndex((one) => one.period >= period);
  if (after < 0) return undefined;
  const [end, start] = [table[after]!, table[after - 1]];
  if (end.period === period) return end.acceleration;
  if (!start) return undefined;
  return start.acceleration + ((end.acceleration - start.acceleration) * (period - start.period)) / (end.period - start.period);
}
