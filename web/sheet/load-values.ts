import type { Intensity, Load } from '@rigid-beam/core/model/model';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import { intensityUnit, type DisplayUnits } from '@rigid-beam/core/quantities/display';

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
const COUPLE_KEYS = ['mz', 'mx', 'my'] as const;
const INTENSITY_KEYS = ['wx', 'wy', 'wz'] as const;
const intensityOf = (end: Intensity): number => Math.hypot(...INTENSITY_KEYS.map((key) => end[key] ?? 0));

/** The size that the sheet shows of a load. A trapezium is scaled as a whole by its heavier end. */
export function loadValue(load: Load, display: DisplayUnits): LoadValue {
  switch (load.type) {
    case 'node':
    case 'point': {
      const size = Math.hypot(load.fx ?? 0, load.fy ?? 0, load.fz ?? 0);
      if (size === 0) {
        const couple = COUPLE_KEYS.find((key) => load[key]) ?? 'mz';
        return {
          label: 'Couple',
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
      return { label: 'Force', value: size, dimension: 'force', unit: display.force, resized };
    }
    case 'line': {
      const size = Math.max(intensityOf(load.from), intensityOf(load.to));
      // A load that was 0 has no direction: it becomes a downward one.
      const scale = (end: typeof load.from, value: number): typeof load.from =>
        size === 0
          ? { ...end, wy: -value }
          : {
              ...end,
              ...Object.fromEntries(INTENSITY_KEYS.filter((key) => end[key]).map((key) => [key, (end[key]! * value) / size])),
            };
      return {
        label: 'Intensity',
        value: size,
        dimension: 'intensity',
        unit: intensityUnit(display),
        resized: (value) => ({ ...load, from: scale(load.from, value), to: scale(load.to, value) }),
      };
    }
    case 'settlement': {
      const key = (['uy', 'ux', 'uz', 'rz', 'rx', 'ry'] as const).find((one) => load[one]) ?? 'uy';
      const turns = key.startsWith('r');
      return {
        label: 'Movement',
        value: load[key] ?? 0,
        dimension: turns ? 'angle' : 'length',
        unit: turns ? 'mrad' : display.deflection,
        resized: (value) => ({ ...load, [key]: value }),
      };
    }
    case 'thermal': {
      const key = load.uniform ? 'uniform' : 'gradientY';
      return {
        label: 'Temperature',
        value: load[key] ?? 0,
        dimension: key === 'uniform' ? 'temperature' : 'gradient',
        unit: key === 'uniform' ? 'K' : 'K/m',
        resized: (value) => ({ ...load, [key]: value }),
      };
    }
    case 'strain':
      return {
        label: 'Too long by',
        value: load.elongation,
        dimension: 'length',
        unit: display.deflection,
        resized: (value) => ({ ...load, elongation: value }),
      };
  }
}
