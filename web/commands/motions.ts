import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Motion } from '@rigid-beam/core/model/edits/motion';
import type { Repetition } from '@rigid-beam/core/model/edits/repeat';
import type { Model } from '@rigid-beam/core/model/model';
import type { AxisName, Point } from '@rigid-beam/core/model/point';
import { nodesOf, type Chosen } from '@rigid-beam/core/model/selecting';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { motions as WORDS } from './words';

/** Reads `3 by 0`, `3 by 0 by -5` as a vector; a single length leads across. */
export function readVector(text: string, unit: string): Point | string {
  const parts = text.split(/\bby\b/);
  if (parts.length > 3) return WORDS.tooManyParts;
  const lengths: number[] = [];
  for (const part of parts) {
    const parsed = parseQuantity(part, 'length', unit);
    if (!parsed.ok) return WORDS.isNoLength(part.trim(), parsed.reason);
    lengths.push(parsed.value);
  }
  return [lengths[0]!, lengths[1] ?? 0, lengths[2] ?? 0];
}

/** Reads an angle as a turn about an axis, in the sense in which readers have that axis. */
export function readTurn(
  text: string,
  about: Point,
  { axis, sign }: { readonly axis: AxisName; readonly sign: 1 | -1 },
): Motion | string {
  const parsed = parseQuantity(text, 'angle', 'deg');
  if (!parsed.ok) return WORDS.isNoAngle(text.trim(), parsed.reason);
  const degrees = Number(((parsed.value * 180) / Math.PI).toFixed(9));
  return { kind: 'turn', about, axis, degrees: sign * degrees };
}

export const NORMALS: Record<AxisName, Point> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** What is chosen, carried by a motion. */
export const transformOf = (model: Model, chosen: Chosen, motion: Motion): Intent => ({
  type: 'transform',
  nodes: nodesOf(model, chosen),
  motion,
});

export const repeatOf = (chosen: Chosen, motion: Motion, more: Partial<Repetition> = {}): Intent => ({
  type: 'repeat',
  ...chosen,
  motion,
  times: 1,
  supports: 'copied',
  loads: 'copied',
  ...more,
});
