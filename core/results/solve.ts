import { outcomes, type Outcome } from '../combinations/outcomes';
import { sharedKernels } from '../linear-algebra/shared-kernels';
import { solveRefined } from '../linear-algebra/solve';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { conditioningNotice, conditioningOf } from '../stability/conditioning';
import type { Found } from '../stability/mechanism';
import { imposedMovements, nodalLoads, rightHandSide } from '../stiffness/assemble';
import { memberLoads } from '../stiffness/equivalent-loads';
import { readinessFaults, readinessNotes } from '../stiffness/readiness';
import { FREEDOMS, type Structure } from '../stiffness/structure';
import { pieces, type Pieces } from './breakpoints';
import { caseLoads } from './case-loads';
import { countHarmful, judge, mechanismNotices } from './judge';
import { recoverCases, type SolvedEquations } from './recover-cases';
import { withRemedies } from './remedies';
import type { LinearOutcome, Results } from './results';
import { unchangedCases, type CaseLoads, type SolvedCase, type SolvedCases } from './solved-cases';
import { sumOutcomes } from './sum-outcomes';
import { buildSystem, type Progress, type System } from './system';

/** A balance worse than this is not a result: digits were lost somewhere, and the numbers are refused. */
const WORST_RESIDUAL = 1e-6;

/** What one solve may take over from the one before it, and how it tells of its progress. */
export interface SolveOptions {
  readonly former?: System | undefined;
  readonly progress?: Progress | undefined;
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
  { former, progress }: SolveOptions,
): { results: Results; system?: System } {
  const faults = readinessFaults(model);
  if (faults.length > 0) return { results: { status: 'invalid', notices: [...notices, ...faults], mechanisms: [] } };
  const said = [...notices, ...readinessNotes(model)];
  const system = buildSystem(model, sharedKernels(), former, progress);
  const { results, solved } = solveSystem(model, system, said, progress);
  return { results, system: { ...system, ...(solved && { solved }) } };
}

function solveSystem(
  model: Model,
  system: System,
  said: readonly Notice[],
  progress?: Progress,
): { results: Results; solved?: SolvedCases } {
  const { structure, numbering, factor } = system;
  const cut = pieces(structure);
  const kept = unchangedCases(system.solved, structure, factor, cut);
  const loads = caseLoads(system, cut, kept);
  const onNodes = loads.map((one) => one.onNodes);
  const onMembers = loads.map((one) => one.onMembers);
  const found = judge(system, onNodes, onMembers);
  if (found.some(({ mechanism }) => !mechanism.harmless))
    return { results: unstable(model, system, said, found, countHarmful(system, onNodes, onMembers)) };

  const supported = supportedNodes(structure);
  const due = loads.flatMap((_, c) => (kept[c] ? [] : [c]));
  const fresh = solveCases(system, cut, supported, due, loads, progress);
  const cases = loads.map((one, c): SolvedCase => kept[c] ?? { ...one, outcome: fresh.get(c)! });
  const solved = cases.map(({ outcome }) => outcome);
  const mechanisms = found.map(({ mechanism }) => mechanism);
  const doubtful = doubtfulCases(structure, solved);
  if (doubtful.length > 0) return { results: { status: 'invalid', notices: [...said, ...doubtful], mechanisms } };
  const conditioning = conditioningOf(factor, numbering);
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
  return { results, solved: { structure, factor, pieces: cut, cases } };
}

/** The outcomes of the cases that are due. */
function solveCases(
  system: System,
  cut: Pieces,
  supported: Uint8Array,
  due: readonly number[],
  loads: readonly CaseLoads[],
  progress?: Progress,
): ReadonlyMap<number, LinearOutcome> {
  const { structure, matrices, numbering, factor } = system;
  const imposed = due.map((c) => imposedMovements(structure, c));
  const sides = due.map((c, i) => rightHandSide(structure, matrices, numbering, loads[c]!.onNodes, imposed[i]!));
  const { solutions, residuals, sizes } = solveRefined(factor, sides);
  const equations = due.map((c, i): SolvedEquations => {
    const movements = imposed[i]!;
    const x = solutions[i]!;
    const { freedoms } = numbering;
    for (let u = 0; u < freedoms.length; u++) movements[freedoms[u]!] = x[u]!;
    rest(movements, system);
    return { c, loads: loads[c]!, movements, residual: residuals[i]!, driving: sizes[i]! };
  });
  const outcomes = recoverCases(structure, matrices, cut, supported, equations, (i) => progress?.('cases', i / due.length));
  return new Map(due.map((c, i) => [c, outcomes[i]!]));
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

function unstable(model: Model, system: System, notices: readonly Notice[], found: readonly Found[], before: number): Results {
  const harmful = found.filter(({ mechanism }) => !mechanism.harmless);
  const mechanisms = withRemedies(model, found, before, harmfulMechanisms);
  return { status: 'unstable', notices: [...notices, ...mechanismNotices(harmful), ...untold(system)], mechanisms };
}

/** Says so when there are more motions than are described. */
function untold({ factor, basis }: System): Notice[] {
  if (factor.weak.length === basis.length) return [];
  const message = `The structure can move in ${factor.weak.length} independent ways that involve several nodes; ${basis.length} of them are described.`;
  return [{ code: 'many-mechanisms', severity: 'error', message, subjects: [] }];
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

/** Held motions are zero but for rounding; they are taken out so that they are zero. */
function rest(movements: Float64Array, { loose, basis }: System): void {
  for (const { node, motion } of loose.brakes) takeOut(movements, motion, FREEDOMS * node);
  for (const motion of basis) takeOut(movements, motion, 0);
}

function takeOut(movements: Float64Array, motion: Float64Array, at: number): void {
  let [along, size] = [0, 0];
  for (let k = 0; k < motion.length; k++) {
    along += movements[at + k]! * motion[k]!;
    size += motion[k]! ** 2;
  }
  for (let k = 0; k < motion.length; k++) movements[at + k]! -= (along / size) * motion[k]!;
}

function doubtfulCases(s: Structure, solved: readonly LinearOutcome[]): Notice[] {
  return s.names.cases.flatMap((id, c): Notice[] => {
    const { residual } = solved[c]!.equilibrium;
    if (residual <= WORST_RESIDUAL) return [];
    return [
      {
        code: 'out-of-balance',
        severity: 'error',
        message: `Case ${id} does not balance: loads and reactions differ by ${residual.toExponential(1)} of the load, so its numbers would not be right. Very stiff members beside very soft ones lose digits: look for such a ratio, or for a part that is nearly a mechanism.`,
        subjects: [`case ${id}`],
      },
    ];
  });
}

/** n: 1 where a support holds a freedom that takes part. */
function supportedNodes({ active, restraints, names }: Structure): Uint8Array {
  const supported = new Uint8Array(names.nodes.length);
  for (let i = 0; i < supported.length; i++) for (const k of active) if (restraints[FREEDOMS * i + k]! > 0) supported[i] = 1;
  return supported;
}
