import { quantityTable } from '@rigid-beam/core/results/quantities';
import type { Subject } from './display-list';
import { NOTHING_HIDDEN, type Seen } from './geometry';
import { ELEVATION, type WorkPlane } from './projection';

/** Which diagram stands on the members. Plane models have N, Vy and Mz. */
export const forceQuantities = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz'] as const;
export type ForceQuantity = (typeof forceQuantities)[number];
export const diagramQuantities = [...forceQuantities, 'none'] as const;
export type DiagramQuantity = (typeof diagramQuantities)[number];

export const isMoment = (quantity: DiagramQuantity): boolean =>
  quantity !== 'none' && quantityTable[quantity].dimension === 'moment';

/** What a drawing shows of a model, apart from where one looks. */
export interface View extends Seen {
  /** Index into the solution's outcomes; -1 shows no results. */
  readonly outcome: number;
  readonly quantity: DiagramQuantity;
  /** The user's factor on the diagram's own scale. */
  readonly diagramFactor: number;
  readonly values: boolean;
  /** Areas and ordinates of diagrams, not only their outlines. */
  readonly ordinates: boolean;
  readonly deflected: boolean;
  readonly reactions: boolean;
  readonly loads: boolean;
  readonly dimensions: boolean;
  readonly names: boolean;
  /** Local axes on every member. */
  readonly localAxes: boolean;
  readonly selection: readonly Subject[];
  /** Pixels a metre: symbols and spacings depend on it. */
  readonly scale: number;
  /** Symbols and line weights: 1 on the sheet, smaller in thumbnails. */
  readonly weight: number;
  /** The plane one draws on in space; what lies elsewhere is faded. */
  readonly plane: WorkPlane | undefined;
}

/** A look straight at the plane that shows the structure and nothing else: other views say what differs. */
export const plainView: View = {
  projection: ELEVATION,
  hidden: NOTHING_HIDDEN,
  outcome: 0,
  quantity: 'none',
  diagramFactor: 1,
  values: false,
  ordinates: true,
  deflected: false,
  reactions: false,
  loads: false,
  dimensions: false,
  names: false,
  localAxes: false,
  selection: [],
  scale: 1,
  weight: 1,
  plane: undefined,
};
