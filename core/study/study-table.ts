import type { Model } from '../model/model';
import { inUnit } from '../quantities/show';
import type { Column, Table } from '../tables/column';
import type { Study, StudyPoint } from './study';

/** A study as a table: its parameters, the results in the units of the model, and why a step gave none. */
export function studyTable(
  model: Model,
  { parameter, family, measures }: Study,
  points: readonly StudyPoint[],
): Table<StudyPoint> {
  const named = (name: string, value: (point: StudyPoint) => number | undefined): Column<StudyPoint> => {
    const unit = model.parameters?.find(({ id }) => id === name)?.unit ?? '';
    return { key: `parameter ${name}`, title: name, ...(unit && { unit }), value: (point) => shown(value(point), unit) };
  };
  return {
    title: parameter,
    rows: points,
    columns: [
      ...(family ? [named(family.parameter, (point) => point.family)] : []),
      named(parameter, ({ at }) => at),
      ...measures.map(({ text, unit }, i): Column<StudyPoint> => ({
        key: text,
        title: text,
        ...(unit && { unit }),
        value: ({ values }) => shown(values[i], unit),
      })),
      ...(points.some(({ why }) => why !== undefined)
        ? [{ key: 'why', title: 'Why not', width: 3, value: ({ why }: StudyPoint) => why }]
        : []),
    ],
  };
}

/** Without what the binary system adds behind the twelfth figure. */
const shown = (value: number | undefined, unit: string): number | undefined =>
  value === undefined ? undefined : Number(inUnit(value, unit).toPrecision(12));
