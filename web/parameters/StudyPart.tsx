'use client';

import type { Model, Parameter } from '@rigid-beam/core/model/model';
import { fromUnit, inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { readMeasure } from '@rigid-beam/core/study/measure';
import { studyRefused, valuesOver, type Study, type StudyPoint } from '@rigid-beam/core/study/study';
import { studyTable } from '@rigid-beam/core/study/study-table';
import { useEffect, useMemo, useState } from 'react';
import { Button, FieldNote, Hint, TextButton } from '../ui/controls';
import { CopyTable } from '../ui/CopyTable';
import { SaveTable } from '../ui/SaveTable';
import { Table } from '../ui/Table';
import { ParameterChoice, rangeAsked, ResultChoice, type AskedParameter } from './AskedFields';
import { StudyChart, type Curve } from './StudyChart';
import { studyOf } from './study-client';
import { Parts } from './Parts';
import { useAsked } from './use-asked';
import { study as WORDS, titled } from './words';

/** Curves of a family are few: more would not be told apart. */
const FAMILY = 5;

/** What becomes of a result while a parameter goes over its range; a press on the curve, or a value beside it, goes there. */
export function StudyPart() {
  const { model, outcome, free, asked, setAsked, parameter, result, setResult, go: goTo } = useAsked();
  const [second, setSecond] = useState<AskedParameter>();
  const study = useMemo(() => studyAsked(model, { asked, second, result, outcome }), [model, asked, second, result, outcome]);
  const { points, isDone, trouble, giveUp } = useStudied(model, typeof study === 'string' ? undefined : study);
  if (!parameter || !asked) return <Parts><Hint>{WORDS.none}</Hint></Parts>; // oxfmt-ignore
  const go = (value: number): void => goTo(parameter, value);
  return (
    <Parts>
      <div>
        <ParameterChoice label={WORDS.parameter} rangeLabel={WORDS.over} asked={asked} parameters={free} onChange={setAsked} />
        <ParameterChoice
          label={WORDS.family}
          rangeLabel={WORDS.familyOver}
          asked={second}
          parameters={free.filter(({ id }) => id !== parameter.id)}
          none={WORDS.noFamily}
          onChange={setSecond}
        />
        <ResultChoice value={result} onChange={setResult} />
        {typeof study === 'string' && <FieldNote data-fault>{study}</FieldNote>}
      </div>
      {typeof study === 'string' ? <div /> : <Drawn study={study} points={points} parameter={parameter} model={model} go={go} />}
      {typeof study === 'string' ? (
        <div />
      ) : (
        <div>
          {!isDone && (
            <p role="status">
              {WORDS.progress(points.length, study.values.length * (study.family?.values.length ?? 1))}{' '}
              <Button onPress={giveUp}>{WORDS.giveUp}</Button>
            </p>
          )}
          {trouble !== undefined && <FieldNote data-fault>{trouble}</FieldNote>}
          <Read study={study} points={points} parameter={parameter} model={model} go={go} />
        </div>
      )}
    </Parts>
  );
}

interface Choices {
  readonly asked: AskedParameter | undefined;
  readonly second: AskedParameter | undefined;
  readonly result: string;
  readonly outcome: string;
}

/** The study that was chosen, or why there is none. */
function studyAsked(model: Model, { asked, second, result, outcome }: Choices): Study | string {
  const rangeOf = (one: AskedParameter | undefined) => {
    const own = model.parameters?.find(({ id }) => id === one?.name);
    return own && rangeAsked(one!, own);
  };
  const [range, other] = [rangeOf(asked), rangeOf(second)];
  const measure = readMeasure(result, model);
  if (!range || !asked) return WORDS.none;
  if ('reason' in measure) return measure.reason;
  const family = other &&
    second && { parameter: second.name, values: valuesOver({ from: other.from, to: other.to }, FAMILY - 1) };
  const study: Study = {
    parameter: asked.name,
    values: valuesOver(range),
    ...(family && { family: { ...family, values: family.values.slice(0, FAMILY) } }),
    measures: [measure],
    outcome,
  };
  return studyRefused(model, study) ?? study;
}

/** The points of a study, as they come. */
function useStudied(model: Model, study: Study | undefined) {
  const [state, setState] = useState<{ points: readonly StudyPoint[]; isDone: boolean; trouble?: string }>(NOTHING);
  const [end, setEnd] = useState<() => void>();
  useEffect(() => {
    if (!study) return setState({ points: [], isDone: true });
    const { measures, ...asked } = study;
    let isWanted = true;
    const show = (next: typeof state): void => void (isWanted && setState(next));
    const underWay = studyOf(model, { ...asked, measure: measures[0]!.text }, (points) => show({ points, isDone: false }));
    underWay.result.then(
      (points) => show({ points, isDone: true }),
      (error: Error) => show({ points: [], isDone: true, trouble: error.message }),
    );
    const stop = (): void => {
      isWanted = false;
      underWay.end();
    };
    setEnd(() => () => {
      stop();
      setState((before) => ({ ...before, isDone: true, trouble: WORDS.givenUp }));
    });
    return stop;
  }, [model, study]);
  return { ...state, giveUp: () => end?.() };
}

const NOTHING = { points: [], isDone: false };

interface DrawnProps {
  readonly study: Study;
  readonly points: readonly StudyPoint[];
  readonly parameter: Parameter;
  readonly model: Model;
  readonly go: (value: number) => void;
}

function Drawn({ study, points, parameter, model, go }: DrawnProps) {
  const { unit = '' } = parameter;
  const [measure] = study.measures;
  const second = model.parameters?.find(({ id }) => id === study.family?.parameter);
  const curves = useMemo((): readonly Curve[] => {
    const of = (family: number | undefined): Curve => ({
      name: family === undefined ? measure!.words : `${second!.id} = ${showQuantity(family, second!.unit ?? '', 4)}`,
      points: points
        .filter((point) => point.family === family)
        .map(({ at, values: [value] }) => ({
          x: inUnit(at, unit),
          y: value === undefined ? null : inUnit(value, measure!.unit),
        })),
    });
    return (study.family?.values ?? [undefined]).map(of);
  }, [points, study, measure, unit, second]);
  const now = useMemo(() => presentOf(curves, inUnit(parameter.value, unit)), [curves, parameter, unit]);
  return (
    <StudyChart
      curves={curves}
      now={study.family ? undefined : now}
      label={WORDS.chart(measure!.words, parameter.id)}
      xTitle={titled(parameter.id, unit)}
      yTitle={titled(measure!.words, measure!.unit)}
      onPress={(x) => go(nearest(fromUnit(x, unit), study.values))}
    />
  );
}

/** The present value on the first curve: between two steps on the straight line that is drawn between them. */
function presentOf([curve]: readonly Curve[], x: number): { x: number; y: number } | undefined {
  const points = curve?.points ?? [];
  const i = points.findIndex((point) => point.x >= x - 1e-9 * Math.abs(x));
  const [before, after] = [points[Math.max(0, i - 1)], points[i]];
  if (!before || !after || before.y === null || after.y === null) return undefined;
  if (x < before.x - 1e-9 * Math.abs(x)) return undefined;
  const t = after.x === before.x ? 1 : (x - before.x) / (after.x - before.x);
  return { x, y: before.y + t * (after.y - before.y) };
}

/** The step that lies next to a value. */
const nearest = (value: number, values: readonly number[]): number =>
  values.reduce((best, one) => (Math.abs(one - value) < Math.abs(best - value) ? one : best));

function Read({ study, points, parameter, model, go }: DrawnProps) {
  const { unit = '' } = parameter;
  const table = useMemo(() => studyTable(model, study, points), [model, study, points]);
  const lacking = points.filter(({ why }) => why !== undefined);
  const [measure] = study.measures;
  return (
    <>
      {lacking.length > 0 && (
        <FieldNote data-fault>
          {WORDS.lacking(lacking.length)} {WORDS.because(showQuantity(lacking[0]!.at, unit, 5), lacking[0]!.why!)}
        </FieldNote>
      )}
      <CopyTable table={table} /> <SaveTable table={table} />
      {!study.family && (
        <Table>
          <thead>
            <tr>
              <th>{titled(parameter.id, unit)}</th>
              <th>{titled(measure!.words, measure!.unit)}</th>
            </tr>
          </thead>
          <tbody>
            {points.map(({ at, values: [value] }) => (
              <tr key={at}>
                <td>
                  <TextButton aria-label={WORDS.take(parameter.id, showQuantity(at, unit, 6))} onPress={() => go(at)}>
                    {showNumber(inUnit(at, unit), 6)}
                  </TextButton>
                </td>
                <td>{value === undefined ? '–' : showNumber(inUnit(value, measure!.unit))}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </>
  );
}
