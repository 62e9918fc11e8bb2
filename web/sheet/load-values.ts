import { isCompound, kindOfLoad } from '@rigid-beam/core/model/loads/compound';
import { resizedStretch, sizeOf, sizeOfStretch } from '@rigid-beam/core/model/loads/intensities';
import type { Intensity } from '@rigid-beam/core/model/loads/primitive';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { sizedBy, sizeGiven } from '@rigid-beam/core/phrases/sized-by';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import { displayOf, intensityUnit, pressureUnit, unitOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
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
  if (isCompound(load)) {
    const { words, dimension, of, resized } = kindOfLoad(load).value;
    const unit = dimension === 'stress' ? pressureUnit(display) : unitOf(dimension, display);
    return { label: words, value: of(load), dimension, unit, resized: (value) => resized(load, value) };
  }
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

/** By what the one number of a load is given, and the edits that give it another: nothing where an expression cannot give all that hang on it. */
export interface Sizing {
  readonly text: string | undefined;
  readonly become: (to: number, kept?: string) => Intent[] | undefined;
}

export function sizing(load: Load, model: Model, end?: 'from' | 'to'): Sizing {
  const { value, dimension, resized } = loadValue(load, displayOf(model), end);
  const texts = new Map(model.formulas?.map(({ of, is }) => [of, is]));
  const { text, places } = sizeGiven(load, resized(value === 0 ? 1 : 2 * value), value, (place) => texts.get(place));
  return {
    text,
    become: (to, kept) => {
      const other = to === 0 ? 1 : 0.999 * to;
      const sized =
        kept === undefined ? resized(to) : sizedBy(resized(to), resized(other), [{ dimension, value: to, other, kept }]);
      if (!sized) return undefined;
      return [
        ...(kept === undefined && text !== undefined ? [{ type: 'remove', list: 'formulas', keys: places } as const] : []),
        { type: 'put', list: 'loads', entry: { ...sized } },
      ];
    },
  };
}

type Stretched = Extract<Load, { from: Intensity }>;

function stretchValue(load: Stretched, display: DisplayUnits, end: 'from' | 'to' | undefined): LoadValue {
  return {
    label: end === undefined ? WORDS.intensity : end === 'from' ? WORDS.intensityWhereItBegins : WORDS.intensityWhereItEnds,
    value: end ? sizeOf(load[end]) : sizeOfStretch(load),
    dimension: 'intensity',
    unit: intensityUnit(display),
    resized: (value) => resizedStretch(load, value, end),
  };
}
