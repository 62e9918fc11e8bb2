import type { SheetFreedom } from '@rigid-beam/core/workings/follow-words';
import { quantityTable, type Quantity } from '@rigid-beam/core/results/quantities';
import type { Solution } from '@rigid-beam/core/results/results';
import type { DrawnCut } from './drawn-cut';
import type { Subject } from './display-list';
import type { DrawnInfluence } from './drawn-influence';
import { NOTHING_HIDDEN, type Seen } from './geometry';
import { ELEVATION, type WorkPlane } from './projection';

/** What can be drawn on the members, as its row says; plane models have fewer. Displacements along members are part of how these deflect. */
export type SheetQuantity = Exclude<Quantity, 'u'>;
export const sheetQuantities = (Object.keys(quantityTable) as SheetQuantity[]).filter((quantity) => quantityTable[quantity].line);
/** Those that there are in a model. */
export const quantitiesDrawn = (space: 'plane' | 'space'): readonly SheetQuantity[] =>
  sheetQuantities.filter((quantity) => space === 'space' || quantityTable[quantity].inPlane);
export type DiagramQuantity = SheetQuantity | 'none';

export const isMoment = (quantity: DiagramQuantity): boolean =>
  quantity !== 'none' && quantityTable[quantity].dimension === 'moment';

/** A displacement of the axis: drawn as the line that the members take. */
export const isDeflection = (quantity: DiagramQuantity): boolean => quantity === 'v' || quantity === 'w';

/** Whether axial forces are drawn as the members themselves, thick and thin. */
export const isBars = ({ quantity, axial }: Pick<View, 'quantity' | 'axial'>): boolean => quantity === 'N' && axial === 'bars';

/** How much of a thing is shown: not at all, as a hint, as it is, or with its words. */
export type Strength = 'none' | 'faint' | 'plain' | 'said';

/** How a diagram is drawn on the members: with ordinates, as an area, as a line, or as the colour of the members themselves. */
export const diagramStyles = ['hatched', 'filled', 'line', 'colour'] as const;
export type DiagramStyle = (typeof diagramStyles)[number];
/** On which face of a member its moment stands: where it pulls, or where it presses. */
export const momentFaces = ['tension', 'compression'] as const;
export type MomentFace = (typeof momentFaces)[number];

/** What another drawing shows; of another model with its own solution, and how large that model is, metres. */
export interface Together {
  readonly outcome: number;
  readonly quantity: DiagramQuantity;
  readonly solution?: Solution;
  readonly extent?: number;
}

/** By quantity, where one was chosen. */
export type Scales = Readonly<Partial<Record<SheetQuantity, number>>>;

/** What a drawing shows of a model, apart from where one looks. */
export interface View extends Seen {
  /** Index into the solution's outcomes; -1 shows no results. */
  readonly outcome: number;
  readonly quantity: DiagramQuantity;
  /** Axial forces as diagrams, or as the members themselves: wide where the force is large. */
  readonly axial: 'bars' | 'diagrams';
  /** The user's factor on the diagram's own scale. */
  readonly diagramFactor: number;
  readonly style: DiagramStyle;
  readonly face: MomentFace;
  /** Scales that were chosen as such: metres of the drawing for one SI unit, of deflections how many times larger than life. */
  readonly scales: Scales;
  /** Keys of nodes and members that are only hinted at, so that others come forward. */
  readonly faded: ReadonlySet<string>;
  /** What is drawn besides, each to a scale of its own. */
  readonly also: readonly SheetQuantity[];
  /** What is drawn beside it, to the same scale where it is of the same dimension. */
  readonly together: readonly Together[];
  /** Loads that are drawn to the scale of another model's: its largest intensity and force. */
  readonly loadScale?: { readonly intensity: number; readonly force: number };
  /** How many times deflections are drawn larger than life, where that holds while something is in hand. */
  readonly heldDeflection?: number | undefined;
  /** An influence line, in place of what acts and what it brings about. */
  readonly influence?: DrawnInfluence | undefined;
  /** A part of the structure cut free, in place of a diagram. */
  readonly cut?: DrawnCut | undefined;
  /** Which values of the diagram are written: those that matter, or none. */
  readonly values: 'none' | 'that matter';
  /** Values also where a load changes the diagram, and where it is zero. */
  readonly kinks: boolean;
  /** Along an envelope, which outcome governs. */
  readonly governing: boolean;
  /** All there is, or only outlines: hairlines without areas, ordinates and dots, of what is in hand or stands behind. */
  readonly detail: 'whole' | 'outline';
  readonly members: Exclude<Strength, 'none' | 'said'>;
  readonly supports: Strength;
  readonly loads: Strength;
  /** The resultant of the acting case. */
  readonly resultant: boolean;
  readonly deflected: boolean;
  readonly reactions: boolean;
  /** Freedoms at their nodes with the numbers that the workings give them. */
  readonly freedoms?: readonly SheetFreedom[] | undefined;
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
  style: 'hatched',
  face: 'tension',
  scales: {},
  also: [],
  faded: NOTHING_HIDDEN,
  together: [],
  values: 'none',
  kinks: false,
  governing: false,
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
