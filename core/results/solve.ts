import { outcomes, type Outcome } from '../combinations/outcomes';
import { sharedKernels } from '../linear-algebra/shared-kernels';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import {
  conditioningNotice,
  conditioningOf,
  noDigitsNotice,
  placeNamed,
  placeOf,
  troubleAt,
  type Conditioning,
} from '../stability/conditioning';
import type { Found } from '../stability/mechanism';
import { memberMotions } from '../stability/member-motions';
import { nodalLoads } from '../stiffness/assemble';
import { memberLoads } from '../stiffness/equivalent-loads';
import { readinessFaults, readinessNotes } from '../stiffness/readiness';
import { FREEDOMS, type Structure } from '../stiffness/structure';
import { pieces } from './breakpoints';
import { caseLoads } from './case-loads';
import { memoryOf } from './recover-members';
import { countHarmful, countMotions, isLost, judge, mechanismNotices } from './judge';
import { withRemedies } from './remedies';
import type { LinearOutcome, Results } from './results';
import { solveCases } from './solve-cases';
import { unchangedCases, type SolvedCase, type SolvedCases } from './solved-cases';
import { sumOutcomes } from './sum-outcomes';
import { buildSystem, type Progress, type System } from './system';

/** A balance worse than this is not a result: digits were lost somewhere, and the numbers are refused. */
const WORST_RESIDUAL = 1e-6;

/** So many motions come with what is needed to draw them. */
const MOST_DRAWN = 12;

/** What one solve may take over from the one before it, and how it tells of its progress. */
export interface SolveOptions {
  readonly former?: System | undefined;
  readonly progress?: Progress | undefined;
  /** Whether the results that came with `former` may be written over: for callers who have passed copies of them on. */
  readonly recycle?: boolean | undefined;
}

/**
 * Solves a sound model (one that `checkModel` returned): every case, sum and envelope. What keeps it from being solved comes back
 * as faults (`invalid`) or mechanisms (`unstable`); then there is no number at all.
 */
export const solve = (model: Model, notices: readonly Notice[] = [], options: SolveOptions = {}): Results =>
  solveKeeping(model, notices, options).results;

/** The same, with the factored system for the next solve to take over. */
export function solveKeeping(
  model: Model,
  notices: readonly Notice[],
  options: SolveOptions,
): { results: Results; system?: System } {
  const faults = readinessFaults(model);
  if (faults.length > 0) return { results: { status: 'invalid', notices: [...notices, ...faults], mechanisms: [] } };
  const said = [...notices, ...readinessNotes(model)];
  const { former, progress } = options;
  const readable = former?.solved?.overwritten ? { ...former, solved: undefined } : former;
  const system = buildSystem(model, sharedKernels(), readable, progress);
  const { results, solved } = solveSystem(model, system, said, options);
  return { results, system: { ...system, ...(solved && { solved }) } };
}

function solveSystem(
  model: Model,
  system: System,
  said: readonly Notice[],
  { progress, recycle = false }: SolveOptions,
): { results: Results; solved?: SolvedCases } {
  const { structure, numbering, factor } = system;
  const cut = pieces(structure);
  const kept = unchangedCases(system.solved, structure, factor, cut);
  const last = recycle ? system.solved : undefined;
  if (last) last.overwritten = true;
  const loads = caseLoads(system, cut, kept, recycle);
  const onNodes = loads.map((one) => one.onNodes);
  const onMembers = loads.map((one) => one.onMembers);
  const judged = judge(system, onNodes, onMembers);
  const found = judged.filter((one) => !isLost(one));
  const lost = lostNotices(system, judged);
  if (found.some(({ mechanism }) => !mechanism.harmless))
    return { results: unstable(model, system, said, found, lost, countHarmful(system, onNodes, onMembers)) };
  const mechanisms = found.map(({ mechanism }) => mechanism);
  if (lost.length > 0) return { results: { status: 'invalid', notices: [...said, ...lost], mechanisms } };

  const supported = supportedNodes(structure);
  const due = loads.flatMap((_, c) => (kept[c] ? [] : [c]));
  const memories = due.map((c) => last && memoryOf(last.cases[c]?.outcome));
  const fresh = solveCases(system, cut, supported, due, loads, memories, progress);
  const cases = loads.map((one, c): SolvedCase => kept[c] ?? { loads: one, outcome: fresh.get(c)! });
  const solved = cases.map(({ outcome }) => outcome);
  const conditioning = conditioningOf(factor, numbering);
  const doubtful = doubtfulCases(system, conditioning, solved);
  if (doubtful.length > 0) return { results: { status: 'invalid', notices: [...said, ...doubtful], mechanisms } };
  const doubts = conditioningNotice(structure, system.members, conditioning);
  progress?.('combinations', 0);
  const all = outcomes(model);
  const results: Results = {
    status: 'solved',
    notices: [...said, ...mechanismNotices(found), ...(doubts ? [doubts] : [])],
    mechanisms,
    solution: {
      structure,
      outcomes: all,
      linear: linearOutcomes(all, solved),
      pieces: cut,
      supported,
      digitsLost: conditioning.digitsLost,
    },
  };
  return { results, solved: { structure, factor, pieces: cut, cases, overwritten: false } };
}

/** By outcome: the cases as solved, the sums of them; undefined for an envelope. */
function linearOutcomes(all: readonly Outcome[], solved: readonly LinearOutcome[]): (LinearOutcome | undefined)[] {
  const sums = sumOutcomes(
    solved,
    all.flatMap((outcome) => (outcome.kind === 'sum' ? [outcome.factors] : [])),
  );
  let next = 0;
  return all.map((outcome, i) => (outcome.kind === 'case' ? solved[i] : outcome.kind === 'sum' ? sums[next++] : undefined));
}

function unstable(
  model: Model,
  system: System,
  notices: readonly Notice[],
  found: readonly Found[],
  lost: readonly Notice[],
  before: number,
): Results {
  const harmful = found.filter(({ mechanism }) => !mechanism.harmless);
  const mechanisms = withRemedies(model, found, before, harmfulMechanisms);
  const drawn = new Set(harmful.slice(0, MOST_DRAWN));
  const motions = found.map((one) => (drawn.has(one) ? memberMotions(system.structure, system.matrices, one.motion) : undefined));
  return {
    status: 'unstable',
    notices: [...notices, ...mechanismNotices(harmful), ...untold(system), ...lost],
    mechanisms,
    motions,
  };
}

/** Says so when there are more motions than are described. */
function untold(system: System): Notice[] {
  const described = system.basis.length;
  const all = countMotions(system);
  if (all === described) return [];
  const message = `The structure can move in ${all} independent ways that involve several nodes; ${described} of them are described.`;
  return [{ code: 'many-mechanisms', severity: 'error', message, subjects: [] }];
}

/** Says so when what holds a part is lost in rounding: no number would be right. */
function lostNotices({ structure, members, numbering, lost }: System, judged: readonly Found[]): Notice[] {
  const alone = judged.filter(isLost).map(({ mechanism: { freedoms } }) => placeNamed(structure, freedoms[0]!));
  const places = [...lost.map((unknown) => placeOf(numbering, unknown)), ...alone];
  return places.slice(0, 1).map((place) => noDigitsNotice(structure, members, place));
}

/** How many harmful mechanisms a model has: what a remedy must make fewer. Infinity for a model that cannot be solved at all. */
function harmfulMechanisms(model: Model): number {
  if (readinessFaults(model).length > 0) return Infinity;
  const system = buildSystem(model, sharedKernels());
  const { structure, matrices } = system;
  const onMembers = memberLoads(structure, matrices.bends);
  const loads = onMembers.map((members, c) => nodalLoads(structure, matrices, c, members));
  return countHarmful(system, loads, onMembers);
}

/** Refuses the cases that do not balance, as a whole or at a joint, and says where digits were lost. */
function doubtfulCases({ structure, members }: System, place: Conditioning, solved: readonly LinearOutcome[]): Notice[] {
  const off = solved.flatMap(({ equilibrium: { residual, jointResidual } }, c) =>
    Math.max(residual, jointResidual) <= WORST_RESIDUAL ? [] : [{ id: structure.names.cases[c]!, residual, jointResidual }],
  );
  const trouble = off.length > 0 && place.node >= 0 ? troubleAt(structure, members, place) : undefined;
  const where = trouble ? ` ${Math.round(place.digitsLost)} of 16 digits were lost ${trouble.message}` : '';
  return off.map(({ id, residual, jointResidual }) => {
    const [what, left, of] =
      residual >= jointResidual
        ? ['loads and reactions differ by', residual, 'the load']
        : ['forces at a joint differ by', jointResidual, 'the largest force'];
    return {
      code: 'out-of-balance',
      severity: 'error',
      message: `Case ${id} does not balance: ${what} ${left.toExponential(1)} of ${of}, so its numbers would not be right.${where}`,
      subjects: [`case ${id}`, ...(trouble?.subjects ?? [])],
    };
  });
}

/** n: 1 where a support holds a freedom that takes part. */
function supportedNodes({ active, restraints, names }: Structure): Uint8Array {
  const supported = new Uint8Array(names.nodes.length);
  for (let i = 0; i < supported.length; i++) for (const k of active) if (restraints[FREEDOMS * i + k]! > 0) supported[i] = 1;
  return supported;
}
