import type { Model } from '@rigid-beam/core/model/model';
import { deflectedPath, type Deflected } from './diagram-items';
import type { Item } from './display-list';
import { drawnMembers } from './geometry';
import type { View } from './view';

/** The deflected line at a part of its way, −1 to 1: what moves while somebody watches how a structure deflects. */
export const movingItems = (model: Model, deflected: Deflected, view: View, phase: number): Item[] =>
  drawnMembers(model, view).map((member) =>
    deflectedPath({ ...deflected, factor: deflected.factor * phase }, member, { ...view, detail: 'whole' }, 'asked for'),
  );
