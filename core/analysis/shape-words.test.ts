import { expect, test } from '@jest/globals';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import { clamp, clamp3, pin, roller, sketch, type Sketch } from '../test/build';
import { solve } from './session';

/** What the first shapes of a structure are called. */
function titles(of: Sketch, analysis: Model['analysis']): readonly string[] {
  const { solution, notices } = solve(checkModel(sketch({ ...of, extra: { ...of.extra, analysis } })).model!);
  if (!solution) throw new Error(notices.map(({ message }) => message).join());
  return solution.outcomes.flatMap((one) => (one.kind === 'shape' ? [one.title.replace(/^.*?: |^[^:]*$/, '')] : []));
}
const pushed = (node: string) => ({ type: 'node', node, fy: -1e3 }) as const;

test('a frame that sways, a post that bows, both at once, and what only turns', () => {
  const portal: Sketch = {
    nodes: [['1', 0, 0], ['2', 0, 4], ['3', 6, 4], ['4', 6, 0]],
    members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
    supports: [clamp('1'), clamp('4')],
    loads: [pushed('2'), pushed('3')],
  }; // oxfmt-ignore
  const buckling = { of: ['Q'], modes: 2 };
  const [sways, bows] = titles(portal, { buckling });
  expect(sways).toBe('sways sideways, most at node 2');
  expect(bows).toBe('members a, b and c bow');
  const post: Sketch = { nodes: [['1', 0, 0], ['2', 0, 5]], members: [['post', '1', '2']], supports: [pin('1'), { node: '2', ux: 'fixed' }], loads: [pushed('2')] }; // oxfmt-ignore
  expect(titles(post, { buckling: { of: ['Q'], modes: 1 } })).toEqual(['member post bows']);
  const cantilever: Sketch = { ...post, supports: [clamp('1')] };
  expect(titles(cantilever, { buckling: { of: ['Q'], modes: 2 } })).toEqual(['sways sideways, most at node 2', 'sways sideways, most at node 2, and member post bows']); // oxfmt-ignore
});

test('natural modes, up and down and forward and back; of many members those that bow most', () => {
  const rail: Sketch = {
    nodes: [['1', 0, 0], ['2', 4, 0], ['3', 8, 0]],
    members: [['a', '1', '2'], ['b', '2', '3']],
    supports: [pin('1'), roller('3')],
  }; // oxfmt-ignore
  const extra = { materials: [{ id: 'm', E: 2e11, G: 8e10, density: 7850 }] };
  expect(titles({ ...rail, extra }, { naturalModes: { modes: 1 } })).toEqual(['moves up and down, most at node 2']);
  const five = [0, 1, 2, 3, 4, 5];
  const spans: Sketch = {
    nodes: five.map((i) => [`${i}`, 4 * i, 0]),
    members: five.slice(1).map((i) => [`s${i}`, `${i - 1}`, `${i}`]),
    supports: five.map((i) => (i === 0 ? pin('0') : roller(`${i}`))),
    extra,
  };
  expect(titles(spans, { naturalModes: { modes: 1 } })).toEqual(['members s1, s2, s3 and 2 more bow']);
  const mast: Sketch = { nodes: [['1', 0, 0, 0], ['2', 0, 6, 0]], members: [['m', '1', '2']], supports: [clamp3('1')], extra }; // oxfmt-ignore
  expect(titles(mast, { naturalModes: { modes: 2 } }).map((one) => one.slice(0, 16))).toEqual(['sways forward an', 'sways sideways, ']); // oxfmt-ignore
});
