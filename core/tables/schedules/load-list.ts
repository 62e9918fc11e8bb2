import { alongAxis, withAxes } from '../../quantities/axis-names';
import { axisOfComponent } from '../results/components';
import { loadTotal } from '../../model/loads/load-total';
import { readTargets, targetOfLoad, targetWords } from '../../phrases/phrase-target';
import { phraseOfLoad } from '../../phrases/phrase-of-load';
import { ALL_DIGITS, phraseWords } from '../../phrases/phrase-words';
import { saidLoad } from '../../phrases/said-load';
import { trainOfLoad, type TrainLoad } from '../../model/loads/train-load';
import type { Load, Model } from '../../model/model';
import { writeTrain } from '../../model/train';
import { displayOf } from '../../quantities/display';
import { inUnit, showQuantity } from '../../quantities/show';
import { computedColumn, textColumn, type Row, type TypedColumn } from '../column';
import type { ScheduleKind } from './list';
import { columns as WORDS, schedules } from '../words';

/** A load as a row: its case, what it is on and what it says; `load` is what it was, or what these words mean. */
interface LoadRow extends Row {
  readonly case: string;
  readonly on: string;
  readonly say: string;
  readonly load?: Load;
  /** As an edit puts it, where it was said anew. */
  readonly entry?: Readonly<Record<string, unknown>>;
}

const rowOf = (load: Load, model: Model): LoadRow => {
  const phrase = phraseOfLoad(load, model);
  return {
    id: load.id,
    case: load.case,
    on: onWords(load),
    say: phrase ? phraseWords(phrase, displayOf(model), ALL_DIGITS) : load.type === 'train' ? trainWords(load, model) : '',
    load,
  };
};

/** The axles of a train, and where it stands. */
function trainWords(load: TrainLoad, model: Model): string {
  const display = displayOf(model);
  return WORDS.train(writeTrain(trainOfLoad(load), display), showQuantity(load.stands, display.length), load.way ?? 'forwards');
}

function onWords(load: Load): string {
  if (load.type === 'train' && load.nodes) return WORDS.deck(load.nodes.join(', '));
  const target = targetOfLoad(load);
  return target ? targetWords(target) : '';
}

/** The row with what its words mean; why they mean nothing. A row that is not complete yet means nothing either. */
function remade(row: LoadRow, model: Model): LoadRow | string {
  if (row.load?.type === 'train') return WORDS.trainOnCard;
  if (row.on === '') return row;
  const targets = readTargets(row.on, model);
  if (typeof targets === 'string') return WORDS.isNoLoad(row.on, targets);
  if (targets.length > 1) return WORDS.oneLoadARow;
  if (row.say === '') return row;
  const said = saidLoad({ text: row.say, target: targets[0]!, id: row.id, case: row.case }, model);
  return typeof said === 'string' ? WORDS.isNoLoad(row.say, said) : { ...row, load: said.load, entry: said.entry };
}

/** Loads as they are said, with their totals; a table of case, place and words can be pasted. */
export const loadList: ScheduleKind = {
  words: schedules.loads,
  names: 'numbers',
  columns: (model) => {
    const display = displayOf(model);
    const { force } = display;
    const total = (k: 0 | 1 | 2): TypedColumn =>
      computedColumn(
        `total${k}`,
        withAxes(WORDS.totals[k], display),
        (row) => {
          const { load } = row as LoadRow;
          const found = load && loadTotal(load, model);
          return found && alongAxis(axisOfComponent(k, display), inUnit(found[k], force));
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
    const { load, entry } = row as LoadRow;
    return load ? [{ type: 'put', list: 'loads', entry: { ...load, ...entry, case: load.case } }] : [];
  },
};
