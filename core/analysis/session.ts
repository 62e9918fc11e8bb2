import { outcomes } from '../combinations/outcomes';
import { giveBackKernels, takeKernels } from '../linear-algebra/kernel-pool';
import type { Kernels } from '../linear-algebra/kernels';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { piecesOfCases } from '../results/breakpoints';
import { memoryOf } from '../results/recover-members';
import type { Results } from '../results/results';
import { conditioningNotice, conditioningOf } from '../stability/conditioning';
import { fibresOf } from '../sections/fibres';
import { analysisFaults } from '../stiffness/analysis-checks';
import { analysisNotes } from '../stiffness/analysis-notes';
import { FREEDOMS, type Structure } from '../stiffness/structure';
import { caseLoads } from './case-loads';
import { mechanismNotices } from './classify-mechanisms';
import { diagnose, unstableResults } from './diagnosis';
import { factorise, type System } from './factorise';
import { prepare, type Changes } from './prepare';
import type { Progress } from './progress';
import { unchangedCases, type SolvedCase, type SolvedCases } from './solved-cases';
import { strategyFor } from './strategies';
import { doubtfulCases } from './trust';

export interface AnalysisOptions {
  /** What was said of the model before: it comes first among the notices. */
  readonly notices?: readonly Notice[];
  readonly progress?: Progress | undefined;
}

/** What one analysis left for the next one. */
interface Former {
  readonly system: System;
  readonly solved?: SolvedCases | undefined;
}

/**
 * Analyses one model after the other, edit by edit: prepare, factorise, solve by the model's strategy, recover. What an edit leaves as it
 * was is not done again; results are the very numbers that a new session would find, but for rounding. A session owns its factor's
 * memory: several may live side by side.
 */
export class AnalysisSession {
  private kernels: Kernels | undefined;
  private former: Former | undefined;

  /**
   * Analyses a sound model (one that `checkModel` returned): every case. What keeps it from being solved comes back as faults
   * (`invalid`) or mechanisms (`unstable`); then there is no number at all. Results hold until the next update, which writes over them.
   */
  update(model: Model, { notices = [], progress }: AnalysisOptions = {}): Results {
    const faults = analysisFaults(model);
    if (faults.length > 0) return { status: 'invalid', notices: [...notices, ...faults], mechanisms: [] };
    // Given up half way, what was left of the last analysis is no longer whole.
    const { former } = this;
    this.former = undefined;
    const { prepared, changes } = prepare(model, former?.system, progress);
    const system =
      former && changes.sameStiffness
        ? { ...former.system, ...prepared }
        : factorise(prepared, (this.kernels ??= takeKernels()), progress);
    const since = former?.solved && { solved: former.solved, changes };
    const { results, solved } = solveSystem(model, system, since, [...notices, ...analysisNotes(model)], progress);
    this.former = { system, solved };
    return results;
  }

  /** The last results were given away: the next update leaves their memory alone, and solves all cases anew. */
  handOver(): void {
    this.former = this.former && { system: this.former.system };
  }

  /** Gives back the memory of the factor; results stay. */
  close(): void {
    if (this.kernels) giveBackKernels(this.kernels);
    this.kernels = undefined;
    this.former = undefined;
  }
}

/** One model alone. */
export function solve(model: Model, notices: readonly Notice[] = []): Results {
  const session = new AnalysisSession();
  try {
    return session.update(model, { notices });
  } finally {
    session.close();
  }
}

interface Since {
  readonly solved: SolvedCases;
  readonly changes: Changes;
}

function solveSystem(
  model: Model,
  system: System,
  since: Since | undefined,
  said: readonly Notice[],
  progress: Progress | undefined,
): { results: Results; solved?: SolvedCases } {
  const { structure, numbering, factor } = system;
  const last = since?.solved;
  const pieces = piecesOfCases(structure, last?.pieces);
  const kept = unchangedCases(last, structure, factor, pieces);
  const loads = caseLoads(system, pieces, kept, since);
  const diagnosis = diagnose(
    system,
    loads.map((one) => one.onNodes),
    loads.map((one) => one.onMembers),
  );
  const { found, lost } = diagnosis;
  if (!diagnosis.isStable) return { results: unstableResults(system, diagnosis, said) };
  const mechanisms = found.map(({ mechanism }) => mechanism);
  if (lost.length > 0) return { results: { status: 'invalid', notices: [...said, ...lost], mechanisms } };

  const supported = supportedNodes(structure);
  const due = loads.flatMap((_, c) => (kept[c] ? [] : [c]));
  const memories = due.map((c) => last && memoryOf(last.cases[c]?.outcome));
  const fresh = strategyFor(model).solve(system, { due, loads, pieces, supported, memories, progress });
  const cases = loads.map((one, c): SolvedCase => kept[c] ?? { loads: one, outcome: fresh.get(c)! });
  const solved = cases.map(({ outcome }) => outcome);
  const conditioning = conditioningOf(factor, numbering);
  const doubtful = doubtfulCases(system, conditioning, solved);
  if (doubtful.length > 0) return { results: { status: 'invalid', notices: [...said, ...doubtful], mechanisms } };
  const doubts = conditioningNotice(structure, system.members, conditioning);
  const results: Results = {
    status: 'solved',
    notices: [...said, ...mechanismNotices(found), ...(doubts ? [doubts] : [])],
    mechanisms,
    solution: {
      structure,
      outcomes: outcomes(model),
      responses: solved,
      fibres: fibresOf(model),
      supported,
      digitsLost: conditioning.digitsLost,
    },
  };
  return { results, solved: { structure, factor, pieces, cases } };
}

/** n: 1 where a support holds a freedom that takes part. */
function supportedNodes({ active, restraints, names }: Structure): Uint8Array {
  const supported = new Uint8Array(names.nodes.length);
  for (let i = 0; i < supported.length; i++) for (const k of active) if (restraints[FREEDOMS * i + k]! > 0) supported[i] = 1;
  return supported;
}
