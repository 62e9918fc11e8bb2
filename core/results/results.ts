import type { Outcome } from '../combinations/outcome';
import type { EndFreedom, MemberEnd, Translation } from '../model/model';
import type { SpectrumSettings } from '../model/spectrum-settings';
import type { Notice } from '../model/notice';
import type { Mechanism } from '../kinematics/mechanism';
import type { Fibres } from '../sections/fibres';
import type { Structure } from '../stiffness/structure';
import type { Pieces } from './breakpoints';
import type { EnvelopeReading } from './envelope-reading';
import type { Travel } from './travelling/travel';

/** Loads or reactions added up: fx, fy, fz, and mx, my, mz about the origin. */
export type Resultant = readonly [number, number, number, number, number, number];

export interface Equilibrium {
  readonly applied: Resultant;
  readonly reactions: Resultant;
  /** The largest component of applied + reactions, over the largest applied component (over `size` where nothing is applied). */
  readonly residual: number;
  /** The largest part of f − K·u beside the largest part of f; of a sum, the worst of its cases. */
  readonly solutionResidual: number;
  /** The largest unbalanced force or couple at a joint, beside the largest end force, fixed-end force or load. */
  readonly jointResidual: number;
  /** The largest end force, fixed-end force, reaction, load, or force that imposed displacements call up. */
  readonly size: number;
}

/** How the structure responds to what acts in one solved outcome, or in a sum of them. All in SI. */
export interface StructuralResponse {
  /** 6n, global: ux, uy, uz, rx, ry, rz. */
  readonly displacements: Float64Array;
  /** 6n, global: fx, fy, fz, mx, my, mz that the support exerts on the structure; zero where there is none. */
  readonly reactions: Float64Array;
  /** 12m, local: what the nodes exert on the member's ends. */
  readonly ends: Float64Array;
  /** The diagrams as polynomials, `pieceWidth` numbers a piece; quantities lie there as `offsetOf` tells. */
  readonly coefficients: Float64Array;
  readonly pieces: Pieces;
  readonly pieceWidth: number;
  readonly equilibrium: Equilibrium;
}

/** An outcome of the second order: by which angle everything leans towards X and Z, radians, and e₀/L of its members in compression. */
export interface DisplacedOutcome {
  readonly sway: readonly [x: number, z: number];
  readonly bow: number;
  /** 4m: by member the slopes a + b·x by which it leans before anything acts, along y, then along z; undefined where none does. */
  readonly leans?: Float64Array;
}

/** What swings in natural modes: kg, and the centre of it. */
export interface MassSum {
  readonly items: readonly MassItem[];
  readonly total: number;
  readonly centre: readonly [x: number, y: number, z: number];
  /** Along X, Y and Z: without what stands on nodes that are held. */
  readonly moving: readonly [number, number, number];
  readonly harmonic?: HarmonicForce;
  /** By direction of an earthquake what the modes leave out, where that is anything. */
  readonly leftOut?: readonly LeftOut[];
}

/** What modes leave out of a ground that is accelerated by 1 m/s² along an axis (0, 1, 2): kg, and where the response to its inertia stands. */
export interface LeftOut {
  readonly axis: 0 | 1 | 2;
  readonly mass: number;
  readonly at: number;
}

/** A force that swings at a node along an axis of the structure (0, 1, 2), and where its response is read along the same axis. */
export interface HarmonicForce {
  readonly node: number;
  readonly axis: number;
  readonly readAt: number;
  /** Newtons at any frequency, and kg·m of a mass that turns off its axis: N = m·e·Ω². */
  readonly force: number;
  readonly unbalance: number;
  /** Of the critical one. */
  readonly damping: number;
  /** Hz: between which frequencies the largest is sought. */
  readonly from?: number;
  readonly to?: number;
  /** What 1 N moves in statics where it is read, m/N. */
  readonly flexibility: number;
}

/** One of the things that have mass. */
export interface MassItem {
  /** A case by its id; the members' own, and masses typed at nodes. */
  readonly of: 'own' | 'nodes' | { readonly case: string };
  readonly mass: number;
  readonly centre: readonly [x: number, y: number, z: number];
}

/** A support that pushes one way and is lifted off, by its node and along which of its axes. */
export interface LiftedSupport {
  readonly node: number;
  readonly along: Translation;
}

/** A joint whose spring is within its gap, by its member. */
export interface OpenJoint {
  readonly member: number;
  readonly end: MemberEnd;
  readonly freedom: EndFreedom;
}

/** What of all that acts one way has let go in an outcome. */
export interface LetGo {
  /** Members that are slack, by their places. */
  readonly slack: readonly number[];
  readonly lifted: readonly LiftedSupport[];
  readonly open: readonly OpenJoint[];
  /** By place among what acts one way, ascending: of a joint each way by itself. */
  readonly gone: readonly number[];
}

/** A solved model. Names stand in `structure.names` and `outcomes`; everything else is by index. */
export interface Solution {
  readonly structure: Structure;
  readonly outcomes: readonly Outcome[];
  /** What was solved; outcomes say by place which of it they are, or are made of. */
  readonly responses: readonly StructuralResponse[];
  /** By member: where its section feels most; undefined where its properties do not tell. */
  readonly fibres: readonly (Fibres | undefined)[];
  /** Whether it was found how shear acts on them, which takes a mesh of each section: quantities that follow from it are awaited until then. */
  readonly isShearKnown?: true;
  /** Of envelopes over many parts what was read of them ahead. */
  readonly readings?: ReadonlyMap<number, EnvelopeReading>;
  /** Trains that travel over it, where there are some. */
  readonly travels?: readonly Travel[];
  /** Where something acts one way, by outcome: what has let go in it; nothing of a range. */
  readonly letGo?: readonly (LetGo | undefined)[];
  /** Where some were solved in second order: all outcomes as the first order has them, of the same responses. */
  readonly firstOrder?: readonly Outcome[];
  /** By outcome, of those that were solved in second order: how the structure leans in it before anything acts. */
  readonly displaced?: readonly (DisplacedOutcome | undefined)[];
  /** Where natural modes were found: what swings in them. */
  readonly masses?: MassSum;
  /** Where an earthquake is asked for: what the ground does. */
  readonly ground?: SpectrumSettings;
  /** Where axial deformation is neglected: members that hold each other lengthwise, and share forces by their areas. */
  readonly sharing?: readonly number[];
  /** Nodes with a support. */
  readonly supported: Uint8Array;
  /** Decimal digits (of 16) that the elimination cancelled. */
  readonly digitsLost: number;
}

export interface Results {
  readonly status: 'solved' | 'unstable' | 'invalid';
  readonly notices: readonly Notice[];
  readonly mechanisms: readonly Mechanism[];
  /**
   * By mechanism, of the first harmful ones: how the members' own ends move in it (6m, global), the largest movement being 1; to be
   * drawn. Undefined where only something turns.
   */
  readonly motions?: readonly (Float64Array | undefined)[];
  /** Present exactly when the status is `solved`. */
  readonly solution?: Solution;
  /** What other runs found of the same model, by name. */
  readonly others?: ReadonlyMap<string, Results>;
}
