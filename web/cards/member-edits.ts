import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Member, Model } from '@rigid-beam/core/model/model';
import { lengthOf, type placesOf } from '@rigid-beam/core/model/places';
import { runOf } from '@rigid-beam/core/model/runs';

/** One edit for all of them: the change of the first is made to each. */
export function eachChanged(members: readonly Member[], update: (member: Member) => Member, label: string): Intent {
  const intents = members.map((member): Intent => ({
    type: 'put',
    list: 'members',
    entry: { ...update(member) },
    key: member.id,
  }));
  return intents.length === 1 ? intents[0]! : { type: 'batch', intents, label };
}

/** What all of them have; empty where they differ. */
export function sharedBy(members: readonly Member[]): {
  readonly section: string;
  readonly material: string;
  readonly behaviour: NonNullable<Member['behaviour']> | '';
} {
  const first = members[0]!;
  const shared = <T>(of: (member: Member) => T): T | '' => (members.every((member) => of(member) === of(first)) ? of(first) : '');
  return {
    section: shared(({ section }) => section),
    material: shared(({ material }) => material),
    behaviour: shared(({ behaviour = 'frame' }) => behaviour),
  };
}

/** Members of a selection that are looked through for a run. */
const LONGEST_RUN = 200;

/** Metres: members that follow each other span together; else the first of them by itself. */
export function spanOf(model: Model, members: readonly Member[], places: ReturnType<typeof placesOf>): number {
  const ids = members.map(({ id }) => id);
  const isRun = members.length > 1 && members.length <= LONGEST_RUN && runOf(model, ids) !== undefined;
  return (isRun ? members : members.slice(0, 1)).reduce((sum, member) => sum + lengthOf(member, places), 0);
}
