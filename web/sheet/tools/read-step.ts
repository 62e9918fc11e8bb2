import { parseQuantity } from '@rigid-beam/core/quantities/parse';

/** How a way is typed while drawing; shown on the sheet. */
export const STEP_NOTATION = 'a length · length at degrees · across by up';

export type Step =
  { readonly ok: true; readonly dx: number; readonly dy: number } | { readonly ok: false; readonly reason: string };

/**
 * Reads a way from one node to the next: `3.6` (towards the pointer), `3.6 at 30` (degrees from X, anticlockwise), or `4 by -1.5` (across by up).
 * Lengths take arithmetic and units; `unit` is what a bare number means. `toward`: the pointer's direction in radians.
 */
export function readStep(text: string, unit: string, toward: number): Step {
  const length = (part: string): number => {
    const parsed = parseQuantity(part, 'length', unit);
    if (!parsed.ok) throw new StepFault(`“${part.trim()}” is no length: ${parsed.reason}`);
    return parsed.value;
  };
  try {
    const [, across, up] = /^(.*)\bby\b(.*)$/.exec(text) ?? [];
    if (across !== undefined && up !== undefined) return finished(length(across), length(up));
    const [, reach, turn] = /^(.*)\bat\b(.*)$/.exec(text) ?? [];
    if (reach === undefined || turn === undefined) {
      const size = length(text);
      return finished(size * Math.cos(toward), size * Math.sin(toward));
    }
    const angle = parseQuantity(turn, 'angle', 'deg');
    if (!angle.ok) throw new StepFault(`“${turn.trim()}” is no angle: ${angle.reason}`);
    return finished(length(reach) * Math.cos(angle.value), length(reach) * Math.sin(angle.value));
  } catch (fault) {
    if (fault instanceof StepFault) return { ok: false, reason: fault.message };
    throw fault;
  }
}

class StepFault extends Error {}

function finished(dx: number, dy: number): Step {
  if (Math.hypot(dx, dy) < 1e-6) return { ok: false, reason: 'the way has no length' };
  return { ok: true, dx, dy };
}
