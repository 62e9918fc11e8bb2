import { withAxes } from '../../quantities/axis-names';
import { freedoms, isTranslation, type Restraint, type Support } from '../../model/model';
import { pushing } from '../../model/one-way';
import { supportWords } from '../../model/support-words';
import { displayOf } from '../../quantities/display';
import { parseQuantity } from '../../quantities/parse';
import { inUnit } from '../../quantities/show';
import { angleColumn, computedColumn, type Row, type TypedColumn } from '../column';
import type { ScheduleKind } from './list';
import { columns as WORDS, schedules } from '../words';

const PLANE = ['ux', 'uy', 'rz'] as const;

const supportOf = ({ id, ...rest }: Row): Support => ({ ...rest, node: id }) as unknown as Support;

/** Supports by their node: each freedom a word, or the stiffness of its spring. */
export const supportList: ScheduleKind = {
  words: schedules.supports,
  names: 'numbers',
  columns: (model) => {
    const display = displayOf(model);
    const { force, moment, length } = display;
    const freedomColumn = (freedom: (typeof freedoms)[number]): TypedColumn => {
      const turns = freedom.startsWith('r');
      const unit = turns ? `${moment}/rad` : `${force}/${length}`;
      return {
        key: freedom,
        title: withAxes(WORDS.freedoms[freedom], display),
        unit,
        value: (row) => {
          const restraint = (row[freedom] as Restraint | undefined) ?? 'free';
          return restraint === 'fixed' ? WORDS.held : restraint === 'free' ? WORDS.free : inUnit(restraint, unit);
        },
        take: (row, typed) => {
          const word = typed.trim().toLowerCase();
          if (word === WORDS.held || word === 'fixed') return { ...row, [freedom]: 'fixed' };
          if (word === WORDS.free || word === '') {
            const { [freedom]: _, ...rest } = row;
            // What does not hold does not push.
            return isTranslation(freedom)
              ? (pushing(rest as unknown as Support, freedom, undefined) as unknown as Row)
              : (rest as Row);
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
      computedColumn('kind', WORDS.support, (row) => supportWords(supportOf(row), model.space, display)),
      ...(model.space === 'plane' ? PLANE : freedoms).map(freedomColumn),
      angleColumn('angle', WORDS.turnedBy, ({ angle: _, ...rest }, angle) => (angle === 0 ? rest : { ...rest, angle }) as Row),
    ];
  },
  rows: (model) => model.supports.map(({ node, ...rest }) => ({ ...rest, id: node }) as unknown as Row),
  newRow: (_, id) => ({ id, ux: 'fixed', uy: 'fixed' }),
  put: (_, row) => [{ type: 'put', list: 'supports', entry: { ...supportOf(row) } }],
};
