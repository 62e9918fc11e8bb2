import type { Member } from '../../model/model';
import { clamp3, type Reading, type Sketch } from '../build';
import type { LooseLoad } from './case';

/** Length, load, intensity and thermal expansion of the cases in space, m, N, N/m and 1/K. */
export const L = 4;
export const P = 9e3;
export const q = 3e3;
export const ALPHA = 1.2e-5;

/** One member along X, or between two points. */
export const beam = (
  supports: Sketch['supports'],
  loads: readonly LooseLoad[],
  member: Partial<Member> = {},
  rest: Partial<Sketch> = {},
): Sketch => ({
  nodes: [
    ['1', 0, 0, 0],
    ['2', L, 0, 0],
  ],
  members: [['a', '1', '2', member]],
  supports,
  loads,
  ...rest,
});
/** Two members along X and two along Z, this far each, that meet in node 2. */
export const cross = (alongX: number, alongZ: number): Pick<Sketch, 'nodes' | 'members'> => ({
  nodes: [
    ['w', -alongX, 0, 0],
    ['e', alongX, 0, 0],
    ['n', 0, 0, -alongZ],
    ['s', 0, 0, alongZ],
    ['2', 0, 0, 0],
  ],
  members: [
    ['a', 'w', '2'],
    ['b', '2', 'e'],
    ['c', 'n', '2'],
    ['d', '2', 's'],
  ],
});
export const tip = (force: object): LooseLoad => ({ type: 'node', node: '2', ...force }) as LooseLoad;
export const uniform = (force: object): LooseLoad => ({ type: 'line', member: 'a', from: force, to: force }) as LooseLoad;
export const free = (r: Reading): Float64Array => r.displacements('2');
export const both = [clamp3('1'), clamp3('2')];
