import { inReaderOrder, structureAxis, type AxisKey } from '../../../quantities/axis-names';
import type { DisplayUnits } from '../../../quantities/display';
import { isPlane, type Structure } from '../../../stiffness/structure';
import { headlines as WORDS } from '../../words';

const AXES = ['x', 'y', 'z'] as const;
/** What leads up or down by more than this part of it is above or below. */
const STEEP = 0.5;

/** On which side a direction leads, global: above, below, and in the plane to the left or right. */
export function sideWords(s: Structure, [x, y, z]: readonly [number, number, number], display: DisplayUnits): string {
  const size = Math.hypot(x, y, z);
  if (Math.abs(y) > STEEP * size) return y > 0 ? WORDS.above : WORDS.below;
  if (isPlane(s)) return x > 0 ? WORDS.right : WORDS.left;
  const most: AxisKey = Math.abs(x) >= Math.abs(z) ? 'x' : 'z';
  const { letter, sign } = structureAxis(display, most);
  return WORDS.towards(`${sign * (most === 'x' ? x : z) >= 0 ? '+' : '−'}${letter}`);
}

/** Which way something moves: down, to the right, along an axis. */
export function wayWords(s: Structure, [x, y, z]: readonly [number, number, number], display: DisplayUnits): string {
  const size = Math.hypot(x, y, z);
  if (Math.abs(y) > Math.SQRT1_2 * size) return y > 0 ? WORDS.up : WORDS.down;
  if (isPlane(s)) return x > 0 ? WORDS.toRight : WORDS.toLeft;
  const [first] = inReaderOrder(AXES, display)
    .filter((axis) => axis !== 'y')
    .toSorted((a, b) => Math.abs(b === 'x' ? x : z) - Math.abs(a === 'x' ? x : z));
  const { letter, sign } = structureAxis(display, first!);
  return WORDS.along(`${sign * (first === 'x' ? x : z) >= 0 ? '+' : '−'}${letter}`);
}
