import { loadTotal } from '@rigid-beam/core/model/loads/load-total';
import { readLoadPhrase } from '@rigid-beam/core/model/loads/phrase';
import { loadsOfPhrase, type PhraseTarget } from '@rigid-beam/core/model/loads/phrase-loads';
import { phraseOfLoad } from '@rigid-beam/core/model/loads/phrase-of-load';
import { ALL_DIGITS, phraseWords } from '@rigid-beam/core/model/loads/phrase-words';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { inUnit } from '@rigid-beam/core/quantities/show';
import { computedColumn, plain, textColumn, type Column, type Row } from './column';
import type { ScheduleKind } from './list';
import { columns as WORDS, schedule } from './words';

/** A load as a row: its case, what it is on and what it says; `load` is what it was, or what these words mean. */
interface LoadRow extends Row {
  readonly case: string;
  readonly on: string;
  readonly say: string;
  readonly load?: Load;
}

const rowOf = (load: Load, model: Model): LoadRow => {
  const phrase = phraseOfLoad(load, model);
  return {
    id: load.id,
    case: load.case,
    on: onWords(load),
    say: phrase ? phraseWords(phrase, displayOf(model), ALL_DIGITS) : '',
    load,
  };
};

function onWords(load: Load): string {
  if ('node' in load) return `node ${load.node}`;
  if ('member' in load) return `member ${load.member}`;
  return 'members' in load && load.members ? `members ${load.members.join(', ')}` : '';
}

/** What `node 3`, `member a`, `members a, b` or a name alone means. */
function targetOf(text: string, model: Model): PhraseTarget | string {
  const [, kind = '', rest = ''] = /^\s*(?:(nodes?|members?)\s+)?(.+?)\s*$/i.exec(text) ?? [];
  const names = rest.split(/\s*,\s*/);
  const isNode = (id: string): boolean => model.nodes.some((node) => node.id === id);
  const isMember = (id: string): boolean => model.members.some((member) => member.id === id);
  if (/^node/i.test(kind) && names.length === 1 && isNode(rest)) return { node: rest };
  if (/^member/i.test(kind) && names.every(isMember)) return names.length === 1 ? { member: rest } : { run: names };
  if (kind === '' && isMember(rest) !== isNode(rest)) return isMember(rest) ? { member: rest } : { node: rest };
  return WORDS.isNoTarget(text);
}

/** The row with what its words mean; why they mean nothing. A row that is not complete yet means nothing either. */
function remade(row: LoadRow, model: Model): LoadRow | string {
  if (row.on === '') return row;
  const target = targetOf(row.on, model);
  if (typeof target === 'string') return target;
  if (row.say === '') return row;
  const read = readLoadPhrase(row.say, { display: displayOf(model), space: model.space, bare: 'line' });
  if (!read.ok) return WORDS.isNoLoad(row.say, read.reason);
  const made = loadsOfPhrase(read.phrase, target, model, row.case);
  if (!made.ok) return WORDS.isNoLoad(row.say, made.reason);
  if (made.loads.length !== 1) return WORDS.oneLoadARow;
  return { ...row, load: { ...made.loads[0], id: row.id } as unknown as Load };
}

/** Loads as they are said, with their totals; a table of case, place and words can be pasted. */
export const loadList: ScheduleKind = {
  words: schedule.loads,
  names: 'numbers',
  columns: (model) => {
    const { force } = displayOf(model);
    const total = (k: 0 | 1 | 2): Column =>
      computedColumn(
        `total${k}`,
        WORDS.totals[k],
        (row) => {
          const { load } = row as LoadRow;
          const found = load && loadTotal(load, model);
          return found ? plain(Number(inUnit(found[k], force).toPrecision(6))) : '';
        },
        force,
      );
    const cases = model.cases.map(({ id }) => id);
    return [
      textColumn('id', WORDS.load),
      {
        ...textColumn('case', WORDS.caseTitle, cases),
        take: (row, typed) => {
          const id = typed.trim();
          if (!cases.includes(id)) return WORDS.isNoneOf(id, cases.slice(0, 12).join(', '));
          const { load, ...rest } = row as LoadRow;
          return { ...rest, case: id, ...(load && { load: { ...load, case: id } }) };
        },
      },
      { ...textColumn('on', WORDS.on), take: (row, typed) => remade({ ...(row as LoadRow), on: typed.trim() }, model) },
      { ...textColumn('say', WORDS.says), take: (row, typed) => remade({ ...(row as LoadRow), say: typed.trim() }, model) },
      total(0),
      total(1),
      ...(model.space === 'space' ? [total(2)] : []),
    ];
  },
  rows: (model) => model.loads.map((load) => rowOf(load, model)),
  newRow: (model, id): LoadRow => ({ id, case: model.loads.at(-1)?.case ?? model.cases[0]?.id ?? '', on: '', say: '' }),
  put: (_, row) => {
    const { load } = row as LoadRow;
    return load ? [{ type: 'put', list: 'loads', entry: { ...load } }] : [];
  },
  subjects: (_, id) => [{ kind: 'load', id }],
  selected: (_, selection) => new Set(selection.flatMap((one) => (one.kind === 'load' ? [one.id] : []))),
};
