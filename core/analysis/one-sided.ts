import type { Outcome, Solved, Superposed } from '../combinations/outcome';
import { complementary, settledInRoom } from '../linear-algebra/complementarity';
import { oneSidedIn, type OneSidedCase } from '../model/loads/one-sided';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import type { LetGo, LiftedSupport, OpenJoint, StructuralResponse } from '../results/results';
import { jointAt, meanAxialForce, reactionAlong } from '../results/slack';
import { STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { oneSided as WORDS } from './words';

/** What acts in each outcome of a structure with members, supports or joints that act one way. */
export interface OneSided {
  readonly outcomes: readonly Outcome[];
  /** By outcome; nothing of a range. */
  readonly letGo: readonly (LetGo | undefined)[];
  readonly notices: readonly Notice[];
  /** What would have to let go of the first outcome that cannot be. */
  readonly stuck?: readonly OneSidedCase[] | undefined;
}

/** What acts one way: which member or which node's support it is, or of which member it is a joint, and its force in a response, of which there is never less than nothing. */
interface Device {
  readonly place: number;
  readonly force: (response: StructuralResponse) => number;
  /** By what its case is multiplied for a length of 1 by which it is off. */
  readonly sense: number;
  /** How far it is off before anything moves. */
  readonly gap: number;
  /** N/m: what is large for it. */
  readonly stiff: number;
}

/** What acts one way in a structure, and what the responses to a metre of each say of it. */
export interface Devices {
  readonly cases: readonly OneSidedCase[];
  readonly devices: readonly Device[];
  /** Where their cases begin among the responses. */
  readonly first: number;
  /** By response, w of all of them. */
  readonly forces: readonly (readonly number[])[];
  readonly M: Float64Array;
  readonly stiff: Float64Array;
}

/** Nothing where nothing acts one way. */
export function devicesIn(model: Model, structure: Structure, responses: readonly StructuralResponse[]): Devices | undefined {
  const cases = oneSidedIn(model);
  if (cases.length === 0) return undefined;
  const devices = devicesOf(cases, structure);
  const first = responses.length - cases.length;
  const forces = responses.map((response) => devices.map(({ force }) => force(response)));
  // Of a joint each way has half of the force, and what its own spring is longer or shorter than that of both.
  cases.forEach((one, i) => {
    if (one.of !== 'joint') return;
    const other = i + one.side;
    forces[first + i]![i]! -= (one.side * one.spring) / 2;
    forces[first + i]![other]! -= (one.side * one.spring) / 2;
  });
  const n = devices.length;
  const M = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let k = 0; k < n; k++)
      M[n * i + k] = 0.5 * (devices[k]!.sense * forces[first + k]![i]! + devices[i]!.sense * forces[first + i]![k]!);
  return { cases, devices, first, forces, M, stiff: Float64Array.from(devices, (one) => one.stiff) };
}

/** What an outcome, or a share of it, is while all act both ways, gaps closed: its factors, the w of all, and what is large for these. */
interface Held {
  readonly factors: Float64Array;
  readonly q: Float64Array;
  readonly size: number;
}

export function heldIn(
  { devices, first, forces }: Devices,
  responses: readonly StructuralResponse[],
  outcome: Solved | Superposed,
  share = 1,
): Held {
  const factors = new Float64Array(responses.length);
  if (outcome.kind === 'solved') factors[outcome.at] = share;
  else outcome.factors.forEach((factor, c) => (factors[c] = share * factor));
  devices.forEach(({ sense, gap }, i) => (factors[first + i] = -sense * gap + 0));
  const q = new Float64Array(devices.length);
  let size = 0;
  factors.forEach((factor, c) => {
    if (factor === 0) return;
    forces[c]!.forEach((force, i) => (q[i]! += factor * force));
    size = Math.max(size, Math.abs(factor) * responses[c]!.equilibrium.size);
  });
  return { factors, q, size };
}

/** Adds to the factors of an outcome by which lengths devices are off. */
export function letGo({ devices, first }: Devices, factors: Float64Array, z: Float64Array, free: readonly number[]): void {
  for (const i of free) factors[first + i]! += devices[i]!.sense * z[i]!;
}

export type Named = Pick<Devices, 'cases' | 'devices'>;

/** What it means that some have let go, ascending: a joint is within its gap where both of its ways have. */
export function letGoOf({ cases, devices }: Named, gone: readonly number[]): LetGo {
  const slack: number[] = [];
  const lifted: LiftedSupport[] = [];
  const open: OpenJoint[] = [];
  const off = new Set(gone);
  for (const i of gone) {
    const [one, { place }] = [cases[i]!, devices[i]!];
    if (one.of === 'member') slack.push(place);
    else if (one.of === 'support') lifted.push({ node: place, along: one.along });
    else if (one.side > 0 && off.has(i + 1)) open.push({ member: place, end: one.end, freedom: one.freedom });
  }
  return { slack, lifted, open, gone };
}

/**
 * Finds in each case and each sum by itself what of that which acts one way has let go. A slack member does what it would do if it were as long as its ends
 * leave it, a support that is lifted off what it would if the ground had followed: by which length each is off, z, is found so that none has a force of the wrong sign and none that is
 * off has a force (z ≥ 0, w ≥ 0, z·w = 0; w is σ·N of a member, N the mean along it, σ·R of a support, and σ·F of each way of a joint). The responses to a metre of each make w = q + M·z; the outcome is
 * the sum of its cases and of these. A gap is a length by which a support is off before anything moves. Nothing else is superposed. Nothing where nothing acts one way.
 */
export function oneSidedOf(
  model: Model,
  structure: Structure,
  responses: readonly StructuralResponse[],
  outcomes: readonly Outcome[],
): OneSided | undefined {
  const all = devicesIn(model, structure, responses);
  if (!all) return undefined;
  const { cases, devices, M, stiff } = all;
  const gaps = devices.map(({ gap }) => gap);
  const otherWay = (i: number): readonly number[] => {
    const one = cases[i]!;
    return one.of === 'joint' ? [i + one.side] : [];
  };
  const letGoIn: (LetGo | undefined)[] = [];
  const faults: Notice[] = [];
  let stuck: readonly OneSidedCase[] | undefined;
  const found = outcomes.map((outcome): Outcome => {
    letGoIn.push(undefined);
    if (outcome.kind === 'travelling') faults.push(faultOf(outcome.id, WORDS.travelling(outcome.id)));
    if (outcome.kind !== 'solved' && outcome.kind !== 'superposed') return outcome;
    const { factors, q, size } = heldIn(all, responses, outcome);
    const held = complementary(q, M, size, stiff);
    const solved = 'stuck' in held ? held : settledInRoom({ q, M, size, stiff }, held, gaps, otherWay);
    if (solved === 'open') {
      faults.push(faultOf(outcome.id, WORDS.open(outcome.id)));
      return outcome;
    }
    if ('stuck' in solved) {
      const would = solved.stuck.map((i) => cases[i]!);
      stuck ??= would;
      faults.push(faultOf(outcome.id, WORDS.loose(outcome.id, named(would)), would.map(subjectOf)));
      return outcome;
    }
    letGoIn[letGoIn.length - 1] = letGoOf(all, solved.free);
    if (solved.free.length === 0 && outcome.kind === 'solved' && devices.every(({ gap }) => gap === 0)) return outcome;
    letGo(all, factors, solved.z, solved.free);
    const { id, title } = outcome;
    return { kind: 'superposed', id, title, factors } satisfies Superposed;
  });
  const notices = faults.length > 0 ? faults : remarks(all, letGoIn);
  return { outcomes: found, letGo: letGoIn, notices, stuck };
}

export function devicesOf(cases: readonly OneSidedCase[], structure: Structure): Device[] {
  const members = new Map(structure.names.members.map((id, m) => [id, m]));
  const nodes = new Map(structure.names.nodes.map((id, i) => [id, i]));
  const stiffness = (m: number): number => structure.stiffnesses[STIFFNESS_WIDTH * m]! / structure.lengths[m]!;
  const stiffest = structure.lengths.reduce((most, _, m) => Math.max(most, stiffness(m)), 0);
  return cases.map((one): Device => {
    const { side } = one;
    if (one.of === 'member') {
      const m = members.get(one.member)!;
      return { place: m, force: ({ ends }) => side * meanAxialForce(ends, m), sense: -side, gap: 0, stiff: stiffness(m) };
    }
    if (one.of === 'joint') {
      const m = members.get(one.member)!;
      const at = jointAt(one, m);
      return { place: m, force: ({ ends }) => (side * ends[at]!) / 2, sense: -side, gap: one.gap, stiff: one.spring };
    }
    const place = nodes.get(one.node)!;
    const at = { node: place, along: one.along };
    const force = ({ reactions }: StructuralResponse): number => side * reactionAlong(structure, at, reactions);
    return { place, force, sense: side, gap: one.gap, stiff: stiffest };
  });
}

const subjectOf = (one: OneSidedCase): string => (one.of === 'support' ? `node ${one.node}` : `member ${one.member}`);

/** Members, supports and joints by their names. */
export function named(cases: readonly OneSidedCase[]): string {
  const joints = cases.flatMap((one) => (one.of === 'joint' ? [jointName(one)] : []));
  const members = cases.flatMap((one) => (one.of === 'member' ? [`“${one.member}”`] : []));
  const supports = cases.flatMap((one) => (one.of === 'support' ? [`“${one.node}”`] : []));
  return [
    members.length > 0 ? WORDS.members(members.join(', ')) : '',
    supports.length > 0 ? WORDS.supports([...new Set(supports)].join(', ')) : '',
    joints.length > 0 ? WORDS.joints([...new Set(joints)].join(', ')) : '',
  ]
    .filter(Boolean)
    .join(WORDS.and);
}

const jointName = ({ member, end }: Pick<Extract<OneSidedCase, { of: 'joint' }>, 'member' | 'end'>): string =>
  WORDS.joint(member, end);

const faultOf = (id: string, message: string, subjects: readonly string[] = []): Notice => ({
  ...{ code: 'one-sided', severity: 'error', message },
  subjects: subjects.length > 0 ? subjects : [`combination ${id}`],
});

/** What never acts, and what always does. */
export function remarks({ cases }: Devices, letGoIn: OneSided['letGo']): Notice[] {
  const known = letGoIn.flatMap((one) => (one ? [new Set(one.gone)] : []));
  const outcomes = known.length;
  // A joint is within its gap where both ways have let go; it is told by its first.
  const counts = cases.map((one, i) =>
    one.of !== 'joint'
      ? known.filter((gone) => gone.has(i)).length
      : one.side > 0
        ? known.filter((gone) => gone.has(i) && gone.has(i + 1)).length
        : undefined,
  );
  const of = (kind: OneSidedCase['of'], count: number): OneSidedCase[] =>
    cases.filter((one, i) => one.of === kind && counts[i] === count);
  const note = (words: (names: string) => string, list: readonly OneSidedCase[]): Notice[] => {
    if (list.length === 0) return [];
    const nameOf = (one: OneSidedCase): string =>
      one.of === 'joint' ? jointName(one) : `“${one.of === 'member' ? one.member : one.node}”`;
    const names = list.map(nameOf).join(', ');
    return [{ code: 'one-sided', severity: 'note', message: words(names), subjects: list.map(subjectOf) }];
  };
  return [
    ...note(WORDS.always, of('member', outcomes)),
    ...note(WORDS.never, of('member', 0)),
    ...note(WORDS.alwaysLifted, of('support', outcomes)),
    ...note(WORDS.neverLifted, of('support', 0)),
    ...note(WORDS.alwaysOpen, of('joint', outcomes)),
    ...note(WORDS.neverOpen, of('joint', 0)),
  ];
}
