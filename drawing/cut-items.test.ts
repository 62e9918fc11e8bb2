import { describe, expect, test } from '@jest/globals';
import { clamp, sketch } from '@rigid-beam/core/test/build';
import { placesOfCut, type AskedCut } from '@rigid-beam/core/results/bodies/asked';
import { bodyBalance, freeBody } from '@rigid-beam/core/results/bodies/cut';
import { besidesBody, cutItems } from './cut-items';
import { drawnMembers } from './geometry';
import { sheetItems } from './sheet-items';
import { labels, paths, solutionOf, view } from './test/demo';

/** A portal of 4 m by 6 m, pushed at its eaves. */
const model = sketch({
  nodes: [['a', 0, 0], ['b', 0, 4], ['c', 6, 4], ['d', 6, 0]],
  members: [['left', 'a', 'b'], ['beam', 'b', 'c'], ['right', 'c', 'd']],
  supports: [clamp('a'), clamp('d')],
  loads: [{ type: 'node', node: 'b', fx: 8e3 }],
}); // oxfmt-ignore
const solution = solutionOf(model);
const { structure } = solution;
const line = (from: [number, number], to: [number, number], side: AskedCut['side'] = 'one'): AskedCut => ({
  kind: 'line',
  from: [...from, 0],
  to: [...to, 0],
  toward: [0, 0, 1],
  side,
});
const drawn = (asked: AskedCut) => {
  const body = freeBody(structure, placesOfCut(structure, asked));
  return { structure, body, balance: bodyBalance(solution, 0, body) };
};

describe('a line across the sheet', () => {
  test('cuts what it meets between its ends, where it meets it, and frees what lies left of it', () => {
    const places = placesOfCut(structure, line([-1, 1], [7, 1]));
    expect(places.map(({ member, x, keeps }) => [structure.names.members[member], x, keeps])).toEqual([
      ['left', expect.closeTo(1, 12), 'end'],
      ['right', expect.closeTo(3, 12), 'start'],
    ]);
    expect(placesOfCut(structure, line([-1, 1], [7, 1], 'other')).map(({ keeps }) => keeps)).toEqual(['start', 'end']);
    expect(placesOfCut(structure, line([-1, 1], [3, 1]))).toHaveLength(1);
    expect(placesOfCut(structure, line([1, 1], [3, 2]))).toEqual([]);
    // Along a member it cuts nothing of it.
    expect(placesOfCut(structure, line([-1, 4], [7, 4])).map(({ member }) => structure.names.members[member])).not.toContain(
      'beam',
    );
  });
});

describe('the drawing of a free body', () => {
  const cut = drawn(line([-1, 1], [7, 1]));

  test('leaves out what does not belong to it, and cut members but for their part', () => {
    const hidden = besidesBody(cut.body, cut.structure, new Set());
    expect(drawnMembers(model, { projection: view.projection, hidden }).map(({ id }) => id)).toEqual(['beam']);
    const stubs = paths(cutItems(model, cut, view)).filter(({ stroke }) => stroke === 'member');
    expect(stubs.map(({ vertices }) => [vertices[1], vertices[5]])).toEqual([
      [4, expect.closeTo(1, 12)],
      [4, expect.closeTo(1, 12)],
    ]);
  });

  test('says axial force, shear and moment on each face; the shears hold the push', () => {
    const said = labels(cutItems(model, cut, view)).map(({ text }) => text);
    const shears = said.filter((text) => text.startsWith('V ')).map((text) => Number.parseFloat(text.slice(2)));
    expect(shears.reduce((sum, value) => sum + value, 0)).toBeCloseTo(8, 2);
    expect(said.map((text) => text.slice(0, 2))).toEqual(['N ', 'V ', 'M ', 'N ', 'V ', 'M ']);
    // To the left on both, since the push goes to the right.
    const arrows = paths(cutItems(model, cut, view)).filter(({ stroke }) => stroke === 'shear');
    for (const { vertices } of arrows) expect(vertices[6]! - vertices[2]!).toBeLessThan(0);
  });

  test('stands strongly before the rest, which is a hint, with what acts on it', () => {
    const items = sheetItems(model, solution, { ...view, cut, quantity: 'Mz', reactions: true });
    expect(labels(items).filter(({ ink }) => ink === 'load')).toHaveLength(1);
    // The feet belong to the other side.
    expect(items.some((item) => item.subject?.kind === 'reaction')).toBe(false);
    expect(paths(items).filter(({ subject }) => subject?.kind === 'member').length).toBeGreaterThanOrEqual(4);
  });
});
