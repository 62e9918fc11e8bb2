import { INTENSITY_KEYS, sizeOf } from '@rigid-beam/core/model/loads/intensities';
import type { Intensity } from '@rigid-beam/core/model/loads/primitive';
import type { Load } from '@rigid-beam/core/model/model';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import { intensityUnit, pressureUnit, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { loadValues as WORDS } from './words';

/** The one number by which a load is known on the sheet: how to read it and how to put another in its place. */
export interface LoadValue {
  readonly label: string;
  readonly value: number;
  readonly dimension: DimensionName;
  readonly unit: string;
  /** The load with another size, in its own direction. */
  readonly resized: (value: number) => Load;
}

const FORCE_KEYS = ['fx', 'fy', 'fz'] as const;
const MOVEMENT_KEYS = ['ux', 'uy', 'uz'] as const;
const COUPLE_KEYS = ['mz', 'mx', 'my'] as const;

/** The size that the sheet shows of a load. A trapezium is scaled as a whole by its heavier end, unless one `end` is meant. */
export function loadValue(load: Load, display: DisplayUnits, end?: 'from' | 'to'): LoadValue {
  if ('from' in load) return stretchValue(load, display, end);
  switch (load.type) {
    case 'node':
    case 'point': {
      const size = Math.hypot(load.fx ?? 0, load.fy ?? 0, load.fz ?? 0);
      if (size === 0) {
        const couple = COUPLE_KEYS.find((key) => load[key]) ?? 'mz';
        return {
          label: WORDS.couple,
          value: load[couple] ?? 0,
          dimension: 'moment',
          unit: display.moment,
          resized: (value) => ({ ...load, [couple]: value }),
        };
      }
      const resized = (value: number): Load => ({
        ...load,
        ...Object.fromEntries(FORCE_KEYS.filter((key) => load[key]).map((key) => [key, (load[key]! * value) / size])),
      });
      return { label: WORDS.force, value: size, dimension: 'force', unit: display.force, resized };
    }
    case 'settlement': {
      const size = Math.hypot(load.ux ?? 0, load.uy ?? 0, load.uz ?? 0);
      const turn = (['rz', 'rx', 'ry'] as const).find((key) => load[key]);
      if (size === 0 && turn)
        return {
          label: WORDS.turn,
          value: load[turn]!,
          dimension: 'angle',
          unit: 'mrad',
          resized: (value) => ({ ...load, [turn]: value }),
        };
      const resized = (value: number): Load =>
        size === 0
          ? { ...load, uy: -value }
          : {
              ...load,
              ...Object.fromEntries(MOVEMENT_KEYS.filter((key) => load[key]).map((key) => [key, (load[key]! * value) / size])),
            };
      return { label: WORDS.movement, value: size, dimension: 'length', unit: display.deflection, resized };
    }
    case 'thermal': {
      const key = load.uniform ? 'uniform' : 'gradientY';
      return {
        label: WORDS.temperature,
        value: load[key] ?? 0,
        dimension: key === 'uniform' ? 'temperature' : 'gradient',
        unit: key === 'uniform' ? 'K' : 'K/m',
        resized: (value) => ({ ...load, [key]: value }),
      };
    }
    case 'area':
      return {
        label: WORDS.pressure,
        value: load.pressure,
        dimension: 'stress',
        unit: pressureUnit(display),
        resized: (value) => ({ ...load, pressure: value }),
      };
    case 'notional':
      return {
        label: WORDS.share,
        value: load.share,
        dimension: 'number',
        unit: '',
        resized: (value) => ({ ...load, share: value }),
      };
    case 'strain':
      return {
        label: WORDS.tooLongBy,
        value: load.elongation,
        dimension: 'length',
        unit: display.deflection,
        resized: (value) => ({ ...load, elongation: value }),
      };
  }
}

type Stretched = Extract<Load, { from: Intensity }>;

function stretchValue(load: Stretched, display: DisplayUnits, end: 'from' | 'to' | undefined): LoadValue {
  const { from, to } = load;
  const heavier = sizeOf(from) > sizeOf(to) ? from : to;
  const size = sizeOf(end ? load[end] : heavier);
  // An end that was 0 takes the direction of the other; a load that was 0 becomes a downward one.
  const like = sizeOf(heavier) === 0 ? { wy: -1 } : size === 0 ? heavier : undefined;
  const scaled = (one: Intensity, value: number): Intensity => {
    const direction = like ?? one;
    const length = like ? sizeOf(like) : size;
    return {
      ...one,
      ...Object.fromEntries(
        INTENSITY_KEYS.filter((key) => direction[key]).map((key) => [key, (direction[key]! * value) / length]),
      ),
    };
  };
  return {
    label: end === undefined ? WORDS.intensity : end === 'from' ? WORDS.intensityWhereItBegins : WORDS.intensityWhereItEnds,
    value: size,
    dimension: 'intensity',
    unit: intensityUnit(display),
    resized: (value) =>
      end ? { ...load, [end]: scaled(load[end], value) } : { ...load, from: scaled(from, value), to: scaled(to, value) },
  };
}
