import type { PlacedStructure } from './structures/measures';
import type { Category, LimitState } from './categories';
import type { Shape } from '../shapes/shape';
import type { DisplayUnits } from '../quantities/display';
import type { Expected } from './expected';
import type { EndFreedom, Freedom, MemberEnd } from './freedoms';
import type { CompoundLoad } from './loads/compound';
import type { ReportSettings } from './report';
import type { AnalysisSettings } from './analysis-settings';
import type { NotionalLoad } from './loads/notional';
import type { PrimitiveLoad } from './loads/primitive';
import type { Train } from './train';

export { endFreedoms, freedoms, memberEnds, type EndFreedom, type Freedom, type MemberEnd } from './freedoms';

/** What an engineer describes, exactly as the model file holds it: plain objects, SI numbers, ids as names. */
export interface Model {
  readonly format: 'rigid-beam/model';
  readonly version: 1;
  readonly title: string;
  readonly space: 'plane' | 'space';
  /** m/s², along −Y. */
  readonly gravity?: number;
  readonly analysis?: AnalysisSettings;
  readonly display?: Partial<DisplayUnits>;
  readonly materials: readonly Material[];
  readonly sections: readonly Section[];
  readonly nodes: readonly ModelNode[];
  readonly members: readonly Member[];
  readonly supports: readonly Support[];
  readonly cases: readonly LoadCase[];
  readonly loads: readonly Load[];
  readonly combinations: readonly Combination[];
  readonly combining?: Combining;
  readonly actions?: readonly ActionGroup[];
  readonly groups?: readonly Group[];
  readonly trains?: readonly Train[];
  readonly expected?: readonly Expected[];
  readonly ruleSets?: readonly OwnRules[];
  readonly report?: ReportSettings;
  readonly grid?: GridLines;
  readonly underlay?: Underlay;
  readonly parameters?: readonly Parameter[];
  readonly formulas?: readonly Formula[];
  readonly structures?: readonly PlacedStructure[];
}

/** A set of rules of the model's own, as the file of it holds it (`docs/rules-format.md`); whether it can be used is for those to say that read it. */
export interface OwnRules {
  readonly id: string;
  readonly title: string;
  readonly [key: string]: unknown;
}

/** A number by a name that expressions mention. */
export interface Parameter {
  readonly id: string;
  /** What it is, in words. */
  readonly title?: string;
  /** The unit in which it is shown, which also tells its dimension; a plain number has none. */
  readonly unit?: string;
  /** SI, as its range and its step are. */
  readonly value: number;
  readonly from?: number;
  readonly to?: number;
  readonly step?: number;
}

/** An expression of parameters, and the place (`nodes/2/x`) of the number that it gives. */
export interface Formula {
  readonly of: string;
  readonly is: string;
}

/** Nodes and members under a name of their own: top chord, columns, what is built second. */
export interface Group {
  readonly id: string;
  readonly nodes?: readonly string[];
  readonly members?: readonly string[];
}

/** Grid lines across one axis: the first at `from`, the others each a step (metres) further. */
export interface GridAxis {
  readonly from: number;
  readonly steps: readonly number[];
  /** Names of the lines; those without one are counted. */
  readonly names?: readonly string[];
}
export type GridLines = { readonly [axis in 'x' | 'y' | 'z']?: GridAxis };

/** A picture behind the drawing, in a plane across an axis: its lower left corner, size and turn. */
export interface Underlay {
  /** data:image/png or jpeg, base64. */
  readonly image: string;
  readonly name?: string;
  /** Pixels of the image. */
  readonly width: number;
  readonly height: number;
  /** The axis that the plane stands across, and its place there, metres; Z = 0 where they are left out. */
  readonly across?: 'x' | 'y' | 'z';
  readonly at?: number;
  /** Where the lower left corner lies as one looks straight at the plane: metres to the right of the origin, and above it. */
  readonly x: number;
  readonly y: number;
  readonly metresPerPixel: number;
  /** Degrees, anticlockwise as one looks at it. */
  readonly angle?: number;
  /** 0 hides it, 1 shows it as it is. */
  readonly strength?: number;
}

export interface ModelNode {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly z?: number;
}

export interface Material {
  readonly id: string;
  readonly E: number;
  readonly G?: number;
  readonly nu?: number;
  readonly density?: number;
  readonly alpha?: number;
  readonly fy?: number;
}

/** A, Iz, Iy, J, Ay, Az, Wz, Wy, Iyz of a section; see the model format for what they mean. SI. */
export interface SectionProperties {
  readonly A?: number;
  readonly Iz?: number;
  readonly Iy?: number;
  readonly J?: number;
  readonly Ay?: number;
  readonly Az?: number;
  readonly Wz?: number;
  readonly Wy?: number;
  readonly Iyz?: number;
}

export interface Section extends SectionProperties {
  readonly id: string;
  readonly shape?: Shape;
  readonly catalogue?: string;
  readonly relative?: RelativeStiffness;
}

/** For hand calculations: the second moment about local z is so many times a reference (m⁴) that all relative sections share. */
export interface RelativeStiffness {
  readonly I: number;
  readonly reference?: number;
}

/** Held, free, or a spring in N/m or N·m/rad. */
export type Restraint = 'fixed' | 'free' | number;
export type EndReleases = { readonly [freedom in EndFreedom]?: Restraint };
export type EndGaps = { readonly [freedom in EndFreedom]?: number };

export const behaviours = ['frame', 'truss', 'tensionOnly', 'compressionOnly'] as const;
export type Behaviour = (typeof behaviours)[number];

export interface Member {
  readonly id: string;
  readonly start: string;
  readonly end: string;
  readonly section: string;
  readonly material: string;
  /** Degrees, right-handed about local x. */
  readonly roll?: number;
  readonly behaviour?: Behaviour;
  readonly releases?: { readonly [end in MemberEnd]?: EndReleases };
  /** How far a sprung freedom of an end gives either way before its spring acts, metres or radians. */
  readonly gaps?: { readonly [end in MemberEnd]?: EndGaps };
  /** Rigid arms in global axes, metres, from the node to the member's end. */
  readonly offset?: { readonly [end in MemberEnd]?: readonly number[] };
}

export type Support = { readonly [freedom in Freedom]?: Restraint } & {
  readonly node: string;
  /** Degrees about +Z. */
  readonly angle?: number;
  readonly axes?: { readonly x: readonly number[]; readonly y: readonly number[] };
  /** Along an axis of its own it only pushes: towards + or towards −; against the other way it lets go. */
  readonly oneWay?: { readonly [along in Translation]?: OneWay };
  /** How far the structure moves against a support that pushes one way before it is there, metres. */
  readonly gaps?: { readonly [along in Translation]?: number };
};

export type Translation = 'ux' | 'uy' | 'uz';
export const translations = ['ux', 'uy', 'uz'] as const satisfies readonly Translation[];
export const isTranslation = (freedom: string): freedom is Translation => (translations as readonly string[]).includes(freedom);
/** Which way a support pushes that acts one way: along the positive or the negative sense of its axis. */
export type OneWay = 'positive' | 'negative';
export const oneWays = ['positive', 'negative'] as const satisfies readonly OneWay[];

/** Colours by which a drawing tells the loads of one case from those of another. */
export const caseColours = ['brown', 'olive', 'slate', 'plum', 'indigo'] as const;
export type CaseColour = (typeof caseColours)[number];

export interface LoadCase {
  readonly id: string;
  readonly title?: string;
  readonly category: Category;
  /** Factor on density × A × gravity along −Y. */
  readonly selfWeight?: number;
  /** Brown where it is absent. */
  readonly colour?: CaseColour;
}

export type Load = PrimitiveLoad | CompoundLoad | NotionalLoad;

/**
 * How the parts of an action act: one of them at a time, all of them, with their loads the other way round as well, one case on some of its spans, or one whose
 * trains travel.
 */
export const actionTypes = ['either', 'together', 'both signs', 'pattern', 'travelling'] as const;

/** Whether it stands for one case, however that acts: in combinations it is one term, and its case never stands beside it. */
export const isOneTerm = (type: ActionGroup['type']): boolean => type === 'pattern' || type === 'travelling';

/** Cases, or other actions, that come into combinations as one action. */
export interface ActionGroup {
  readonly id: string;
  readonly title?: string;
  readonly type: (typeof actionTypes)[number];
  readonly of: readonly string[];
  /** Of a pattern: by what its case is divided, and in which ways these parts are loaded. */
  readonly by?: (typeof patternParts)[number];
  readonly ways?: readonly (typeof patternWays)[number][];
}

/** By what a case is divided that is loaded in patterns: every span for itself, or all spans between the same lines, or on the same level. */
export const patternParts = ['spans', 'bays', 'storeys'] as const;
/** All parts; every other one; each two neighbours; each alone. */
export const patternWays = ['everywhere', 'alternate', 'adjacent', 'each'] as const;

/** Where a combination comes from that nobody typed: a rule set, one of its situations, and why it is as it is. */
export interface MadeBy {
  readonly rules: string;
  readonly situation: string;
  readonly clause: string;
  readonly reason: string;
}

/** Whether permanent actions help or hurt all at once, or each by itself (EN 1990 6.4.3.1(4)). */
export const permanentWays = ['as one', 'each by itself'] as const;

/** The rules by which combinations are made: the id of a set, some of its situations or all, and how permanent actions are taken. */
export interface Combining {
  readonly rules: string;
  readonly situations?: readonly string[];
  readonly permanent?: (typeof permanentWays)[number];
}

export interface SumCombination {
  readonly id: string;
  readonly title?: string;
  readonly type: 'sum';
  readonly factors: { readonly [id: string]: number };
  readonly limitState?: LimitState;
  readonly made?: MadeBy;
}

export interface EnvelopeCombination {
  readonly id: string;
  readonly title?: string;
  readonly type: 'envelope';
  readonly of: readonly string[];
  /** Whether it encloses the earthquake too, with what acts beside it. */
  readonly earthquake?: boolean;
  readonly limitState?: LimitState;
  readonly made?: MadeBy;
}

export type Combination = SumCombination | EnvelopeCombination;

/** The second moment of which relative sections are multiples where a model says no other, m⁴: forces depend on the ratios alone. */
export const REFERENCE = 1e-4;

export const STANDARD_GRAVITY = 9.80665;

/** A new plane model with nothing in it but one steel-like material, one section, a permanent case with self weight and an imposed one. */
export function emptyModel(title: string, space: Model['space'] = 'plane'): Model {
  return {
    format: 'rigid-beam/model',
    version: 1,
    title,
    space,
    materials: [{ id: 'steel', E: 210e9, nu: 0.3, density: 7850, alpha: 1.2e-5, fy: 355e6 }],
    sections: [{ id: 'beam', shape: { type: 'i', h: 0.24, b: 0.12, tw: 0.0062, tf: 0.0098, r: 0.015 } }],
    nodes: [],
    members: [],
    supports: [],
    cases: [
      { id: 'G', title: 'Permanent', category: 'permanent', selfWeight: 1 },
      { id: 'Q', title: 'Imposed', category: 'imposed', colour: 'olive' },
    ],
    loads: [],
    combinations: [],
  };
}
