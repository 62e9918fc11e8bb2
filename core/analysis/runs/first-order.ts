import { outcomes } from '../../combinations/outcomes';
import { piecesOfCases } from '../../results/breakpoints';
import { memoryOf } from '../../results/recover-members';
import type { Results } from '../../results/results';
import { travelsOf } from '../../results/travelling/travel';
import { fibresOf } from '../../sections/fibres';
import { conditioningNotice, conditioningOf } from '../../kinematics/conditioning';
import { supportedNodes } from '../../stiffness/supported-nodes';
import { keepsLengths } from '../../stiffness/structure';
import { isFault } from '../../model/notice';
import { caseLoads } from '../case-loads';
import { contradictionNotices, sharingNotices } from '../kept-length-notices';
import { sharingMembers } from '../kept-lengths';
import { motionWithout } from '../let-go';
import { oneSidedOf } from '../one-sided';
import { mechanismNotices } from '../classify-mechanisms';
import { diagnose, unstableResults } from '../diagnosis';
import type { Run, RunTask } from '../run';
import { unchangedCases, type SolvedCase, type SolvedCases } from '../solved-cases';
import { doubtfulCases } from '../trust';
import { solveCases } from './solve-cases';

/** First-order linear analysis: every case in the undeformed structure, all else superposed of them. What an edit leaves as it was is kept. */
export class FirstOrder implements Run {
  private solved: SolvedCases | undefined;

  update(task: RunTask): Results {
    // Given up half way, what was left of the last analysis is no longer whole.
    const { solved } = this;
    this.solved = undefined;
    const { results, solved: now } = solveSystem(task, task.changes && solved);
    this.solved = now;
    return results;
  }

  handOver(): void {
    this.solved = undefined;
  }
}

function solveSystem(
  { model, system, changes, notices: said, progress }: RunTask,
  last: SolvedCases | undefined,
): { results: Results; solved?: SolvedCases } {
  const { structure, numbering, factor } = system;
  const pieces = piecesOfCases(structure, last?.pieces);
  const kept = unchangedCases(last, structure, factor, pieces);
  const loads = caseLoads(system, pieces, kept, last && changes && { solved: last, changes });
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
  const { responses: fresh, contradictions } = solveCases(system, { due, loads, pieces, supported, memories, progress });
  if (contradictions.length > 0)
    return { results: { status: 'invalid', notices: [...said, ...contradictionNotices(system, contradictions)], mechanisms } };
  const cases = loads.map((one, c): SolvedCase => kept[c] ?? { loads: one, outcome: fresh.get(c)! });
  const responses = cases.map(({ outcome }) => outcome);
  const conditioning = conditioningOf(factor, numbering);
  const doubtful = doubtfulCases(system, conditioning, responses);
  if (doubtful.length > 0) return { results: { status: 'invalid', notices: [...said, ...doubtful], mechanisms } };
  const shares = keepsLengths(structure) ? sharingNotices(system, responses) : [];
  if (shares.some(isFault)) return { results: { status: 'invalid', notices: [...said, ...shares], mechanisms } };
  const doubts = conditioningNotice(structure, system.members, conditioning);
  const all = outcomes(model);
  const oneSided = oneSidedOf(model, structure, responses, all);
  if (oneSided?.notices.some(isFault)) {
    const notices = [...said, ...oneSided.notices];
    return {
      results: oneSided.stuck ? motionWithout(model, oneSided.stuck, notices) : { status: 'invalid', notices, mechanisms },
    };
  }
  const travels = travelsOf(model, structure);
  const results: Results = {
    status: 'solved',
    notices: [...said, ...mechanismNotices(found), ...(doubts ? [doubts] : []), ...shares, ...(oneSided?.notices ?? [])],
    mechanisms,
    solution: {
      structure,
      outcomes: oneSided?.outcomes ?? all,
      ...(oneSided && { letGo: oneSided.letGo }),
      responses,
      ...(travels.length > 0 && { travels }),
      ...(keepsLengths(structure) && { sharing: sharingMembers(system) }),
      fibres: fibresOf(model),
      supported,
      digitsLost: conditioning.digitsLost,
    },
  };
  return { results, solved: { structure, factor, pieces, cases } };
}
