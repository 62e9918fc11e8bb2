import type { Component, Effect } from '@rigid-beam/core/influence/effect';
import { isHeld } from '@rigid-beam/core/influence/read-effect';
import { alongAxis } from '@rigid-beam/core/quantities/axis-names';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { quiet, sizesOf } from '@rigid-beam/core/results/noise';
import type { Solution } from '@rigid-beam/core/results/results';
import { responseOf } from '@rigid-beam/core/results/sums';
import { axisOfComponent, forceComponent, inComponentOrder, movementComponent } from '@rigid-beam/core/tables/results/components';
import { nodeCard as WORDS } from './words';

/** How a node moves, or what its support exerts, and what of it an influence line is of; none of what no support holds. */
export interface MovementRow {
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  readonly effect: Exclude<Effect, { kind: 'along' }>;
  readonly hasInfluence: boolean;
}

/** The rows of one node in one outcome, in the reader's axes; undefined where the outcome has no single value. */
export function movementRows(
  solution: Solution,
  outcome: number,
  node: number,
  display: DisplayUnits,
): readonly MovementRow[] | undefined {
  const linear = responseOf(solution, outcome);
  if (!linear || node < 0) return undefined;
  const { active } = solution.structure;
  const isPlane = active.length < 6;
  const order = inComponentOrder(active, display);
  const moves = order.map((k): MovementRow => {
    const { letter } = axisOfComponent(k, display);
    const amount = alongAxis(movementComponent(k, active, display), linear.displacements[6 * node + k]!);
    const effect = { kind: 'movement', node, component: k as Component } as const;
    if (k < 3)
      return { name: WORDS.movesAlong(letter), value: showNumber(inUnit(amount, display.deflection)), unit: display.deflection, effect, hasInfluence: true }; // oxfmt-ignore
    const name = isPlane ? WORDS.turns : WORDS.turnsAbout(letter);
    return { name, value: showNumber(amount * 1e3), unit: 'mrad', effect, hasInfluence: true };
  });
  if (!solution.supported[node]) return moves;
  const sizes = sizesOf(solution, outcome);
  const bears = order.map((k): MovementRow => {
    const { letter } = axisOfComponent(k, display);
    const unit = k < 3 ? display.force : display.moment;
    const size = k < 3 ? sizes.force : sizes.couple;
    const amount = alongAxis(forceComponent(k, active, display), quiet(linear.reactions[6 * node + k]!, size));
    const name = k < 3 ? WORDS.reaction(letter) : isPlane ? WORDS.couple : WORDS.coupleAbout(letter);
    const effect = { kind: 'reaction', node, component: k as Component } as const;
    const hasInfluence = isHeld(solution.structure, node, effect.component);
    return { name, value: showNumber(inUnit(amount, unit)), unit, effect, hasInfluence };
  });
  return [...moves, ...bears];
}
