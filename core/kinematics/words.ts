import { nounFor } from '../counted';
import { alongAxis, axisKeys, structureAxis, type AxisKey } from '../quantities/axis-names';
import { isPlane, type Structure } from '../stiffness/structure';

/** `along X`, or the direction in words that can be checked on the drawing. Axes are called as readers have them (`s.up`). */
export function along(s: Pick<Structure, 'up'>, direction: ArrayLike<number>): string {
  const parts = axisKeys.map((key, k) => alongAxis(structureAxis(s, key), direction[k]!));
  const [x, y, z] = parts as [number, number, number];
  const axis = axisOf(direction);
  if (axis) return `along ${structureAxis(s, axis).letter}`;
  if (direction[2] === 0) {
    const angle = ((Math.atan2(direction[1]!, x) * 180) / Math.PI + 180) % 180;
    return `in the direction ${angle.toFixed(1)}° from ${structureAxis(s, 'x').letter}`;
  }
  const size = Math.hypot(x, y, z);
  return `in the direction (${inOrder(
    s,
    parts.map((part) => (part / size).toFixed(2)),
  ).join(', ')})`;
}

/** What stands for each axis of the file, in the order of the letters that readers use. */
function inOrder(s: Pick<Structure, 'up'>, parts: readonly string[]): string[] {
  const letters = axisKeys.map((key) => structureAxis(s, key).letter);
  return ['X', 'Y', 'Z'].map((letter) => parts[letters.indexOf(letter)]!);
}

/** The global axis that a direction follows, if it follows one. */
export function axisOf(direction: ArrayLike<number>): AxisKey | undefined {
  const size = Math.hypot(direction[0]!, direction[1]!, direction[2]!);
  return axisKeys.find((_, k) => Math.abs(Math.abs(direction[k]!) - size) < 1e-6 * size);
}

/** `X`, or `the axis …` where a direction follows none. */
export const aboutWords = (s: Pick<Structure, 'up'>, direction: ArrayLike<number>): string => {
  const axis = axisOf(direction);
  return axis ? structureAxis(s, axis).letter : `the axis ${along(s, direction)}`;
};

const show = (x: number): string => String(Number(x.toFixed(3)) + 0);

/** `about the point X 2 m, Y 1 m` in a plane, `about the axis through … along Z` in space. */
export function about(s: Structure, point: readonly number[], axis: readonly number[]): string {
  const places = axisKeys.map((key, k) => {
    const name = structureAxis(s, key);
    return `${name.letter} ${show(alongAxis(name, point[k]!))} m`;
  });
  if (isPlane(s)) return `about the point ${places.slice(0, 2).join(', ')}`;
  return `about the axis ${along(s, axis)} through ${inOrder(s, places).join(', ')}`;
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
