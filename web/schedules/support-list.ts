import { freedoms, type Restraint, type Support } from '@rigid-beam/core/model/model';
import { supportWords } from '@rigid-beam/core/model/support-words';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { inUnit } from '@rigid-beam/core/quantities/show';
import { computedColumn, plain, type Column, type Row } from './column';
import type { ScheduleKind } from './list';
import { columns as WORDS, schedule } from './words';

const PLANE = ['ux', 'uy', 'rz'] as const;

const supportOf = ({ id, ...rest }: Row): Support => ({ ...rest, node: id }) as unknown as Support;

/** Supports by their node: each freedom a word, or the stiffness of its spring. */
export const supportList: ScheduleKind = {
  words: schedule.supports,
  names: 'numbers',
  columns: (model) => {
    const { force, moment, length } = displayOf(model);
    const freedomColumn = (freedom: (typeof freedoms)[number]): Column => {
      const turns = freedom.startsWith('r');
      const unit = turns ? `${moment}/rad` : `${force}/${length}`;
      return {
        key: freedom,
        title: WORDS.freedoms[freedom],
        unit,
        show: (row) => {
          const restraint = (row[freedom] as Restraint | undefined) ?? 'free';
          return restraint === 'fixed' ? WORDS.held : restraint === 'free' ? WORDS.free : plain(inUnit(restraint, unit));
        },
        take: (row, typed) => {
          const word = typed.trim().toLowerCase();
          if (word === WORDS.held || word === 'fixed') return { ...row, [freedom]: 'fixed' };
          if (word === WORDS.free || word === '') {
            const { [freedom]: _, ...rest } = row;
            return rest as Row;
          }
          const parsed = parseQuantity(typed, turns ? 'rotationalSpring' : 'spring', unit);
          return parsed.ok && parsed.value >= 0
            ? { ...row, [freedom]: parsed.value }
            : WORDS.isNoRestraint(typed, parsed.ok ? WORDS.negative : parsed.reason);
        },
      };
    };
    return [
      computedColumn('id', WORDS.node, (row) => row.id),
      computedColumn('kind', WORDS.support, (row) => supportWords(supportOf(row), model.space)),
      ...(model.space === 'plane' ? PLANE : freedoms).map(freedomColumn),
      {
        key: 'angle',
        title: WORDS.turnedBy,
        unit: '°',
        show: (row) => plain((row.angle as number | undefined) ?? 0),
        take: (row, typed) => {
          const parsed = parseQuantity(typed, 'number');
          if (!parsed.ok) return WORDS.isNoAngle(typed, parsed.reason);
          const { angle: _, ...rest } = row;
          return (parsed.value === 0 ? rest : { ...rest, angle: parsed.value }) as Row;
        },
      },
    ];
  },
  rows: (model) => model.supports.map(({ node, ...rest }) => ({ ...rest, id: node }) as unknown as Row),
  newRow: (_, id) => ({ id, ux: 'fixed', uy: 'fixed' }),
  put: (_, row) => [{ type: 'put', list: 'supports', entry: { ...supportOf(row) } }],
  subjects: (_, id) => [{ kind: 'node', id }],
  selected: (_, selection) =>
    new Set(selection.flatMap((one) => (one.kind === 'node' || one.kind === 'support' ? [one.id] : []))),
};
