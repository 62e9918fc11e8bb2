import { nounFor } from '../counted';
import { isPlane, type Structure } from '../stiffness/structure';

const AXES = ['X', 'Y', 'Z'];

/** `along X`, or the direction in words that can be checked on the drawing. */
export function along(direction: ArrayLike<number>): string {
  const [x, y, z] = [direction[0]!, direction[1]!, direction[2]!];
  const axis = axisOf(direction);
  if (axis) return `along ${axis}`;
  if (z === 0) {
    const angle = ((Math.atan2(y, x) * 180) / Math.PI + 180) % 180;
    return `in the direction ${angle.toFixed(1)}° from X`;
  }
  const size = Math.hypot(x, y, z);
  return `in the direction (${[x, y, z].map((part) => (part / size).toFixed(2)).join(', ')})`;
}

/** The name of the global axis that a direction follows, if it follows one. */
export function axisOf(direction: ArrayLike<number>): string | undefined {
  const size = Math.hypot(direction[0]!, direction[1]!, direction[2]!);
  return AXES.find((_, k) => Math.abs(Math.abs(direction[k]!) - size) < 1e-6 * size);
}

const show = (x: number): string => String(Number(x.toFixed(3)) + 0);

/** `about the point X 2 m, Y 1 m` in a plane, `about the axis through … along Z` in space. */
export function about(s: Structure, point: readonly number[], axis: readonly number[]): string {
  if (isPlane(s)) return `about the point X ${show(point[0]!)} m, Y ${show(point[1]!)} m`;
  return `about the axis ${along(axis)} through X ${show(point[0]!)} m, Y ${show(point[1]!)} m, Z ${show(point[2]!)} m`;
}

export const nodeWords = (names: readonly string[]): string => listed('node', names);
export const memberWords = (names: readonly string[]): string => listed('member', names);

function listed(word: string, names: readonly string[]): string {
  return `${nounFor(names.length, word)} ${names.slice(0, 8).join(', ')}${names.length > 8 ? ` and ${names.length - 8} more` : ''}`;
}

export const caseWords = (cases: readonly string[]): string =>
  cases.length === 1 ? `Case ${cases[0]} drives` : `Cases ${cases.slice(0, 5).join(', ')} drive`;

/** What follows a harmless motion, or one that a case drives. */
export const driven = (cases: readonly string[], load = ''): string =>
  cases.length > 0 ? ` ${caseWords(cases)} it${load}.` : ' No load drives it, so it is held still.';

/** The load that drives a node, with its size. */
export const loadWords = (amount: number, how: 'turn' | 'move', node: string): string =>
  how === 'turn' ? ` with ${short(amount)} kN·m at node ${node}` : ` with ${short(amount)} kN at node ${node}`;

const short = (amount: number): string => String(Number((amount / 1e3).toPrecision(3)));
