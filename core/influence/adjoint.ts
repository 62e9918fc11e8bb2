import { caseLoads } from '../analysis/case-loads';
import { mechanismNotices } from '../analysis/classify-mechanisms';
import { diagnose } from '../analysis/diagnosis';
import type { System } from '../analysis/factorise';
import { openingNotices } from '../analysis/kept-length-notices';
import { solveCases } from '../analysis/runs/solve-cases';
import { doubtfulCases } from '../analysis/trust';
import { conditioningOf } from '../kinematics/conditioning';
import type { Notice } from '../model/notice';
import { piecesOfCases, type Pieces } from '../results/breakpoints';
import type { CaseLoads } from '../results/case-loads';
import type { StructuralResponse } from '../results/results';
import { nodalLoads } from '../stiffness/assemble';
import { supportedNodes } from '../stiffness/supported-nodes';
import type { Effect } from './effect';
import { openedEnds, type Gap } from './gap';
import type { Path } from '../results/travelling/path';
import { drivenBy, loadedAlong } from './unit-loads';

/** How the structure moves when an effect is imposed or driven: by reciprocity its movement along the load is the influence line. */
export interface Adjoint {
  readonly effect: Effect;
  readonly response: StructuralResponse;
  /** By which the movement along the load becomes the influence. */
  readonly factor: 1 | -1;
  /** Where a member is cut: its far part moves by the opening more than the response says. */
  readonly gap?: Gap;
}

/**
 * The movements that belong to some effects, all of them by one substitution in the factor that is there. By Betti's theorem: a reaction by a settlement
 * of 1, a movement by a force of 1, an internal force by an opening of 1 between the two sides of its section (Müller-Breslau). Notices where a load on
 * the path, or the effect itself, would set a mechanism going.
 */
export function adjoints(system: System, effects: readonly Effect[], path: Path): readonly Adjoint[] | readonly Notice[] {
  const trial: System = { ...system, structure: loadedAlong(system.structure, path) };
  const driven = mechanismsUnder(trial, loadsOf(trial, piecesOfCases(trial.structure)));
  if (driven.length > 0) return driven;

  const { matrices, factor, numbering } = system;
  const { structure, gaps } = drivenBy(system.structure, effects);
  const moved: System = { ...system, structure };
  const pieces = piecesOfCases(structure);
  const loads = loadsOf(moved, pieces).map((one, c): CaseLoads => {
    const gap = gaps[c];
    if (!gap) return one;
    const onMembers = {
      members: Int32Array.of(gap.member),
      starts: Int32Array.of(0),
      values: openedEnds(structure, matrices, gap),
    };
    return { ...one, onMembers, onNodes: nodalLoads(structure, matrices, c, onMembers) };
  });
  const loose = mechanismsUnder(moved, loads);
  if (loose.length > 0) return loose;

  const due = effects.map((_, c) => c);
  const supported = supportedNodes(structure);
  const openings = gaps.map((gap) => gap && { member: gap.member, along: gap.opening[0]! });
  const memories = due.map(() => undefined);
  const { responses: solved, contradictions } = solveCases(moved, { due, loads, pieces, supported, memories, openings });
  if (contradictions.length > 0) return openingNotices(moved, contradictions);
  const responses = due.map((c) => solved.get(c)!);
  const doubtful = doubtfulCases(moved, conditioningOf(factor, numbering), responses);
  if (doubtful.length > 0) return doubtful;
  return effects.map((effect, c) => ({
    effect,
    response: responses[c]!,
    factor: effect.kind === 'reaction' ? -1 : 1,
    ...(gaps[c] && { gap: gaps[c] }),
  }));
}

const loadsOf = (system: System, pieces: readonly Pieces[]): readonly CaseLoads[] =>
  caseLoads(system, pieces, pieces.map(() => undefined)); // oxfmt-ignore

/** What some loads set going; empty where nothing. */
function mechanismsUnder(system: System, loads: readonly CaseLoads[]): readonly Notice[] {
  const { found, isStable, lost } = diagnose(
    system,
    loads.map(({ onNodes }) => onNodes),
    loads.map(({ onMembers }) => onMembers),
  );
  if (isStable) return lost;
  return [...mechanismNotices(found.filter(({ mechanism }) => !mechanism.harmless)), ...lost];
}
