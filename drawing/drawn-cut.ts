import type { Point } from '@rigid-beam/core/model/point';
import type { BodyBalance, FreeBody } from '@rigid-beam/core/results/bodies/cut';
import type { Structure } from '@rigid-beam/core/stiffness/structure';

/** A free body, what goes through its cut, and the line that was drawn for it. */
export interface DrawnCut {
  readonly structure: Structure;
  readonly body: FreeBody;
  /** Nothing where the outcome has no one value at a place. */
  readonly balance?: BodyBalance;
  readonly line?: readonly [Point, Point];
}
