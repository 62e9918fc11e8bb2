import type { InfluenceFound } from '../../influence/asked';
import { areasOf, extremesOfLine, lobesOf, zerosOf } from '../../results/travelling/line';
import { placeWords } from '../../results/travelling/place';
import { worstOf, type Standing } from '../../results/travelling/worst';
import type { Train } from '../../model/train';
import type { DisplayUnits } from '../../quantities/display';
import { inUnit, showNumber, showQuantity } from '../../quantities/show';
import type { Structure } from '../../stiffness/structure';
import { standingWords } from './standing';
import type { Table } from '../column';
import { influence as WORDS } from '../words';
import { measureOf } from './measure';

/** What an influence line tells: a value, and where the load stands, or lies, for it. */
export interface InfluenceRow {
  readonly key: string;
  readonly what: string;
  readonly value: number | undefined;
  readonly where: string;
}

/** Extremes and zeros of an influence line that is told (`asTold`), and what a uniform load wherever it hurts brings about. */
export function influenceTable(found: InfluenceFound, s: Structure, display: DisplayUnits): Table<InfluenceRow> {
  const { line, path, effect } = found;
  const { unit, per, perLength, ordinate, area } = measureOf(effect, display);
  const at = (place: number): string => placeWords(s, path, place, (metres) => showQuantity(metres, display.length));
  const along = (sign: 1 | -1): string => {
    const lobes = lobesOf(line).filter((lobe) => sign * lobe.area > 0);
    const shown = (metres: number): string => showNumber(inUnit(metres, display.length));
    return WORDS.ofThePath(lobes.map(({ from, to }) => WORDS.fromTo(shown(from), showQuantity(to, display.length))).join(', '));
  };
  const zeros = zerosOf(line);
  const { max, min } = extremesOfLine(line);
  const { above, below } = areasOf(line);
  const isConstant = max.value - min.value <= 1e-12 * Math.max(max.value, -min.value);
  const extremes = isConstant
    ? [{ key: 'max', what: WORDS.anywhere(per), value: ordinate(max.value), where: '' }]
    : ([['max', max], ['min', min]] as const).map(([key, one]) => ({ key, what: WORDS[key](per), value: ordinate(one.value), where: at(one.s) })); // oxfmt-ignore
  const rows: InfluenceRow[] = [
    ...extremes,
    ...(zeros.length > 0 ? [{ key: 'zeros', what: WORDS.zero(per), value: 0, where: zeros.map(at).join(', ') }] : []),
    ...(above !== 0 ? [{ key: 'above', what: WORDS.uniform(perLength), value: area(above), where: along(1) }] : []),
    ...(below !== 0 ? [{ key: 'below', what: WORDS.uniform(perLength), value: area(below), where: along(-1) }] : []),
  ];
  return { title: WORDS.title, columns: columnsOf(unit), rows };
}

/** What a train brings about where it is worst: greatest and least. */
export interface WorstRow extends InfluenceRow {
  readonly side: 'max' | 'min';
  readonly standing: Standing;
}

export function worstTable(found: InfluenceFound, train: Train, s: Structure, display: DisplayUnits): Table<WorstRow> {
  const { unit, total } = measureOf(found.effect, display);
  const worst = worstOf(found.line, train);
  const rows = (['max', 'min'] as const).map((side): WorstRow => {
    const standing = worst[side];
    return {
      key: side,
      side,
      standing,
      what: WORDS.train[side],
      value: total(standing.value),
      where: standingWords(found.path, standing, s, display),
    };
  });
  return { title: train.title ?? train.id, columns: columnsOf(unit), rows };
}

const columnsOf = (unit: string): Table<InfluenceRow>['columns'] => [
  { key: 'what', title: WORDS.of, value: ({ what }) => what },
  { key: 'value', title: WORDS.value, unit, value: ({ value }) => value },
  { key: 'where', title: WORDS.where, value: ({ where }) => where },
];
