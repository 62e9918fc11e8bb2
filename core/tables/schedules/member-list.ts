import { isPinEnded } from '../../model/behaviour';
import { keepingGaps } from '../../model/member-ends';
import { behaviours, type EndFreedom, type Member, type MemberEnd, type Model } from '../../model/model';
import { lengthOf, placesOf } from '../../model/places';
import { lengthUnit } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import { angleColumn, textColumn, type Row, type TypedColumn } from '../column';
import type { ScheduleKind } from './list';
import { columns as WORDS, schedules } from '../words';

const names = (list: readonly { readonly id: string }[]): string[] => list.map(({ id }) => id);

const freedomsOf = (space: Model['space']): readonly EndFreedom[] => (space === 'plane' ? ['mz'] : ['my', 'mz']);

/** How a member is joined at one of its ends: rigid, hinged, or as its card says. */
function jointColumn(side: MemberEnd, space: Model['space']): TypedColumn {
  const bending = freedomsOf(space);
  return {
    key: `${side}Joint`,
    title: side === 'start' ? WORDS.startJoint : WORDS.endJoint,
    choices: [WORDS.rigid, WORDS.hinged],
    value: (row) => {
      const member = row as unknown as Member;
      if (isPinEnded(member)) return WORDS.hinged;
      const freed = Object.entries(member.releases?.[side] ?? {}).filter(([, restraint]) => restraint !== 'fixed');
      if (freed.length === 0) return WORDS.rigid;
      const isHinge =
        freed.length === bending.length && freed.every(([key, one]) => one === 'free' && bending.includes(key as EndFreedom));
      return isHinge ? WORDS.hinged : WORDS.otherJoint;
    },
    take: (row, typed) => {
      const word = typed.trim().toLowerCase();
      if (word === WORDS.otherJoint) return row;
      if (word !== WORDS.rigid && word !== WORDS.hinged) return WORDS.isNoJoint(typed);
      const { releases, ...rest } = row as unknown as Member;
      const other = side === 'start' ? releases?.end : releases?.start;
      const own = word === WORDS.hinged ? Object.fromEntries(bending.map((key) => [key, 'free'])) : undefined;
      const kept = { ...(other && { [side === 'start' ? 'end' : 'start']: other }), ...(own && { [side]: own }) };
      return keepingGaps({ ...rest, ...(Object.keys(kept).length > 0 && { releases: kept }) }) as unknown as Row;
    },
  };
}

/** Members with where they run and what they are made of. */
export const memberList: ScheduleKind = {
  words: schedules.members,
  names: 'letters',
  columns: (model) => {
    const places = placesOf(model);
    const unit = lengthUnit(model);
    const nodes = names(model.nodes);
    return [
      textColumn('id', WORDS.member),
      textColumn('start', WORDS.fromNode, nodes),
      textColumn('end', WORDS.toNode, nodes),
      textColumn('section', WORDS.section, names(model.sections)),
      textColumn('material', WORDS.material, names(model.materials)),
      {
        ...textColumn('behaviour', WORDS.behaviour, behaviours),
        value: (row) => (row.behaviour as string | undefined) ?? 'frame',
      },
      angleColumn('roll', WORDS.roll, (row, roll) => ({ ...row, roll })),
      ...(['start', 'end'] as const).map((side) => jointColumn(side, model.space)),
      {
        key: 'length',
        title: WORDS.length,
        unit,
        computed: true,
        value: (row) =>
          places.has(String(row.start)) && places.has(String(row.end))
            ? inUnit(lengthOf(row as unknown as Member, places), unit)
            : undefined,
        take: () => WORDS.lengthFollows,
      },
    ];
  },
  rows: (model) => model.members.map((member) => ({ ...member }) as unknown as Row),
  newRow: (model, id) => {
    const like = model.members.at(-1);
    return {
      id,
      start: '',
      end: '',
      section: like?.section ?? model.sections[0]?.id ?? '',
      material: like?.material ?? model.materials[0]?.id ?? '',
    };
  },
  put: (_, { roll, behaviour, ...rest }) => [
    {
      type: 'put',
      list: 'members',
      entry: {
        ...rest,
        ...(roll !== undefined && roll !== 0 && { roll }),
        ...(behaviour !== 'frame' && behaviour !== undefined && { behaviour }),
      },
    },
  ],
};
