import { outcomes, type Outcome } from '../combinations/outcomes';
import { factor } from '../linear-algebra/factor';
import { nullVector, solveRefined } from '../linear-algebra/solve';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { looseNodes } from '../stability/loose-nodes';
import { bodyMechanism, memberMechanism, nodeMechanism, type Mechanism } from '../stability/mechanism';
import { assembleStiffness, imposedMovements, nodalLoads, rightHandSide, type Brake } from '../stiffness/assemble';
import { compile } from '../stiffness/compile';
import { memberLoads } from '../stiffness/equivalent-loads';
import { memberMatrices } from '../stiffness/member-matrices';
import { numberFreedoms } from '../stiffness/numbering';
import { readinessFaults, readinessNotes } from '../stiffness/readiness';
import { FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import { pieces } from './breakpoints';
import { recoverCase } from './recover-case';
import type { LinearOutcome, Results } from './results';
import { sumOutcomes } from './sum-outcomes';

/** A balance worse than this is not a result: digits were lost somewhere, and the numbers are refused. */
const WORST_RESIDUAL = 1e-6;

/**
 * Solves a sound model (one that `checkModel` returned): every case, sum and envelope. What keeps it from being solved comes back
 * as faults (`invalid`) or mechanisms (`unstable`); then there is no number at all.
 */
export function solve(model: Model, notices: readonly Notice[] = []): Results {
  const faults = readinessFaults(model);
  if (faults.length > 0) return { status: 'invalid', notices: [...notices, ...faults], mechanisms: [] };
  const said = [...notices, ...readinessNotes(model)];

  const structure = compile(model);
  const matrices = memberMatrices(structure);
  const loose = matrices.flatMap(({ condensed }, m) =>
    condensed.loose < 0 ? [] : [memberMechanism(structure, m, condensed.loose)],
  );
  if (loose.length > 0) return unstable(said, loose);

  const numbering = numberFreedoms(structure);
  const onMembers = structure.names.cases.map((_, c) => memberLoads(structure, c));
  const loads = onMembers.map((members, c) => nodalLoads(structure, matrices, c, members));
  const brakes = looseNodes(structure, matrices, numbering);
  const nodeMechanisms = brakes.map((brake) => nodeMechanism(structure, brake, loads));
  const stiffness = assembleStiffness(structure, matrices, numbering, brakes);
  const factored = factor(stiffness);
  const bodyMechanisms = factored.weak.map((column) => {
    const vector = nullVector(factored, column);
    const motion = Float64Array.from(numbering.unknowns, (unknown) => (unknown < 0 ? 0 : vector[unknown]!));
    return bodyMechanism(structure, motion, loads);
  });
  const mechanisms = [...nodeMechanisms, ...bodyMechanisms];
  if (mechanisms.some(({ harmless }) => !harmless)) return unstable(said, mechanisms);

  const cut = pieces(structure);
  const solved = loads.map((load, c): LinearOutcome => {
    const imposed = imposedMovements(structure, c);
    const x = solveRefined(stiffness, factored, rightHandSide(structure, matrices, numbering, load, imposed));
    const movements = Float64Array.from(numbering.unknowns, (unknown, f) => (unknown < 0 ? imposed[f]! : x[unknown]!));
    rest(movements, brakes);
    return recoverCase(structure, matrices, c, movements, onMembers[c]!, cut);
  });
  const all = outcomes(model);
  const doubtful = doubtfulCases(structure, solved);
  if (doubtful.length > 0) return { status: 'invalid', notices: [...said, ...doubtful], mechanisms };
  return {
    status: 'solved',
    notices: [...said, ...mechanisms.map(mechanismNotice)],
    mechanisms,
    solution: {
      structure,
      outcomes: all,
      linear: all.map((outcome, i) => linearOutcome(outcome, i, solved)),
      pieces: cut,
      supported: supportedNodes(structure),
    },
  };
}

function linearOutcome(outcome: Outcome, index: number, solved: readonly LinearOutcome[]): LinearOutcome | undefined {
  if (outcome.kind === 'case') return solved[index];
  return outcome.kind === 'sum' ? sumOutcomes(solved, outcome.factors) : undefined;
}

function unstable(notices: readonly Notice[], mechanisms: readonly Mechanism[]): Results {
  const faults = mechanisms.filter(({ harmless }) => !harmless).map(mechanismNotice);
  return { status: 'unstable', notices: [...notices, ...faults], mechanisms };
}

function mechanismNotice(mechanism: Mechanism): Notice {
  const { harmless, description, freedoms, members } = mechanism;
  const spins = freedoms.every(({ freedom }) => freedom.startsWith('r'));
  const nodes = [...new Set(freedoms.map(({ node }) => node))].slice(0, 20);
  return {
    code: 'mechanism',
    severity: harmless ? (spins ? 'note' : 'warning') : 'error',
    message: description,
    subjects: nodes.length > 0 ? nodes.map((node) => `node ${node}`) : members.map((member) => `member ${member}`),
  };
}

/** The motions that brakes hold are zero but for rounding; they are taken out so that they are zero. */
function rest(movements: Float64Array, brakes: readonly Brake[]): void {
  for (const { node, motion } of brakes) {
    let [along, size] = [0, 0];
    for (let k = 0; k < FREEDOMS; k++) {
      along += movements[FREEDOMS * node + k]! * motion[k]!;
      size += motion[k]! ** 2;
    }
    for (let k = 0; k < FREEDOMS; k++) movements[FREEDOMS * node + k]! -= (along / size) * motion[k]!;
  }
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

function supportedNodes(s: Structure): Uint8Array {
  return Uint8Array.from({ length: nodeCount(s) }, (_, i) =>
    s.restraints.subarray(3 * i, 3 * i + 3).some((restraint) => restraint > 0) ? 1 : 0,
  );
}
