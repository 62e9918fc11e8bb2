import { lettersOf } from './edits/next-id';
import type { Intent } from './edits/intent';
import type { GridAxis, GridLines, Model } from './model';
import { rounded, type AxisName } from './point';

/** One grid line: its name, and where it crosses its axis. */
export interface GridLine {
  readonly name: string;
  readonly at: number;
}

/** Bays are lettered, what lies behind is numbered, levels are called by their height: a name given by hand wins. */
export function linesOf(axis: AxisName, { from, steps, names }: GridAxis): GridLine[] {
  let at = from;
  return [0, ...steps].map((step, i) => {
    at = rounded(at + step);
    return { name: names?.[i] || nameOf(axis, i, at), at };
  });
}

function nameOf(axis: AxisName, i: number, at: number): string {
  if (axis === 'x') return lettersOf(i + 1).toUpperCase();
  if (axis === 'z') return String(i + 1);
  return `${at < 0 ? '−' : '+'}${Math.abs(at).toFixed(2)}`;
}

/** Grid lines through the nodes of the structure along one axis: where to begin with a grid. */
export function gridThrough(model: Model, axis: AxisName): GridAxis | undefined {
  const sorted = [...new Set(model.nodes.map((node) => rounded(node[axis] ?? 0)))].sort((a, b) => a - b);
  const places = sorted.filter((at, i) => i === 0 || at - sorted[i - 1]! > 1e-3);
  if (places.length < 2) return undefined;
  return { from: places[0]!, steps: places.slice(1).map((at, i) => rounded(at - places[i]!)) };
}

/**
 * Other spacings along an axis. With `follow`, every node on a grid line goes with it, and those between two lines keep their part of
 * the bay; those outside move with the outermost line. Without, the structure stays.
 */
export function respace(model: Model, axis: AxisName, next: GridAxis, structure: 'follow' | 'stay'): Intent {
  const grid: GridLines = { ...model.grid, [axis]: next };
  const set: Intent = { type: 'set', settings: { grid } };
  const before = model.grid?.[axis];
  if (structure === 'stay' || !before) return set;
  const [old, now] = [linesOf(axis, before), linesOf(axis, next)].map((lines) => lines.map(({ at }) => at)) as [
    number[],
    number[],
  ];
  const count = Math.min(old.length, now.length);
  const moves = model.nodes.flatMap((node) => {
    const at = node[axis] ?? 0;
    const to = rounded(carried(at, old.slice(0, count), now.slice(0, count)));
    return to === rounded(at)
      ? []
      : [{ id: node.id, x: node.x, y: node.y, ...(node.z !== undefined && { z: node.z }), [axis]: to }];
  });
  if (moves.length === 0) return set;
  return { type: 'batch', intents: [set, { type: 'moveNodes', moves }], label: 'Change the spacing of grid lines' };
}

function carried(at: number, old: readonly number[], now: readonly number[]): number {
  const last = old.length - 1;
  if (at <= old[0]! + 1e-9) return at + now[0]! - old[0]!;
  if (at >= old[last]! - 1e-9) return at + now[last]! - old[last]!;
  const i = old.findIndex((line) => line >= at - 1e-9);
  if (Math.abs(old[i]! - at) <= 1e-9) return now[i]!;
  const part = (at - old[i - 1]!) / (old[i]! - old[i - 1]!);
  return now[i - 1]! + part * (now[i]! - now[i - 1]!);
}
