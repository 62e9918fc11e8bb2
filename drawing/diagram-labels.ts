import type { Model } from '@rigid-beam/core/model/model';
import { isLineDrawn, type DrawnQuantity } from './diagram-items';
import type { Governing } from './diagram-scale';
import type { Label } from './display-list';
import type { DrawnMember } from './geometry';
import { movementLabels } from './movement-labels';
import { valueLabels } from './value-labels';
import type { View } from './view';

/** What is said of a diagram: of the line that members take how far they move, of everything else the values at its tips. */
export const diagramLabels = (
  model: Model,
  drawn: DrawnQuantity,
  members: readonly DrawnMember[],
  governing: Governing,
  view: View,
): Label[] =>
  isLineDrawn(drawn)
    ? movementLabels(model, { ...drawn, factor: drawn.metresPerUnit }, members, view)
    : valueLabels(model, drawn, members, governing, view);
