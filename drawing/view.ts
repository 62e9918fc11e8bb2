import type { Subject } from './display-list';

/** Which diagram stands on the members. */
export const diagramQuantities = ['N', 'Vy', 'Mz', 'none'] as const;
export type DiagramQuantity = (typeof diagramQuantities)[number];

/** What a drawing shows of a model, apart from where one looks. */
export interface View {
  /** Index into the solution's outcomes; -1 shows no results. */
  readonly outcome: number;
  readonly quantity: DiagramQuantity;
  /** The user's factor on the diagram's own scale. */
  readonly diagramFactor: number;
  readonly values: boolean;
  readonly deflected: boolean;
  readonly reactions: boolean;
  readonly loads: boolean;
  readonly dimensions: boolean;
  readonly names: boolean;
  readonly selection: readonly Subject[];
  /** Pixels a metre: symbols and spacings depend on it. */
  readonly scale: number;
  /** Symbols and line weights: 1 on the sheet, smaller in thumbnails. */
  readonly weight: number;
}
