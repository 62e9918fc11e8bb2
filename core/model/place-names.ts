import { once } from '../once';
import { gridThrough, linesOf, type GridLine } from './grid-lines';
import type { Member, Model } from './model';
import { axisNames, COINCIDENT, pointOf, type AxisName, type Point } from './point';

/** Lines from which on an axis is no grid that anybody would name. */
const MOST = 60;

/** Along an axis the lines that its grid names, or those through its nodes. */
function linesAlong(model: Model, axis: AxisName): readonly GridLine[] {
  const grid = model.grid?.[axis] ?? gridThrough(model, axis);
  return grid && grid.steps.length < MOST ? linesOf(axis, grid) : [];
}

type Lines = Readonly<Record<AxisName, readonly GridLine[]>>;

const linesOfModel = once((nodes: Model['nodes'], grid: Model['grid']): Lines => {
  const model = { nodes, grid } as unknown as Model;
  return Object.fromEntries(axisNames.map((axis) => [axis, linesAlong(model, axis)])) as unknown as Lines;
});

/** Its line among others; undefined between two. */
const lineAt = (lines: readonly GridLine[], at: number): number | undefined => {
  const found = lines.findIndex((line) => Math.abs(line.at - at) <= 10 * COINCIDENT);
  return found < 0 ? undefined : found;
};

/** Floors are counted from the ground, the lowest level, where there are more than it and a roof. */
function floorWords(lines: readonly GridLine[], ats: readonly number[]): string {
  const found = ats.map((at) => lineAt(lines, at));
  if (lines.length < 3 || found.some((line) => line === undefined)) return '';
  const name = (i: number): string => (i === 0 ? 'ground' : `floor ${i}`);
  const [low, high] = [Math.min(...(found as number[])), Math.max(...(found as number[]))];
  return low === high ? name(low) : `${name(low)} to ${high}`;
}

/** `B`, or from one line to another `A–B`. */
function gridWords(lines: readonly GridLine[], ats: readonly number[]): string {
  const found = ats.map((at) => lineAt(lines, at));
  if (lines.length < 3 || found.some((line) => line === undefined)) return '';
  const [first, last] = [Math.min(...(found as number[])), Math.max(...(found as number[]))];
  return first === last ? lines[first]!.name : `${lines[first]!.name}–${lines[last]!.name}`;
}

/** Where points lie, as people say it: “floor 3, grid B/2”. Empty where the structure has no floors or lines to speak of. */
function placed(model: Model, points: readonly Point[]): string {
  const lines = linesOfModel(model.nodes, model.grid);
  const along = (k: 0 | 1 | 2): number[] => points.map((point) => point[k]);
  const across = [gridWords(lines.x, along(0)), gridWords(lines.z, along(2))].filter(Boolean).join('/');
  return [floorWords(lines.y, along(1)), across === '' ? '' : `grid ${across}`].filter(Boolean).join(', ');
}

/** Where a node stands: “floor 3, grid B”. */
export const placeOfNode = (model: Model, node: Model['nodes'][number]): string => placed(model, [pointOf(node)]);

/** Where a member lies: “floor 3, grid A–B”, “floor 2 to 3, grid B”. */
export function placeOfMember(model: Model, { start, end }: Member): string {
  const ends = [start, end].flatMap((id) => model.nodes.find((node) => node.id === id) ?? []);
  return ends.length === 2 ? placed(model, ends.map(pointOf)) : '';
}
