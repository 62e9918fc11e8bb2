import type { Model } from '@rigid-beam/core/model/model';
import { dot, size, type Point } from '@rigid-beam/core/model/point';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showForce } from '@rigid-beam/core/quantities/show-load';
import { resultantOf } from '@rigid-beam/core/results/resultant';
import { responseOf } from '@rigid-beam/core/results/sums';
import type { Solution } from '@rigid-beam/core/results/results';
import { boundsOf } from './camera';
import { symbolPath, type Ink, type Item } from './display-list';
import { drawnNodes, extentOf } from './geometry';
import { actingFactors } from './acting-factors';
import { inkOfColour } from './load-marks';
import { seenPoint } from './projection';
import type { View } from './view';

/** Pixels of its arrow. */
const LENGTH = 54;

/**
 * The resultant of what acts, on its line of action (in space on the central axis), and so far back that it ends at the edge of the
 * structure. Nothing for couples alone, for loads that balance each other, and for envelopes.
 */
export function resultantItems(model: Model, solution: Solution, view: View): Item[] {
  const linear = responseOf(solution, view.outcome);
  const box = boundsOf(drawnNodes(model, view).values());
  if (!linear || !box || isSaidAlready(model, solution, view)) return [];
  const { applied, size: scale } = linear.equilibrium;
  const found = resultantOf(applied, scale);
  if (!found || found.size === 0) return [];
  const { force, foot, size: total } = found;
  if (size(foot) > 10 * extentOf(model) + reachOf(model)) return [];
  const [ux, uy] = seenPoint(view.projection, force.map((part) => part / total) as unknown as Point);
  const across = Math.hypot(ux, uy);
  if (across < 0.2) return [];
  const [dx, dy] = [ux / across, uy / across];
  const [fx, fy] = seenPoint(view.projection, foot);
  // Where the line of action leaves the structure's box, against its direction.
  const [cx, cy] = [(box.left + box.right) / 2, (box.bottom + box.top) / 2];
  const middle = dot([cx - fx, cy - fy, 0], [dx, dy, 0]);
  const back = (Math.abs(dx) * (box.right - box.left) + Math.abs(dy) * (box.top - box.bottom)) / 2;
  const [x, y] = [fx + (middle - back) * dx, fy + (middle - back) * dy];
  const w = view.weight;
  const along = (reach: number, aside = 0): [number, number] => [
    -dx * reach * w - dy * aside * w,
    -dy * reach * w + dx * aside * w,
  ];
  const near = CLEAR;
  const ink = inkOfActing(model, actingFactors(model, solution, view.outcome));
  const style = { stroke: ink, width: 3 * w, texts: 'keep off' } as const;
  const [lx, ly] = along(near + LENGTH + 3);
  return [
    symbolPath(x, y, [...along(near + LENGTH), ...along(near + 10)], style),
    symbolPath(x, y, [...along(near), ...along(near + 12, 5), ...along(near + 12, -5)], {
      closed: true,
      fill: ink,
      texts: 'keep off',
    }),
    {
      kind: 'label',
      text: `resultant ${showForce(total, { ...defaultDisplay, ...model.display })}`,
      ...{ x, y, dx: lx, dy: ly, away: [-dx, -dy] },
      ...{ ink, role: 'extreme', rank: 900 },
    },
  ];
}

/** The ink of the case that acts alone; of several the one of all loads. */
function inkOfActing({ cases }: Model, factors: ReadonlyMap<string, number>): Ink {
  const acting = cases.filter(({ id }) => (factors.get(id) ?? 0) !== 0);
  return acting.length === 1 ? inkOfColour(acting[0]!.colour) : 'load';
}

/** Whether a single load acts, which says the same itself. */
function isSaidAlready(model: Model, solution: Solution, view: View): boolean {
  const acting = actingFactors(model, solution, view.outcome);
  const acts = (id: string): boolean => (acting.get(id) ?? 0) !== 0;
  const weights = model.cases.filter(({ id, selfWeight }) => acts(id) && (selfWeight ?? 0) !== 0).length;
  return weights + model.loads.filter((load) => acts(load.case)).length < 2;
}

/** Pixels that the loads themselves take at the edge of the structure. */
const CLEAR = 58;

/** How far from the origin a structure reaches, metres. */
const reachOf = ({ nodes }: Model): number => nodes.reduce((most, { x, y, z }) => Math.max(most, Math.hypot(x, y, z ?? 0)), 0);
