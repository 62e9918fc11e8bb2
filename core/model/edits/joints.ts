import type { Draft } from 'immer';
import { crossingOf, placeAlong } from '../crossings';
import type { Model } from '../model';
import type { Notice } from '../notice';
import { SegmentIndex } from '../segment-index';
import { COINCIDENT, distance } from '../point';
import { endsOf, lengthOf, placesOf } from '../places';
import { split, type Cuts } from './split';
import { unfit } from './unfit';

/** Two members that cross, or a node that lies on a member, without being joined. */
export interface MissedJoint {
  readonly member: string;
  readonly at: number;
  /** The other member; for a node on the member there is none. */
  readonly other?: string;
  readonly otherAt?: number;
  readonly node?: string;
}

/** Every place where members cross or a node lies on a member that does not end there. `among`: only what concerns these members. */
export function missedJoints(model: Model, among?: ReadonlySet<string>): MissedJoint[] {
  const places = placesOf(model);
  const segments = model.members.map((member) => endsOf(member, places));
  const index = new SegmentIndex(segments);
  const found: MissedJoint[] = [];
  const inside = (t: number, length: number): boolean => t * length > COINCIDENT && (1 - t) * length > COINCIDENT;
  for (const [i, j] of index.pairs(COINCIDENT)) {
    const [a, b] = [model.members[i]!, model.members[j]!];
    if (among && !among.has(a.id) && !among.has(b.id)) continue;
    const crossing = crossingOf(segments[i]!, segments[j]!);
    if (!crossing) continue;
    const [first, second] = [inside(crossing.s, lengthOf(a, places)), inside(crossing.t, lengthOf(b, places))];
    if (first && second) found.push({ member: a.id, at: crossing.s, other: b.id, otherAt: crossing.t });
  }
  for (const node of model.nodes) {
    const at = places.get(node.id)!;
    for (const i of index.near([at, at], COINCIDENT)) {
      const member = model.members[i]!;
      if (member.start === node.id || member.end === node.id) continue;
      if (among && !among.has(member.id) && !isEndOf(model, among, node.id)) continue;
      const t = placeAlong(at, segments[i]!);
      if (t !== undefined && inside(t, lengthOf(member, places))) found.push({ member: member.id, at: t, node: node.id });
    }
  }
  return found;
}

const isEndOf = (model: Model, members: ReadonlySet<string>, node: string): boolean =>
  model.members.some(({ id, start, end }) => members.has(id) && (start === node || end === node));

/** Cuts members where they cross each other or nodes lie on them, so that they are joined there. */
export function makeJoints(draft: Draft<Model>, model: Model, members: readonly string[]): Notice | undefined {
  const joints = missedJoints(model, new Set(members));
  if (joints.length === 0) return unfit('members', 'Nothing crosses these members without a joint', 'Choose members that cross');
  const cuts = new Map<string, number[]>();
  const places = placesOf(model);
  const add = (id: string, t: number): void => {
    const there = cuts.get(id) ?? [];
    const member = model.members.find((one) => one.id === id)!;
    const length = distance(...endsOf(member, places));
    if (!there.some((one) => Math.abs(one - t) * length < COINCIDENT)) cuts.set(id, [...there, t]);
  };
  for (const { member, at, other, otherAt } of joints) {
    add(member, at);
    if (other !== undefined && otherAt !== undefined) add(other, otherAt);
  }
  return split(
    draft,
    model,
    [...cuts].map(([member, at]): Cuts => ({ member, at })),
  );
}
