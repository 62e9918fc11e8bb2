import type { Draft } from 'immer';
import { mirroredOnMember } from '../loads/mirrored';
import { isOnMember, type Intensity, type MemberLoad } from '../loads/primitive';
import type { Member, Model } from '../model';
import type { Notice } from '../notice';
import { lengthOf, placesOf } from '../places';
import { unfit } from './unfit';

/**
 * Turns members round, so that they begin where they ended: local x and z point the other way, y stays, and the section stands mirrored left
 * to right. Releases, arms and loads stay where they are in space.
 */
export function turnRound(draft: Draft<Model>, before: Model, ids: readonly string[]): Notice | undefined {
  const chosen = new Set(ids);
  const members = before.members.filter(({ id }) => chosen.has(id));
  if (members.length === 0) return unfit('members', 'There is no member to turn round', 'Choose existing members');
  const places = placesOf(before);
  const lengths = new Map(members.map((member) => [member.id, lengthOf(member, places)]));
  draft.members = before.members.map((member) => (chosen.has(member.id) ? turned(member) : member)) as Draft<Member>[];
  draft.loads = before.loads.map((load) =>
    isOnMember(load) && chosen.has(load.member) ? turnedLoad(load, lengths.get(load.member)!) : load,
  ) as Draft<Model['loads'][number]>[];
  return undefined;
}

function turned({ start, end, releases, gaps, offset, roll, ...rest }: Member): Member {
  return {
    ...rest,
    ...{ start: end, end: start },
    ...(roll !== undefined && { roll: roll === 0 ? 0 : -roll }),
    ...(releases && { releases: swapped(releases) }),
    ...(gaps && { gaps: swapped(gaps) }),
    ...(offset && { offset: swapped(offset) }),
  };
}

const swapped = <T>({ start, end }: { readonly start?: T; readonly end?: T }): { readonly start?: T; readonly end?: T } => ({
  ...(end !== undefined && { start: end }),
  ...(start !== undefined && { end: start }),
});

/** Components along local x and z, and couples about them, change their sign. */
const TURNED = ['fx', 'fz', 'mx', 'mz', 'wx', 'wz'] as const;

function otherWay<T extends object>(values: T): T {
  const made = { ...values } as Record<string, unknown>;
  for (const key of TURNED) if (typeof made[key] === 'number') made[key] = made[key] === 0 ? 0 : -made[key];
  return made as T;
}

function turnedLoad(load: MemberLoad, length: number): MemberLoad {
  switch (load.type) {
    case 'point':
      return mirroredOnMember(load.axes === 'local' ? otherWay(load) : load, length);
    case 'line': {
      const values = (side: Intensity): Intensity => (load.axes === 'local' ? otherWay(side) : side);
      return mirroredOnMember({ ...load, from: values(load.from), to: values(load.to) }, length);
    }
    case 'thermal':
      return load.gradientZ ? { ...load, gradientZ: -load.gradientZ } : load;
    case 'strain':
      return load;
  }
}
