import { expect, test } from '@jest/globals';
import { spaceBuilding } from '../bench/structures';
import { governingValues, largestOf } from './diagram-scale';
import { FRONT, inDepth, type Hairlines } from './behind';
import { VERTEX, worldPath, type Item } from './display-list';
import { drawnMembers, nearness } from './geometry';
import { lookFrom, LOOKS } from './projection';
import { sheetItems } from './sheet-items';
import { tracePath } from './trace-path';
import { labels, paths, solutionOf, view } from './test/demo';
import { barsOf } from './axial-items';
import { reactionItems } from './reaction-items';
import { structureItems } from './structure-items';
import type { View } from './view';

const line = (id: string): Item => worldPath([0, 0, 1, 0], { stroke: 'moment', subject: { kind: 'member', id } });
const area = (id: string): Item =>
  worldPath([0, 0, 1, 0, 1, 1], { closed: true, fill: 'moment', subject: { kind: 'member', id } });
const name = (item: Item): string =>
  `${item.subject && 'id' in item.subject ? item.subject.id : ''} ${item.kind === 'path' && item.fill ? 'area' : 'line'}`;

test('from the back to the front, areas below lines; behind only outlines, far behind nothing, and what is selected always', () => {
  const selected = { ...area('far'), fill: 'selection' } as Item;
  const drawn = inDepth([
    { near: 0.9, items: () => [line('front'), area('front')] },
    { near: 0.5, items: () => [line('middle'), area('middle')] },
    { near: 0.1, items: () => [line('far'), area('far')] },
    { near: 0.6, items: () => [line('nearer')] },
    { near: 0.05, isSelected: true, items: () => [selected] },
  ]);
  expect(drawn.map(name)).toEqual(['far area', 'middle line', 'nearer line', 'front area', 'front line']);
  const [, middle, nearer, , front] = drawn.map((item) => (item.kind === 'path' ? (item.opacity ?? 1) : 0));
  expect(middle).toBeLessThan(nearer!);
  expect(nearer).toBeLessThan(front!);
});

test('of a crowd values are written in front, and what governs wherever it stands', () => {
  const model = spaceBuilding(4, 4, 5, 1);
  const solution = solutionOf(model);
  const { round, height } = LOOKS.corner;
  const askew: View = { ...view, projection: lookFrom(round, height), quantity: 'Mz', scale: 40 };
  const near = nearness(model, askew);
  const { max, min } = governingValues(solution, askew.outcome, 'Mz')!;
  const governing = [max.member, min.member];
  const members = new Map(drawnMembers(model, askew).map((member) => [member.id, member]));
  const said = labels(sheetItems(model, solution, askew)).flatMap(({ subject }) =>
    subject?.kind === 'extreme' ? [members.get(subject.member)!] : [],
  );
  const others = said.filter(({ index }) => !governing.includes(index)).map(({ depth }) => near(depth));
  expect(others.length).toBeGreaterThan(2);
  expect(Math.min(...others)).toBeGreaterThanOrEqual(FRONT);
  expect(said.some(({ index }) => index === governing[0])).toBe(true);
  expect(near(members.get(model.members[governing[0]!]!.id)!.depth)).toBeLessThan(FRONT);
});

test('in a crowd members recede behind diagrams, and bars keep the width and the ink of their force near and far', () => {
  const model = spaceBuilding(4, 4, 5, 1);
  const solution = solutionOf(model);
  const { round, height } = LOOKS.corner;
  const askew: View = { ...view, projection: lookFrom(round, height), scale: 40, names: false };
  const strongest = (shown: View, show?: Parameters<typeof structureItems>[2]): number =>
    Math.max(
      ...paths(structureItems(model, shown, show)).flatMap(({ stroke, opacity = 1 }) => (stroke === 'member' ? [opacity] : [])),
    );
  expect(strongest({ ...askew, quantity: 'none' })).toBe(1);
  expect(strongest({ ...askew, quantity: 'Mz' })).toBeLessThan(0.5);
  const members = drawnMembers(model, askew);
  const bars = barsOf(solution, 0, members, largestOf(governingValues(solution, 0, 'N')));
  const drawn = paths(structureItems(model, { ...askew, quantity: 'N' }, { bars })).filter(
    ({ stroke }) => stroke === 'tension' || stroke === 'compression',
  );
  expect(drawn.length).toBeGreaterThan(100);
  expect(new Set(drawn.map(({ opacity }) => opacity))).toEqual(new Set([1]));
});

test('of many supports in space those in front say their reactions; of a plane that is brought forward its own', () => {
  const few = spaceBuilding(2, 2, 2, 1);
  const many = spaceBuilding(6, 6, 2, 1);
  const { round, height } = LOOKS.corner;
  const seen: View = { ...view, projection: lookFrom(round, height), scale: 40 };
  const told = (model: typeof few, shown: View): number =>
    new Set(
      labels(reactionItems(model, solutionOf(model), 0, shown)).map(({ subject }) =>
        subject && 'id' in subject ? subject.id : '',
      ),
    ).size;
  expect(told(few, seen)).toBe(few.supports.length);
  expect(many.supports.length).toBeGreaterThan(20);
  const front = told(many, seen);
  expect(front).toBeGreaterThan(0);
  expect(front).toBeLessThan(many.supports.length / 2);
  expect(told(many, { ...seen, plane: { axis: 'z', at: 0 } })).toBe(7);
});

test('lines of one look that stand behind are a few paths, which draw each of them and nothing between them', () => {
  const places = Array.from({ length: 23 }, (_, i) => i);
  const drawn = inDepth(
    places.map((i) => ({
      near: 0.5,
      items: () => [worldPath([i, 0, i, 1, i + 0.5, i % 3], { stroke: i % 2 ? 'shear' : 'moment' })],
    })),
  );
  expect(drawn).toHaveLength(4);
  const camera = { width: 0, height: 0, x: 0, y: 0, scale: 1 };
  const lines: number[][] = [];
  for (const path of paths(drawn))
    tracePath(path, camera, {
      moveTo: (x, y) => lines.push([x, -y]),
      lineTo: (x, y) => lines.at(-1)!.push(x, -y),
      closePath: () => lines.push([]),
    });
  const byPlace = lines.sort((a, b) => a[0]! - b[0]!).map((line) => line.map((value) => value + 0));
  expect(byPlace).toEqual(places.map((i) => [i, 0, i, 1, i + 0.5, i % 3]));
  for (const { stroke, vertices } of paths(drawn)) expect((vertices[0]! % 2 === 1 ? 'shear' : 'moment') === stroke).toBe(true);
});

test('a line that is written straight among others has none of the pixels of those before it', () => {
  const moved = { ...worldPath([0, 0, 1, 0], { stroke: 'shear' }), vertices: Float64Array.of(0, 0, 5, 5, 1, 0, 5, 5) };
  const count = 10;
  const drawn = paths(
    inDepth([
      ...Array.from({ length: count }, () => ({ near: 0.5, items: () => [moved] })),
      ...Array.from({ length: count }, (_, i) => ({
        near: 0.5,
        items: () => [],
        outline: (lines: Hairlines) => {
          const { vertices, first } = lines.line('shear', 1, 2);
          vertices.set([i, 1], first * VERTEX);
          vertices.set([i, 2], (first + 1) * VERTEX);
        },
      })),
    ]),
  );
  const [before, after] = drawn.map(({ vertices }) =>
    Array.from({ length: vertices.length / VERTEX }, (_, v) => vertices[VERTEX * v + 2]),
  );
  expect(drawn).toHaveLength(2);
  expect(new Set(before)).toEqual(new Set([5]));
  expect(new Set(after)).toEqual(new Set([0]));
});
