import { AnalysisSession } from '../analysis/session';
import type { Effect } from '../influence/effect';
import { influenceLines, isLines } from '../influence/influence';
import type { InfluenceLine } from '../results/travelling/line';
import { DOWN, pathAcross, pathOver, type Path } from '../results/travelling/path';
import { checkModel } from '../model/check';
import type { Member, Model } from '../model/model';
import type { Notice } from '../model/notice';
import type { Point } from '../model/point';
import { clamp, inRow, roller, sketch, type LooseLoad } from './build';

/** What a path goes over, and where its load pushes. */
export interface Way {
  readonly over?: readonly string[];
  readonly across?: readonly string[];
  readonly direction?: Point;
}

/** The path of a sound model, and the lines of some effects on it; or what is said instead. */
export function tried(
  model: Model,
  { over, across, direction = DOWN }: Way,
  effects: readonly Effect[],
): { path: Path; lines: readonly InfluenceLine[] } | readonly Notice[] {
  const checked = checkModel(model).model!;
  const session = new AnalysisSession();
  try {
    const { solution, notices } = session.update(checked).now;
    if (!solution) return notices;
    const { structure } = solution;
    const path = over ? pathOver(checked, structure, over, direction) : pathAcross(checked, across!, direction);
    if (!('spans' in path)) return [path];
    const lines = influenceLines(session.system!, effects, path);
    return isLines(lines) ? { path, lines } : lines;
  } finally {
    session.close();
  }
}

/** A row of four members, of which two run the other way, with a hinge, a sprung support and shear deformation; `first`: what else its first member has. */
export const unevenRow = (first: Partial<Member> = {}, loads: readonly LooseLoad[] = []): Model =>
  sketch({
    nodes: inRow(0, 4, 9, 15, 18),
    members: [
      ['s1', '1', '2', first],
      ['s2', '3', '2', { releases: { start: { mz: 'free' } } }],
      ['s3', '3', '4'],
      ['s4', '5', '4'],
    ],
    supports: [clamp('1'), { node: '2', uy: 4e6 }, roller('4'), roller('5')],
    section: { Ay: 0.001 },
    extra: { analysis: { shearDeformation: true } },
    loads,
  });

export function linesOf(model: Model, way: Way, effects: readonly Effect[]): readonly InfluenceLine[] {
  const found = tried(model, way, effects);
  if (!('lines' in found)) throw new Error(found.map(({ message }) => message).join('\n'));
  return found.lines;
}
