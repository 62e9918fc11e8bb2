import { expect, test } from '@jest/globals';
import type { Path } from './display-list';
import { sheetItems } from './sheet-items';
import { paths, ribModel, solutionOf } from './test/demo';
import { plainView } from './view';

const solution = solutionOf(ribModel);
const outcome = solution.outcomes.findIndex(({ id }) => id === 'U2');

/** The tips of the first and the last ordinate of each outline, in world metres. */
const tipsOf = (outlines: readonly Path[]): (readonly [number, number])[] =>
  outlines.flatMap(({ vertices }) => [1, vertices.length / 4 - 2].map((i) => [vertices[4 * i]!, vertices[4 * i + 1]!] as const));

test('round the kinks of a rib neighbouring moments meet in one tip, without teeth', () => {
  const outlines = paths(sheetItems(ribModel, solution, { ...plainView, outcome, quantity: 'Mz', scale: 60 })).filter(
    ({ stroke, closed, parts }) => stroke === 'moment' && !closed && parts === undefined,
  );
  const tips = tipsOf(outlines);
  const meet = tips.filter(([x, y], i) => tips.some(([u, v], k) => k !== i && Math.hypot(x - u, y - v) < 1e-6));
  // The arch has eleven inner nodes, where two tips meet: at the hinged crown on the axis itself.
  expect(meet).toHaveLength(22);
});

test('a shear force jumps at a kink: its ordinates stand square', () => {
  const outlines = paths(sheetItems(ribModel, solution, { ...plainView, outcome, quantity: 'Vy', scale: 60 })).filter(
    ({ stroke, closed, parts }) => stroke === 'shear' && !closed && parts === undefined,
  );
  for (const { vertices } of outlines) {
    const [bx, by, tx, ty] = [vertices[0]!, vertices[1]!, vertices[4]!, vertices[5]!];
    const last = vertices.length - 4;
    const [dx, dy] = [vertices[last]! - bx, vertices[last + 1]! - by];
    expect((tx - bx) * dx + (ty - by) * dy).toBeCloseTo(0, 9);
  }
});
