import type { Shape } from '../../combinations/outcome';
import { factorize } from '../../linear-algebra/factor';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import { maxNorm } from '../../linear-algebra/max-norm';
import { solveInPlace } from '../../linear-algebra/solve';
import { multiply, type SparseSymmetric } from '../../linear-algebra/sparse-symmetric';
import { oneSidedIn } from '../../model/loads/one-sided';
import { firstOrderOnly } from '../first-order-only';
import type { Notice } from '../../model/notice';
import { recoverUnder } from '../../results/recover-cases';
import type { Results } from '../../results/results';
import { symmetricEigen } from '../../kinematics/symmetric-eigen';
import { assembleBlocks } from '../../stiffness/assemble';
import { addBlockForces } from '../../stiffness/member-blocks';
import { addSolution } from '../add-solution';
import type { System } from '../factorise';
import type { Run, RunTask } from '../run';
import { consistentMass } from './mass';

/** So many modes are found, the slowest ones, and so many vectors more go along, which makes them converge. */
const MODES = 6;
const BESIDES = 8;
/** Eigenvalues have settled when they change by less than this part; shapes follow them in some rounds more. */
const CONVERGED = 1e-12;
const ROUNDS_MORE = 6;
const MOST_ROUNDS = 200;
/** The inertia forces of a mode must balance the forces in the members to this part. */
const BALANCED = 1e-6;

/**
 * Natural modes of the unloaded structure, by consistent mass: K·φ = ω²·M·φ. Subspace iteration with the factor of the first order (Bathe, Finite
 * Element Procedures, section 11.6); that none was missed is counted by the negative pivots of K − σ·M (Sylvester).
 */
export class NaturalModes implements Run {
  update({ model, system, firstOrder, progress }: RunTask): Results {
    if (oneSidedIn(model).length > 0) return firstOrderOnly(firstOrder!);
    const { status, notices, mechanisms, solution } = firstOrder!;
    if (!solution) return { status, notices, mechanisms };
    const refuse = (message: string): Results => {
      const fault: Notice = { code: 'natural-modes', severity: 'error', message, subjects: [] };
      return { status: 'invalid', notices: [...notices, fault], mechanisms };
    };
    const { structure, matrices, numbering } = system;
    const nodal = consistentMass(model, structure, matrices);
    const M = assembleBlocks(structure, nodal, numbering);
    if (maxNorm(M.values) === 0) return refuse('Nothing has mass: give the materials a density.');
    progress?.('cases', 0);
    const found = slowest(system, M);
    if (!found) return refuse('The natural modes do not converge.');
    const modes = found.map(({ value, vector }, i) => {
      const displacements = new Float64Array(structure.restraints.length);
      addSolution(system, vector, displacements);
      const forces = new Float64Array(displacements.length);
      addBlockForces(structure, nodal, displacements, value, forces);
      const response = recoverUnder(structure, matrices, solution.supported, { displacements, forces, residual: 0 });
      const frequency = Math.sqrt(value) / (2 * Math.PI);
      const outcome: Shape = {
        kind: 'shape',
        id: `Mode ${i + 1}`,
        title: `${frequency.toPrecision(4)} Hz`,
        at: i,
        measure: 'frequency',
        value: frequency,
      };
      return { outcome, response };
    });
    const off = modes.find(({ response }) => response.equilibrium.jointResidual > BALANCED);
    if (off) return refuse(`${off.outcome.id} is not in balance with its inertia forces, so its numbers would not be right.`);
    const outcomes = modes.map(({ outcome }) => outcome);
    return { status, notices, mechanisms, solution: { ...solution, outcomes, responses: modes.map(({ response }) => response) } };
  }

  handOver(): void {
    // Nothing is kept from one update to the next.
  }
}

interface Eigen {
  /** ω². */
  readonly value: number;
  /** By unknown; its largest part is 1. */
  readonly vector: Float64Array;
}

/** The slowest modes; undefined where they do not settle, or one was missed. */
function slowest(system: System, M: SparseSymmetric): readonly Eigen[] | undefined {
  const { factor } = system;
  const { size } = M;
  const count = Math.min(size, MODES + BESIDES);
  // Loads of no particular kind.
  let vectors: readonly Float64Array[] = Array.from({ length: count }, (_, c) =>
    Float64Array.from({ length: size }, (_u, i) => Math.sin((c + 1) * (i + 1) + c)),
  );
  let values: readonly number[] = [];
  let settled = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const driven = vectors.map((vector) => multiply(M, vector));
    const next = driven.map((side) => side.slice());
    solveInPlace(factor, next);
    const found = projected(next, driven, M);
    const isSettled =
      values.length === found.length &&
      found.slice(0, MODES).every(({ value }, i) => Math.abs(value - values[i]!) <= CONVERGED * value);
    settled = isSettled || settled > 0 ? settled + 1 : 0;
    if (settled > ROUNDS_MORE) return isWhole(system, M, found) ? found.slice(0, MODES) : undefined;
    values = found.map(({ value }) => value);
    vectors = found.map(({ vector }) => vector);
  }
  return undefined;
}

/** The best combinations of some vectors x for which K·x is known (Rayleigh and Ritz), the slowest first; those without mass fall away. */
function projected(vectors: readonly Float64Array[], K: readonly Float64Array[], M: SparseSymmetric): Eigen[] {
  const n = vectors.length;
  const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, part, i) => sum + part * b[i]!, 0);
  const stiff = Float64Array.from({ length: n * n }, (_, k) => dot(vectors[Math.floor(k / n)]!, K[k % n]!));
  const whitened = symmetricEigen(stiff, n);
  const strong = Array.from(whitened.values.keys()).filter((i) => whitened.values[i]! > 1e-14 * maxNorm(whitened.values));
  const combined = (weights: (j: number) => number): Float64Array => {
    const sum = new Float64Array(M.size);
    vectors.forEach((vector, j) => vector.forEach((part, i) => (sum[i]! += weights(j) * part)));
    return sum;
  };
  const basis = strong.map((i) => combined((j) => whitened.vectors[j * n + i]! / Math.sqrt(whitened.values[i]!)));
  const moved = basis.map((vector) => multiply(M, vector));
  const p = basis.length;
  const massive = symmetricEigen(
    Float64Array.from({ length: p * p }, (_, k) => dot(basis[Math.floor(k / p)]!, moved[k % p]!)),
    p,
  );
  return Array.from(massive.values.keys())
    .filter((i) => massive.values[i]! > 1e-14 * maxNorm(massive.values))
    .sort((a, b) => massive.values[b]! - massive.values[a]!)
    .map((i) => {
      const vector = new Float64Array(M.size);
      basis.forEach((one, j) => one.forEach((part, k) => (vector[k]! += massive.vectors[j * p + i]! * part)));
      const largest = maxNorm(vector);
      return { value: 1 / massive.values[i]!, vector: vector.map((part) => part / largest) };
    });
}

/** Whether K − σ·M has as many negative pivots as there are modes under σ, which lies in the widest gap behind those that are wanted. */
function isWhole({ stiffness, numbering, factor }: System, M: SparseSymmetric, found: readonly Eigen[]): boolean {
  const wanted = Math.min(MODES, found.length);
  let [count, gap] = [found.length, 0];
  for (let i = wanted; i < found.length; i++) {
    const wide = found[i]!.value / found[i - 1]!.value;
    if (wide > gap) [count, gap] = [i, wide];
  }
  const shift = count < found.length ? Math.sqrt(found[count - 1]!.value * found[count]!.value) : 1.01 * found.at(-1)!.value;
  const kernels = takeKernels();
  try {
    const values = stiffness.values.map((value, k) => value - shift * M.values[k]!);
    const shifted = factorize(numbering.analysis, { ...stiffness, values }, kernels, { held: factor.weak });
    return shifted.negative.length === count;
  } finally {
    giveBackKernels(kernels);
  }
}
