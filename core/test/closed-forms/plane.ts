import type { Load, Support } from '../../model/model';
import type { Sketch } from '../build';
import type { LooseLoad } from './case';

/** Span, load and intensity of the plane cases, m, N and N/m. */
export const L = 6;
export const q = 5e3;
export const P = 12e3;

export const line = (from: Partial<Extract<Load, { type: 'line' }>['from']>, to = from, rest: object = {}): LooseLoad =>
  ({ type: 'line', member: 'a', from, to, ...rest }) as LooseLoad;

/** One member `a` of length L along X. */
export const beam = (supports: Support[], loads: LooseLoad[], rest: Partial<Sketch> = {}): Sketch => ({
  nodes: [
    ['1', 0, 0],
    ['2', L, 0],
  ],
  members: [['a', '1', '2']],
  supports,
  loads,
  ...rest,
});
