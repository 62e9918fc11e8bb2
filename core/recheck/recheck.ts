import { actingCases, isRange } from '../combinations/outcome';
import { expandLoads, solvedCasesOf } from '../model/loads/expand';
import { isNotional } from '../model/loads/notional';
import { scaledLoad } from '../model/loads/scaled';
import { isPinEnded } from '../model/behaviour';
import { gappedJoints, withEnd } from '../model/member-ends';
import { STANDARD_GRAVITY, type Load, type Member, type Model, type Section, type Support } from '../model/model';
import { diagramOf } from '../results/diagram';
import { isDisplacement, lineQuantities, quantityTable, type LineQuantity } from '../results/quantities';
import { nodalAt, valueIn } from '../results/read';
import type { Solution } from '../results/results';
import { massesOf } from '../stiffness/compile';
import { axialStiffness, BOWS_V, BOWS_W, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { denseFrame } from './dense-frame';

/** How much another way to the same answer differs, beside the largest value of its kind. */
export interface Compared {
  readonly status: 'compared';
  /** Of all values the largest difference, as a part of the largest of its kind. */
  readonly difference: number;
  /** What differs so: a number of a node, or a quantity in a member. */
  readonly where: { readonly node: string } | { readonly member: string; readonly quantity: LineQuantity };
  readonly values: number;
}

/**
 * Why it was not gone: where a range is looked at, a shape, or what was solved in second order, the system would be too large, something is loose, a sway takes its share of self weight, or a member has no torsional
 * stiffness, or members that keep their lengths hold each other lengthwise.
 */
export type NotCompared =
  | { readonly status: 'sharing' | 'range' | 'loose' | 'share' | 'torsion' | 'shape' | 'displaced' }
  | { readonly status: 'large'; readonly unknowns: number };

export type Recheck = Compared | NotCompared;

/** Unknowns of the dense system: its cost grows with their cube, and these take some seconds. */
export const MOST_UNKNOWNS = 800;

/** Places of a member that are compared, as parts of its length. */
const PLACES = [0, 0.1, 0.37, 0.5, 0.93, 1];
const SIX = [0, 1, 2, 3, 4, 5];

/**
 * Solves one outcome of a sound model once more in another way that shares no code with the first: forces and displacements of all members are unknowns of one dense system,
 * members are integrated along their length, no stiffness is formed (`denseFrame`). Compares all displacements, all reactions, and all quantities at six places of
 * each member. `motions`: whether some that nothing resists were held still.
 */
export function recheck(model: Model, solution: Solution, outcome: number, motions: 'none' | 'held'): Recheck {
  const one = solution.outcomes[outcome]!;
  if (isRange(one)) return { status: 'range' };
  if (one.kind === 'shape') return { status: 'shape' };
  if (solution.displaced?.[outcome]) return { status: 'displaced' };
  if (motions === 'held') return { status: 'loose' };
  if (solution.sharing && solution.sharing.length > 0) return { status: 'sharing' };
  const unknowns = (model.space === 'plane' ? 3 : 6) * (model.nodes.length + model.members.length);
  if (unknowns > MOST_UNKNOWNS) return { status: 'large', unknowns };
  const { structure } = solution;
  const isLimp = (_: unknown, m: number): boolean =>
    !isPinEnded(model.members[m]!) && structure.stiffnesses[STIFFNESS_WIDTH * m + 1] === 0;
  if (model.space === 'space' && model.members.some(isLimp)) return { status: 'torsion' };
  const single = actingAlone(model, actingCases(one));
  return single ? compared(asCompiled(single, structure), solution, { outcome, model }) : { status: 'share' };
}

/** The model with what each member is made of as numbers, E and G being 1: how they follow from shapes and catalogues is another matter. */
function asCompiled(model: Model, structure: Structure): Model {
  const { stiffnesses } = structure;
  const sections = model.members.map((_, m) => {
    const [, J, Iz, Iy, Iyz, Ay, Az] = stiffnesses.subarray(STIFFNESS_WIDTH * m, STIFFNESS_WIDTH * (m + 1));
    const shear = { ...(Ay !== Infinity && { Ay }), ...(Az !== Infinity && { Az }) };
    return { id: `${m}`, A: axialStiffness(structure, m), J: J!, Iz: Iz!, Iy: Iy!, Iyz: Iyz!, ...shear } as Section;
  });
  const materials = model.materials.map(({ id, alpha = 0 }) => ({ id, E: 1, G: 1, alpha }));
  const members = model.members.map((member, m) => ({ ...asSprung(member), section: `${m}` }));
  return { ...model, sections, materials, members, supports: withIdleHeld(model) };
}

/** A member whose joints with gaps are as stiff as while both ways act: by how much they give comes with the loads. */
const asSprung = (member: Member): Member =>
  gappedJoints(member).reduce((one, { end, freedom, spring }) => withEnd(one, end, freedom, 2 * spring), member);

/** Supports that hold still, beside what is held, the turns of nodes that no member takes part in: as zero they are told by the first way too. */
function withIdleHeld({ nodes, members, supports, space }: Model): readonly Support[] {
  const turning = new Set<string>();
  for (const { start, end, behaviour, releases, offset } of members)
    for (const side of ['start', 'end'] as const) {
      const isHinged = isPinEnded({ behaviour }) || (space === 'plane' && releases?.[side]?.mz === 'free');
      if (!isHinged || offset?.[side]) turning.add(side === 'start' ? start : end);
    }
  const own = new Map(supports.map((one) => [one.node, one]));
  const turns = space === 'plane' ? (['rz'] as const) : (['rx', 'ry', 'rz'] as const);
  return nodes.flatMap(({ id }): Support[] => {
    const support = own.get(id);
    if (turning.has(id)) return support ? [support] : [];
    const held = turns.filter((turn) => (support?.[turn] ?? 'free') === 'free');
    return [{ node: id, ...support, ...Object.fromEntries(held.map((turn) => [turn, 'fixed'])) }];
  });
}

/** The model with one case, in which acts what acts in some cases with their factors; undefined where that cannot be said by single loads. */
function actingAlone(model: Model, acting: readonly (readonly [at: number, factor: number])[]): Model | undefined {
  const solved = solvedCasesOf(model);
  const factors = new Map(acting.map(([at, factor]) => [solved[at]!.id, factor]));
  const weighs = new Set(model.cases.flatMap(({ id, selfWeight }) => (selfWeight ? [id] : [])));
  if (model.loads.some((load) => isNotional(load) && factors.has(load.case) && weighs.has(load.of))) return undefined;
  const weight = solved.reduce((sum, { id, selfWeight = 0 }) => sum + (factors.get(id) ?? 0) * selfWeight, 0);
  // What weighs on some members only is a part of a case that is loaded in patterns.
  if (solved.some(({ id, members, selfWeight }) => members && selfWeight && factors.has(id))) return undefined;
  const massOf = massesOf(model);
  const weights = model.members.map(({ id: member }, m): Load => {
    const down = { wy: -weight * massOf(m) * (model.gravity ?? STANDARD_GRAVITY) };
    return { id: `weight ${m}`, case: 'all', type: 'line', member, from: down, to: down };
  });
  const loads = expandLoads(model).loads.flatMap((load, i): Load[] => {
    const factor = factors.get(load.case);
    return factor === undefined ? [] : [{ ...scaledLoad(load, factor), id: `${i}`, case: 'all' }];
  });
  const { actions: _, ...rest } = model;
  return {
    ...rest,
    cases: [{ id: 'all', category: 'other' }],
    combinations: [],
    loads: [...loads, ...(weight === 0 ? [] : weights)],
  };
}

/** What of member m is known between its ends: of a bar with nothing but an area not how it bends. */
const isKnown = ({ bows }: Structure, m: number, quantity: LineQuantity): boolean =>
  !(quantity === 'v' && !(bows[m]! & BOWS_V)) && !(quantity === 'w' && !(bows[m]! & BOWS_W));

/** How wide the gaps of joints are, and what their springs would bear of that. */
const gapSizes = (members: Model['members']): readonly { readonly kind: string; readonly size: number }[] =>
  members.flatMap(gappedJoints).flatMap(({ freedom, gap, spring }) => {
    const turns = !freedom.startsWith('u');
    return [
      { kind: turns ? 'turn' : 'length', size: gap },
      { kind: turns ? 'moment' : 'force', size: spring * gap },
    ];
  });

interface Value {
  readonly kind: string;
  readonly ours: number;
  readonly theirs: number;
  readonly where: Compared['where'];
}

function compared(
  single: Model,
  solution: Solution,
  { outcome, model }: { readonly outcome: number; readonly model: Model },
): Compared {
  const { structure } = solution;
  const { names, lengths } = structure;
  const other = denseFrame(single);
  const values: Value[] = [];
  names.nodes.forEach((id, i) => {
    const where = { node: id };
    for (const [key, theirs] of [
      ['displacements', other.displacement(id)],
      ['reactions', other.reaction(id)],
    ] as const)
      for (const k of SIX) {
        const kind = key === 'displacements' ? (k < 3 ? 'length' : 'turn') : k < 3 ? 'force' : 'moment';
        values.push({ kind, ours: nodalAt(solution, outcome, key, 6 * i + k), theirs: theirs[k]!, where });
      }
  });
  names.members.forEach((member, m) => {
    const diagram = diagramOf(solution, outcome, m);
    for (const part of PLACES) {
      const x = part * lengths[m]!;
      const theirs = other.along(member, x);
      for (const quantity of lineQuantities)
        if (isKnown(structure, m, quantity))
          values.push({
            kind: isDisplacement(quantity) ? 'length' : quantityTable[quantity].dimension,
            ours: valueIn(diagram, quantity, x),
            theirs: theirs[quantity],
            where: { member, quantity },
          });
    }
  });
  const sizes = new Map<string, number>();
  for (const { kind, ours } of values) sizes.set(kind, Math.max(sizes.get(kind) ?? 0, Math.abs(ours)));
  // Beside what gaps are wide, and what closes them, nothing less is told.
  for (const { kind, size } of gapSizes(model.members)) sizes.set(kind, Math.max(sizes.get(kind) ?? 0, size));
  let [difference, where] = [0, values[0]!.where];
  for (const one of values) {
    const size = sizes.get(one.kind)!;
    // Not a number is no agreement.
    const own = one.ours === one.theirs ? 0 : Math.abs(one.ours - one.theirs) / size;
    if (!(own <= difference)) [difference, where] = [own, one.where];
    if (Number.isNaN(difference)) break;
  }
  return { status: 'compared', difference, where, values: values.length };
}
