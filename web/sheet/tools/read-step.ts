import type { Model } from '@rigid-beam/core/model/model';
import { size, times, type Point } from '@rigid-beam/core/model/point';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { readStep as WORDS } from '../words';

/** How a way is typed while drawing; shown on the sheet. */
export const notationOf = (space: Model['space']): string => (space === 'plane' ? WORDS.notationInPlane : WORDS.notationInSpace);

export type Step =
  | { readonly ok: true; readonly by: Point; readonly absolute: boolean }
  | { readonly ok: false; readonly reason: string };

/**
 * Reads a way from one node to the next: `3.6` (towards the pointer), `3.6 at 30` (degrees from X, anticlockwise), `4 by -1.5` (across by
 * up; in space a third part leads forward, along Z), or with `to` in front a place from the origin. `what`: a way, or the place of a first node,
 * which needs no `to`. Lengths take arithmetic and units; `unit` is what a bare number means. `toward`: where the pointer is from there.
 */
export function readStep(text: string, unit: string, toward: Point, what: 'way' | 'place', space: Model['space']): Step {
  const length = (part: string): number => {
    const parsed = parseQuantity(part, 'length', unit);
    if (!parsed.ok) throw new StepFault(WORDS.isNoLength(part.trim(), parsed.reason));
    return parsed.value;
  };
  try {
    const [, to, rest] = /^\s*(to\b)?(.*)$/.exec(text) as unknown as [string, string | undefined, string];
    const absolute = to !== undefined || what === 'place';
    const parts = rest.split(/\bby\b/);
    if (parts.length > 3 || (parts.length === 3 && space === 'plane')) throw new StepFault(WORDS.twoParts);
    if (parts.length > 1)
      return finished(
        [length(parts[0]!), length(parts[1]!), parts[2] === undefined ? 0 : length(parts[2])],
        absolute ? 'the origin' : 'here',
      );
    if (absolute) throw new StepFault(WORDS.threeParts);
    const [, reach, turn] = /^(.*)\bat\b(.*)$/.exec(rest) ?? [];
    if (reach === undefined || turn === undefined) {
      const far = size(toward);
      if (far === 0) throw new StepFault(WORDS.noAngle);
      return finished(times(toward, length(rest) / far), 'here');
    }
    const angle = parseQuantity(turn, 'angle', 'deg');
    if (!angle.ok) throw new StepFault(WORDS.isNoAngle(turn.trim(), angle.reason));
    return finished([length(reach) * Math.cos(angle.value), length(reach) * Math.sin(angle.value), 0], 'here');
  } catch (fault) {
    if (fault instanceof StepFault) return { ok: false, reason: fault.message };
    throw fault;
  }
}

class StepFault extends Error {}

function finished(by: Point, from: 'here' | 'the origin'): Step {
  if (from === 'here' && size(by) < 1e-6) return { ok: false, reason: WORDS.noWay };
  return { ok: true, by, absolute: from === 'the origin' };
}
