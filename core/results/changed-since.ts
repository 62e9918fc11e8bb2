import { isRange } from '../combinations/outcome';
import { sameNumbers } from '../linear-algebra/same-numbers';
import { once } from '../once';
import type { Fibres } from '../sections/fibres';
import { isPlane, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { changed as WORDS } from './words';
import type { Solution } from './results';
import { responseOf, sumOf } from './sums';

/**
 * A solution with one outcome more, which stands last: what of an outcome has changed since another state of the model, now less then. Or why that is not told: where nodes or members are others
 * by now, or stand elsewhere, no two places are the same. Of stress only what feels it alike is told. Whoever asks again gets the very same: several may be looked at beside each other.
 */
export const changedSince = (now: Solution, then: Solution, id: string): Solution | string => changesSince(now, then)(id);

const changesSince = once((now: Solution, then: Solution) => {
  const known = new Map<string, Solution | string>();
  return (id: string): Solution | string => {
    let found = known.get(id);
    if (found === undefined) known.set(id, (found = changeOf(now, then, id)));
    return found;
  };
});

function changeOf(now: Solution, then: Solution, id: string): Solution | string {
  const [one, other] = [now, then].map(({ outcomes }) => outcomes.findIndex((outcome) => outcome.id === id)) as [number, number];
  if (one < 0 || other < 0) return WORDS.notInBoth(id);
  if (now.outcomes[one]!.kind === 'shape' || isRange(now.outcomes[one]!) || isRange(then.outcomes[other]!))
    return WORDS.noSum(id);
  const apart = whatIsApart(now.structure, then.structure);
  if (apart !== undefined) return apart;
  const [here, before] = [responseOf(now, one)!, responseOf(then, other)!];
  const response = sumOf(now.structure, [{ part: here, factor: 1 }, { part: before, factor: -1 }]); // oxfmt-ignore
  const { readings: _, ...rest } = now;
  const factors = new Float64Array(now.responses.length);
  return {
    ...rest,
    responses: [...now.responses, response],
    outcomes: [...now.outcomes, { kind: 'solved', id: WORDS.name(id), title: '', at: now.responses.length, factors }],
    fibres: now.fibres.map((fibres, m) => (isAlike(fibres, then.fibres[m]) && hasSameSection(now, then, m) ? fibres : undefined)),
  };
}

function whatIsApart(now: Structure, then: Structure): string | undefined {
  for (const kind of ['nodes', 'members'] as const) {
    const [ours, theirs] = [now.names[kind], then.names[kind]];
    const at = Array.from({ length: Math.max(ours.length, theirs.length) }, (_, i) => i).find((i) => ours[i] !== theirs[i]);
    if (at !== undefined) return WORDS.others(kind, ours[at] ?? theirs[at]!);
  }
  if (isPlane(now) !== isPlane(then)) return WORDS.otherSpace;
  const node = now.names.nodes.findIndex((_, i) => !sameNumbers(now.coordinates, then.coordinates, 3 * i, 3 * i + 3));
  if (node >= 0) return WORDS.moved(now.names.nodes[node]!);
  const member = now.names.members.findIndex(
    (_, m) =>
      !sameNumbers(now.memberNodes, then.memberNodes, 2 * m, 2 * m + 2) ||
      !sameNumbers(now.endOffsets, then.endOffsets, 6 * m, 6 * m + 6) ||
      !sameNumbers(now.axes, then.axes, 9 * m, 9 * m + 9),
  );
  return member < 0 ? undefined : WORDS.turned(now.names.members[member]!);
}

const isAlike = (one: Fibres | undefined, other: Fibres | undefined): boolean => JSON.stringify(one) === JSON.stringify(other);

const hasSameSection = (now: Solution, then: Solution, m: number): boolean =>
  sameNumbers(now.structure.stiffnesses, then.structure.stiffnesses, STIFFNESS_WIDTH * m, STIFFNESS_WIDTH * (m + 1));
