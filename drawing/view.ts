import { quantityTable, type Quantity } from '@rigid-beam/core/results/quantities';
import type { Subject } from './display-list';
import { NOTHING_HIDDEN, type Seen } from './geometry';
import { ELEVATION, type WorkPlane } from './projection';

/** What can be drawn on the members, as its row says; plane models have fewer. Displacements along members are part of how these deflect. */
export type SheetQuantity = Exclude<Quantity, 'u'>;
export const sheetQuantities = (Object.keys(quantityTable) as SheetQuantity[]).filter((quantity) => quantityTable[quantity].line);
export type DiagramQuantity = SheetQuantity | 'none';

export const isMoment = (quantity: DiagramQuantity): boolean =>
  quantity !== 'none' && quantityTable[quantity].dimension === 'moment';

/** A displacement of the axis: drawn as the line that the members take. */
export const isDeflection = (quantity: DiagramQuantity): boolean => quantity === 'v' || quantity === 'w';

/** How much of a thing is shown: not at all, as a hint, as it is, or with its words. */
export type Strength = 'none' | 'faint' | 'plain' | 'said';

/** What a drawing shows of a model, apart from where one looks. */
export interface View extends Seen {
  /** Index into the solution's outcomes; -1 shows no results. */
  readonly outcome: number;
  readonly quantity: DiagramQuantity;
  /** Axial forces as diagrams, or as the members themselves: wide where the force is large. */
  readonly axial: 'bars' | 'diagrams';
  /** The user's factor on the diagram's own scale. */
  readonly diagramFactor: number;
  /** What is drawn beside it, to the same scale where it is of the same dimension. */
  readonly together: readonly { readonly outcome: number; readonly quantity: DiagramQuantity }[];
  /** Loads that are drawn to the scale of another model's: its largest intensity and force. */
  readonly loadScale?: { readonly intensity: number; readonly force: number };
  /** How many times deflections are drawn larger than life, where that holds while something is in hand. */
  readonly heldDeflection?: number | undefined;
  /** Which values of the diagram are written: those that matter, or none. */
  readonly values: 'none' | 'that matter';
  /** All there is, or only outlines: hairlines without areas, ordinates and dots, of what is in hand or stands behind. */
  readonly detail: 'whole' | 'outline';
  readonly members: Exclude<Strength, 'none' | 'said'>;
  readonly supports: Strength;
  readonly loads: Strength;
  /** The resultant of the acting case. */
  readonly resultant: boolean;
  readonly deflected: boolean;
  readonly reactions: boolean;
  readonly dimensions: Exclude<Strength, 'said'>;
  readonly names: boolean;
  /** Members at their true depth, and the name of each section once per run of members that have it. */
  readonly sections: boolean;
  /** Local axes on every member. */
  readonly localAxes: boolean;
  /** Members stand there as bodies, which are painted under the lines. */
  readonly solids: boolean;
  /** Loads of other cases, faintly behind those that act. */
  readonly otherLoads: boolean;
  readonly selection: readonly Subject[];
  /** A member that is pointed at: all its values are written. */
  readonly pointed: string | undefined;
  /** Pixels a metre: symbols and spacings depend on it. */
  readonly scale: number;
  /** Symbols and line weights: 1 on the sheet, smaller in thumbnails. */
  readonly weight: number;
  /** The plane one draws on in space, or that is brought forward; what lies elsewhere is faded. */
  readonly plane: WorkPlane | undefined;
}

/** A look straight at the plane that shows the structure and nothing else: other views say what differs. */
export const plainView: View = {
  projection: ELEVATION,
  hidden: NOTHING_HIDDEN,
  outcome: 0,
  quantity: 'none',
  axial: 'diagrams',
  diagramFactor: 1,
  together: [],
  values: 'none',
  detail: 'whole',
  members: 'plain',
  supports: 'plain',
  loads: 'none',
  resultant: false,
  deflected: false,
  reactions: false,
  dimensions: 'none',
  names: false,
  sections: false,
  localAxes: false,
  solids: false,
  otherLoads: false,
  selection: [],
  pointed: undefined,
  scale: 1,
  weight: 1,
  plane: undefined,
};
