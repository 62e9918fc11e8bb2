import { shapeWords } from '../shape-words';
import type { Shape } from '../../combinations/outcome';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import type { Kernels } from '../../linear-algebra/kernels';
import { solveInPlace } from '../../linear-algebra/solve';
import { NATURAL_MODES } from '../../model/analysis-settings';
import { spectrumDirections } from '../../model/spectrum-settings';
import type { Model } from '../../model/model';
import { oneSidedIn } from '../../model/loads/one-sided';
import type { Notice } from '../../model/notice';
import { axisKeys } from '../../quantities/axis-names';
import type { HarmonicForce, Results, StructuralResponse } from '../../results/results';
import { FREEDOMS } from '../../stiffness/structure';
import { toGlobalAxes, toOwnAxes } from '../../stiffness/transformation';
import { addSolution } from '../add-solution';
import type { System } from '../factorise';
import { notSwinging } from '../first-order-only';
import { leftOut } from '../modes/left-out';
import { lumpedAtNodes, massesOfModel, totalOf, type Masses } from '../modes/masses';
import { recoverSwinging } from '../modes/recover-swinging';
import { ABOUT, SETTLED, Slowest, type Eigen, type Found } from '../modes/slowest';
import { Swinging } from '../modes/swinging';
import type { Run, RunTask } from '../run';
import { largestMovement, unitShape } from '../unit-shape';
import { naturalModes as WORDS } from '../words';

/** The inertia forces of a mode must balance the forces in the members to this part. */
const BALANCED = 1e-6;
/** So many vectors are tried for each mode that is asked for, and so many in any case. */
const VECTORS = { each: 8, least: 120 };
/** Members are divided finer as often as this, while the modes that are found need it. */
const FINER = 10;
/** So often modes that the count has beside those that were found are looked for. */
const MORE = 4;

/**
 * Natural modes of the unloaded structure. Members swing between their nodes as they bend, so that frequencies do not depend on how finely a model is
 * divided; the masses are those that the model's settings name. That no mode was missed is counted.
 */
export class NaturalModes implements Run {
  update({ model, system, firstOrder, progress }: RunTask): Results {
    if (oneSidedIn(model).length > 0) return notSwinging(firstOrder!);
    const { status, notices, mechanisms, solution } = firstOrder!;
    if (!solution) return { status, notices, mechanisms };
    const { modes = NATURAL_MODES, between = 'swing' } = model.analysis?.naturalModes ?? {};
    const said: Notice[] = [];
    const say = (message: string, subjects: readonly string[] = []): void =>
      void said.push({ code: 'natural-modes', severity: 'warning', message, subjects });
    const { structure } = system;
    const whole = massesOfModel(model, structure);
    const masses = between === 'lumped' ? lumpedAtNodes(whole, structure) : whole;
    const total = totalOf(masses.items);
    const harmonic = harmonicForce(model, system);
    const result = (
      shapes: readonly { outcome: Shape; response: StructuralResponse }[],
      rests: readonly Rest[] = [],
    ): Results => ({
      status,
      notices: said,
      mechanisms,
      solution: {
        ...solution,
        outcomes: shapes.map(({ outcome }) => outcome),
        responses: [...shapes, ...rests].map(({ response }) => response),
        masses: { items: masses.items, total: total.mass, centre: total.centre, moving: movingOf(masses, total.mass, structure.restraints), ...(harmonic && { harmonic }), ...(rests.length > 0 && { leftOut: rests.map(({ axis, mass }, i) => ({ axis, mass, at: shapes.length + i })) }) }, // oxfmt-ignore
      },
    });
    if (masses.lifted) say(WORDS.lifted(masses.lifted.kind, masses.lifted.id), [`${masses.lifted.kind} ${masses.lifted.id}`]);
    else if (!(total.mass > 0)) say(WORDS.none);
    if (said.length > 0) return result([]);
    progress?.('cases', 0);
    const kernels = takeKernels();
    try {
      const found = slowestModes(Swinging.begin(system, masses), {
        modes,
        kernels,
        progress,
      });
      if (typeof found === 'string') {
        say(found === 'missed' ? WORDS.missed : WORDS.unsettled);
        return result([]);
      }
      const { swinging, eigens } = found;
      if (eigens.length < modes) say(WORDS.fewer(eigens.length));
      const shapes = eigens.map((eigen, i) => shapeOf(swinging, eigen, { supported: solution.supported, i, total: total.mass })); // oxfmt-ignore
      const off = shapes.find(({ response }) => response.equilibrium.jointResidual > BALANCED);
      if (!off) return result(shapes, restsOf(model, found, { supported: solution.supported, total: total.mass }));
      say(WORDS.unbalanced(off.outcome.id));
      return result([]);
    } finally {
      giveBackKernels(kernels);
    }
  }

  handOver(): void {
    // Nothing is kept from one update to the next.
  }
}

/** The force that swings by the model's settings, with what it moves in statics. */
function harmonicForce(model: Model, system: System): HarmonicForce | undefined {
  const settings = model.analysis?.naturalModes?.harmonic;
  if (!settings) return undefined;
  const { structure, numbering, factor } = system;
  const node = structure.names.nodes.indexOf(settings.node);
  const readAt = structure.names.nodes.indexOf(settings.at ?? settings.node);
  const axis = axisKeys.indexOf(settings.along);
  const force = new Float64Array(structure.restraints.length);
  force[FREEDOMS * node + axis] = 1;
  toOwnAxes(structure, force);
  const x = Float64Array.from(numbering.freedoms, (f) => force[f]!);
  solveInPlace(factor, [x]);
  const moved = new Float64Array(force.length);
  addSolution(system, x, moved);
  toGlobalAxes(structure, moved);
  const { damping, from, to } = settings;
  return {
    ...{ node, readAt, axis, damping, force: settings.force ?? 0, unbalance: settings.unbalance ?? 0 },
    ...(from !== undefined && { from }),
    ...(to !== undefined && { to }),
    flexibility: moved[FREEDOMS * readAt + axis]!,
  };
}

/** What the modes leave out along a direction of the earthquake. */
interface Rest {
  readonly axis: 0 | 1 | 2;
  readonly mass: number;
  readonly response: StructuralResponse;
}

/** Of all mass what is left of it when every mode was found. */
const COMPLETE = 1e-7;

function restsOf(model: Model, { swinging, eigens }: FoundModes, { supported, total }: Omit<Place, 'i'>): readonly Rest[] {
  const { spectrum } = model.analysis?.naturalModes ?? {};
  if (!spectrum) return [];
  return spectrumDirections(spectrum, model.space).flatMap((key): Rest[] => {
    const axis = axisKeys.indexOf(key) as 0 | 1 | 2;
    const response = leftOut(swinging, eigens, axis, supported);
    const { size, applied } = response.equilibrium;
    return size > COMPLETE * total ? [{ axis, mass: applied[axis], response }] : [];
  });
}

interface FoundModes {
  readonly swinging: Swinging;
  readonly eigens: readonly Eigen[];
}

interface Search {
  readonly modes: number;
  readonly kernels: Kernels;
  readonly progress: RunTask['progress'];
}

/** The slowest modes, members divided as finely as they need it: a first look tells how finely. */
function slowestModes(first: Swinging, { modes, kernels, progress }: Search): FoundModes | 'missed' | 'unsettled' {
  const most = Math.max(VECTORS.least, VECTORS.each * modes);
  let swinging = first;
  let slowest = new Slowest(swinging);
  let isFine = false;
  const find = (settled: number, from: number, to: number): readonly Found[] | undefined =>
    slowest.find({ wanted: modes, settled, most, watch: (part) => progress?.('cases', from + part * (to - from)) });
  for (let round = 0; round < FINER && !isFine; round++) {
    const rough = find(ABOUT, 0, 0.4);
    if (!rough) return 'unsettled';
    const last = rough[Math.min(modes, rough.length) - 1];
    if (!last) return { swinging, eigens: [] };
    const finer = swinging.fineFor(last.value);
    isFine = finer === swinging;
    if (isFine) continue;
    const { size } = swinging.system.numbering;
    const start = slowest.vectorsOf(rough).map(({ vector }) => {
      const nodes = new Float64Array(finer.size);
      nodes.set(vector.subarray(0, size));
      return nodes;
    });
    swinging = finer;
    slowest = new Slowest(swinging, start);
  }
  if (!isFine) return 'unsettled';
  for (let more = 0; more < MORE; more++) {
    const eigens = find(SETTLED, 0.4, 0.8);
    if (!eigens) return 'unsettled';
    const { under, count } = widestGap(eigens, modes);
    const missing = swinging.countUnder(under, kernels) - count;
    if (missing === 0) return { swinging, eigens: slowest.vectorsOf(eigens.slice(0, modes)) };
    if (missing < 0) return 'missed';
    // Of many alike no more are needed than are wanted.
    slowest.scatter(Math.min(missing, modes) + 1);
  }
  return 'missed';
}

/** Modes nearer to each other than this part are one many times over, and so far under them it is counted. */
const ALIKE = 1e-5;
const UNDER = 1e-6;

/**
 * Where the modes that are wanted can best be counted: in the widest gap behind them, and how many lie under it. Where they are part of so many alike that no gap is seen, under these: which of
 * them are given is all the same.
 */
function widestGap(eigens: readonly Found[], wanted: number): { under: number; count: number } {
  if (eigens.length <= wanted) return { under: eigens.at(-1)!.value * 1.01, count: eigens.length };
  let [count, gap] = [wanted, 0];
  for (let i = wanted; i < eigens.length; i++) {
    const wide = eigens[i]!.value / eigens[i - 1]!.value;
    if (wide > gap) [count, gap] = [i, wide];
  }
  if (gap < 1 + ALIKE) {
    const under = eigens[wanted - 1]!.value * (1 - UNDER);
    return { under, count: eigens.filter(({ value }) => value < under).length };
  }
  return { under: Math.sqrt(eigens[count - 1]!.value * eigens[count]!.value), count };
}

interface Place {
  readonly supported: Uint8Array;
  readonly i: number;
  readonly total: number;
}

/** What of the mass that moves is only rounding. */
const NOTHING = 1e-16;

/** A mode as an outcome, its largest movement 1 m. */
function shapeOf(
  swinging: Swinging,
  eigen: Eigen,
  { supported, i, total }: Place,
): { outcome: Shape; response: StructuralResponse } {
  const whole = recoverSwinging(swinging, eigen, supported);
  const most = largestMovement(whole);
  // A ground that moves drives it by what its inertia forces, ω²·M·φ, add up to.
  const driven = whole.equilibrium.applied.slice(0, 3).map((force) => force / eigen.value);
  const [x, y, z] = driven.map((part) => (part ** 2 < NOTHING * total ? 0 : part)) as [number, number, number];
  const frequency = Math.sqrt(eigen.value) / (2 * Math.PI);
  const outcome: Shape = {
    kind: 'shape',
    id: WORDS.name(i + 1),
    title: WORDS.title(frequency.toPrecision(4), shapeWords(swinging.system.structure, whole)),
    at: i,
    measure: 'frequency',
    value: frequency,
    swing: { generalised: 1 / most ** 2, factors: [x * most, y * most, z * most], masses: [x * x, y * y, z * z] },
  };
  return { outcome, response: unitShape(whole) };
}

/** By direction the mass that is not held: all but what stands on nodes at rest. */
function movingOf({ nodes }: Masses, total: number, restraints: Float64Array): readonly [number, number, number] {
  const held = (k: number): number => nodes.reduce((sum, mass, i) => sum + (restraints[FREEDOMS * i + k] === Infinity ? mass : 0), 0); // oxfmt-ignore
  return [total - held(0), total - held(1), total - held(2)];
}
