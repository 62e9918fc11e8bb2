import type { Outcome, Superposed } from '../combinations/outcome';
import { complementary } from '../linear-algebra/complementarity';
import { oneSidedIn, type OneSidedCase } from '../model/loads/one-sided';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import type { StructuralResponse } from '../results/results';
import { meanAxialForce, slackCounts } from '../results/slack';
import { STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { oneSided as WORDS } from './words';

/** What acts in each outcome of a structure with members that act one way. */
export interface OneSided {
  readonly outcomes: readonly Outcome[];
  /** By outcome: the members that are slack in it, by their places; nothing of a range. */
  readonly slack: readonly (readonly number[] | undefined)[];
  readonly notices: readonly Notice[];
  /** The members that would have to let go of the first outcome that cannot be, by their places. */
  readonly stuck?: readonly number[] | undefined;
}

/**
 * Finds in each case and each sum by itself which members that act one way are slack. Such a member does what it would do if it were as long as its ends
 * leave it: by which length it is off, z, is found so that no member has a force of the wrong sign and none that is off has a force (z ≥ 0, σ·N ≥ 0,
 * z·N = 0, N the mean along the member). The responses to a metre of each make N = N₀ − C·z; the outcome is the sum of its cases and of these. Nothing
 * else is superposed. Nothing where no member acts one way.
 */
export function oneSidedOf(
  model: Model,
  structure: Structure,
  responses: readonly StructuralResponse[],
  outcomes: readonly Outcome[],
): OneSided | undefined {
  const cases = oneSidedIn(model);
  if (cases.length === 0) return undefined;
  const places = new Map(structure.names.members.map((id, m) => [id, m]));
  const members = cases.map(({ member }) => places.get(member)!);
  const sides = cases.map(({ side }) => side);
  const first = responses.length - cases.length;
  /** σ·N of all of them in what was solved. */
  const forces = responses.map(({ ends }) => members.map((m, i) => sides[i]! * meanAxialForce(ends, m)));
  const n = cases.length;
  const M = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let k = 0; k < n; k++) M[n * i + k] = -0.5 * (sides[k]! * forces[first + k]![i]! + sides[i]! * forces[first + i]![k]!);
  const stiff = Float64Array.from(members, (m) => structure.stiffnesses[STIFFNESS_WIDTH * m]! / structure.lengths[m]!);
  const slack: (readonly number[] | undefined)[] = [];
  const faults: Notice[] = [];
  let stuck: readonly number[] | undefined;
  const found = outcomes.map((outcome): Outcome => {
    slack.push(undefined);
    if (outcome.kind === 'travelling') faults.push(faultOf(outcome.id, WORDS.travelling(outcome.id)));
    if (outcome.kind !== 'solved' && outcome.kind !== 'superposed') return outcome;
    const factors = new Float64Array(responses.length);
    if (outcome.kind === 'solved') factors[outcome.at] = 1;
    else factors.set(outcome.factors);
    const q = new Float64Array(n);
    let size = 0;
    factors.forEach((factor, c) => {
      if (factor === 0) return;
      forces[c]!.forEach((force, i) => (q[i]! += factor * force));
      size = Math.max(size, Math.abs(factor) * responses[c]!.equilibrium.size);
    });
    const solved = complementary(q, M, size, stiff);
    if ('stuck' in solved) {
      stuck ??= solved.stuck.map((i) => members[i]!);
      faults.push(
        faultOf(
          outcome.id,
          WORDS.loose(outcome.id, named(solved.stuck, cases)),
          solved.stuck.map((i) => `member ${cases[i]!.member}`),
        ),
      );
      return outcome;
    }
    slack[slack.length - 1] = solved.free.map((i) => members[i]!);
    if (solved.free.length === 0 && outcome.kind === 'solved') return outcome;
    for (const i of solved.free) factors[first + i] = -sides[i]! * solved.z[i]!;
    const { id, title } = outcome;
    return { kind: 'superposed', id, title, factors } satisfies Superposed;
  });
  return { outcomes: found, slack, notices: faults.length > 0 ? faults : remarks(cases, members, slack), stuck };
}

const named = (places: readonly number[], cases: readonly OneSidedCase[]): string =>
  places.map((i) => `“${cases[i]!.member}”`).join(', ');

const faultOf = (id: string, message: string, subjects: readonly string[] = []): Notice => ({
  ...{ code: 'one-sided', severity: 'error', message },
  subjects: subjects.length > 0 ? subjects : [`combination ${id}`],
});

/** Members that never act, and those that always do. */
function remarks(cases: readonly OneSidedCase[], members: readonly number[], slack: OneSided['slack']): Notice[] {
  const { of: outcomes, byMember } = slackCounts(slack);
  const of = (is: (count: number) => boolean): OneSidedCase[] => cases.filter((_, i) => is(byMember.get(members[i]!) ?? 0));
  const note = (words: (names: string) => string, list: readonly OneSidedCase[]): Notice[] =>
    list.length === 0
      ? []
      : [{ code: 'one-sided', severity: 'note', message: words(list.map(({ member }) => `“${member}”`).join(', ')), subjects: list.map(({ member }) => `member ${member}`) }]; // oxfmt-ignore
  return [
    ...note(
      WORDS.always,
      of((count) => count === outcomes),
    ),
    ...note(
      WORDS.never,
      of((count) => count === 0),
    ),
  ];
}
