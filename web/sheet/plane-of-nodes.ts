import type { Model } from '@rigid-beam/core/model/model';
import { pointOf } from '@rigid-beam/core/model/point';
import type { WorkPlane } from '@rigid-beam/drawing/projection';
import { planeThrough } from '@rigid-beam/drawing/tilted-plane';

/** The work plane through three nodes, or why there is none. */
export function planeOfNodes(model: Model, ids: readonly string[]): WorkPlane | string {
  const points = ids.map((id) => model.nodes.find((node) => node.id === id));
  const missing = ids.find((_, i) => points[i] === undefined);
  if (missing !== undefined) return `There is no node “${missing}”`;
  const [a, b, c, more] = points.map((node) => pointOf(node!));
  if (!a || !b || !c || more) return 'A plane goes through three nodes';
  return planeThrough([a, b, c], ids.join(', ')) ?? 'The three nodes lie in one line';
}
