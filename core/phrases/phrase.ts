import { pressureUnit, unitOf, type DisplayUnits } from '../quantities/display';
import type { DimensionName } from '../quantities/dimension';
import type { Point } from '../model/point';

/** What a phrase can put on a structure, told by the unit of its size: kN/m, kN, kN·m, kN/m², K and mm. */
export const phraseKinds = ['line', 'force', 'couple', 'area', 'temperature', 'fit', 'settlement'] as const;
export type PhraseKind = (typeof phraseKinds)[number];

/** On what an intensity is measured: along the member, on plan, or square to the member. */
export type Measured = 'member' | 'plan' | 'across';

/** Where on a member forces act. */
export type Stations =
  | { readonly ratios: readonly number[] }
  /** Metres from the start. */
  | { readonly lengths: readonly number[] }
  /** Metres from the start to the first and from one to the next; none stands at an end. */
  | { readonly every: number };

/** A load as engineers say it: size and direction, on what it is measured, and where. SI. */
export interface LoadPhrase {
  readonly kind: PhraseKind;
  /** Sizes at the beginning and at the end; the same but for a line load that grows or shrinks. */
  readonly from: number;
  readonly to: number;
  /** Of length one; the axis about which a couple turns, right-handed. Temperatures and lacks of fit have none. */
  readonly direction: Point;
  readonly measured: Measured;
  /** Metres from the member's start between which a line load acts; the whole member where it is left out. */
  readonly span?: readonly [number, number];
  readonly stations?: Stations;
  /** Steps of a line load: one size between each station and the next, metres from the member's start; `from` and `to` are the first and the last. */
  readonly steps?: { readonly sizes: readonly number[]; readonly at: readonly number[] };
  /** Of a pressure: only to the members that carry it one way, and the width from which members of a line get it (metres). */
  readonly spread?: 'oneWay';
  readonly width?: number;
  /** Of a pressure that goes one way: the members that carry it; and corners of what is left out of its panel. */
  readonly onto?: readonly string[];
  readonly openings?: readonly (readonly string[])[];
  /** Of a temperature: warmer towards sides of the member; `from` is what all of it gets. */
  readonly across?: readonly ThermalPart[];
  /** Where sizes mention parameters: how they were written, and the phrase as it would be with other values of these. */
  readonly varied?: Varied;
}

/** Sizes that mention parameters, as they are and as they would be, each with its expression. */
export interface Varied {
  readonly phrase: LoadPhrase;
  readonly sizes: readonly {
    readonly dimension: DimensionName;
    readonly value: number;
    readonly other: number;
    readonly kept: string;
  }[];
}

/** Warmer towards one side: kelvin per metre, or kelvin between the faces of the section. Below zero it is colder there. */
export interface ThermalPart {
  readonly size: number;
  readonly per: 'metre' | 'depth';
  /** Of length one. */
  readonly towards: Point;
}

export const WAYS: Readonly<Record<string, Point>> = {
  down: [0, -1, 0],
  up: [0, 1, 0],
  right: [1, 0, 0],
  left: [-1, 0, 0],
  forward: [0, 0, 1],
  back: [0, 0, -1],
};

/** Sides of a member as they are said, and the way in which each lies. */
export const SIDES: Readonly<Record<string, string>> = {
  above: 'up',
  below: 'down',
  'on the right': 'right',
  'on the left': 'left',
  'in front': 'forward',
  behind: 'back',
};

export const DIMENSION: Readonly<Record<PhraseKind, DimensionName>> = {
  line: 'intensity',
  force: 'force',
  couple: 'moment',
  area: 'stress',
  temperature: 'temperature',
  fit: 'length',
  settlement: 'length',
};

/** The unit in which a project shows the size of a kind. */
export const unitOfKind = (kind: PhraseKind, display: DisplayUnits): string =>
  kind === 'fit' || kind === 'settlement'
    ? display.deflection
    : kind === 'temperature'
      ? 'K'
      : kind === 'area'
        ? pressureUnit(display)
        : unitOf(DIMENSION[kind], display);

export const KIND_WORDS: Readonly<Record<PhraseKind, string>> = {
  line: 'a load per length',
  force: 'a force',
  couple: 'a couple',
  area: 'a pressure',
  temperature: 'a temperature change',
  fit: 'a lack of fit',
  settlement: 'a settlement',
};
