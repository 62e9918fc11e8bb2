import { expect, test } from '@jest/globals';
import { placed } from '../test/edited';
import { selectedPanels } from './selected-panels';

const hall = placed('building');
const places = new Map(hall.nodes.map((node) => [node.id, node]));
const isLevel = ({ start, end }: { start: string; end: string }): boolean => places.get(start)!.y === places.get(end)!.y;
const level = hall.members.filter(isLevel).map(({ id }) => id);
const heightsOf = (corners: readonly string[]): number => new Set(corners.map((id) => places.get(id)!.y)).size;

test('of level beams alone the floors are meant, and no wall; of everything the walls too', () => {
  const { free } = selectedPanels(hall, { nodes: [], members: level }, 'Q');
  expect(free.length).toBeGreaterThan(3);
  expect(free.every((corners) => heightsOf(corners) === 1)).toBe(true);
  // Their nodes are selected with them by a box: the sides decide.
  expect(selectedPanels(hall, { nodes: hall.nodes.map(({ id }) => id), members: level }, 'Q').free).toEqual(free);
  const all = selectedPanels(hall, { nodes: [], members: hall.members.map(({ id }) => id) }, 'Q').free;
  expect(all.some((corners) => heightsOf(corners) > 1)).toBe(true);
  // Without one of its sides a panel is not meant.
  const fewer = selectedPanels(hall, { nodes: [], members: level.slice(1) }, 'Q').free;
  expect(fewer.length).toBeLessThan(free.length);
});

test('a panel that has a pressure in this case is told from those that have none', () => {
  const [first] = selectedPanels(hall, { nodes: [], members: level }, 'Q').free;
  const load = { id: 'p', case: 'Q', type: 'area', pressure: 2e3, nodes: first!.toReversed() } as const;
  const model = { ...hall, loads: [...hall.loads, load] };
  const found = selectedPanels(model, { nodes: [], members: level }, 'Q');
  expect(found.loaded).toEqual([first]);
  expect(found.free).not.toContainEqual(first);
  expect(selectedPanels(model, { nodes: [], members: level }, 'G').loaded).toEqual([]);
});

test('nodes alone: the panels between them, else themselves as corners', () => {
  const [first] = selectedPanels(hall, { nodes: [], members: level }, 'Q').free;
  expect(selectedPanels(hall, { nodes: first!.toReversed(), members: [] }, 'Q').free).toEqual([first]);
  expect(selectedPanels(hall, { nodes: first!.slice(0, 3), members: [] }, 'Q').free).toEqual([first!.slice(0, 3)]);
  expect(selectedPanels(hall, { nodes: first!.slice(0, 2), members: [] }, 'Q').free).toEqual([]);
});
