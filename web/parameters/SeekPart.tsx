'use client';

import { parseIn } from '@rigid-beam/core/quantities/parse';
import { fromUnit, inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { readMeasure } from '@rigid-beam/core/study/measure';
import type { Sought } from '@rigid-beam/core/study/seek';
import { studyRefused } from '@rigid-beam/core/study/study';
import { useEffect, useRef, useState } from 'react';
import { Button, Hint, PanelSubtitle } from '../ui/controls';
import { Table } from '../ui/Table';
import { TextLine } from '../ui/TextLine';
import { ParameterChoice, rangeAsked, ResultChoice } from './AskedFields';
import { seekOf, type UnderWay } from './study-client';
import { Parts } from './Parts';
import { Trouble } from './Trouble';
import { useAsked } from './use-asked';
import { study as WORDS, titled } from './words';

/** At which value of a parameter a result reaches a bound; it is taken only when somebody says so. */
export function SeekPart() {
  const { model, outcome, free, asked, setAsked, parameter, result, setResult, go } = useAsked();
  const [bound, setBound] = useState('');
  const [found, setFound] = useState<Sought>();
  const [trouble, setTrouble] = useState<string>();
  const underWay = useRef<UnderWay<Sought>>(undefined);
  useEffect(() => () => underWay.current?.end(), []);
  // What was found is of the model as it was asked.
  useEffect(() => setFound(undefined), [model, outcome, result, asked]);
  if (!parameter || !asked) return <Parts><Hint>{WORDS.none}</Hint></Parts>; // oxfmt-ignore
  const { unit = '' } = parameter;
  const measure = readMeasure(result, model);
  const seek = (text: string): void => {
    const read = 'reason' in measure ? undefined : parseIn(text, measure.unit);
    const range = rangeAsked(asked, parameter);
    if ('reason' in measure || !read?.ok || !range) return;
    const refused = studyRefused(model, { parameter: parameter.id, values: [range.from], measures: [measure], outcome });
    setTrouble(refused);
    setFound(undefined);
    if (refused !== undefined) return;
    underWay.current?.end();
    const one = seekOf(model, {
      parameter: parameter.id,
      range,
      measure: measure.text,
      outcome,
      bound: fromUnit(read.value, measure.unit),
    });
    underWay.current = one;
    one.result.then(
      (sought) => underWay.current === one && setFound(sought),
      (error: Error) => underWay.current === one && setTrouble(error.message),
    );
  };
  const shown = (value: number): string => showQuantity(value, unit, 6);
  return (
    <Parts>
      <div>
        <ParameterChoice label={WORDS.parameter} rangeLabel={WORDS.over} asked={asked} parameters={free} onChange={setAsked} />
        <ResultChoice value={result} onChange={setResult} />
        <TextLine
          label={WORDS.bound('reason' in measure ? '' : measure.unit)}
          value={bound}
          understand={(text) => {
            const one = 'reason' in measure ? { ok: false as const, reason: measure.reason } : parseIn(text, measure.unit);
            return one.ok ? { ok: true, words: '' } : { ok: false, words: one.reason };
          }}
          onCommit={(text) => {
            setBound(text);
            seek(text);
          }}
        />
        <Button onPress={() => seek(bound)} isDisabled={bound === ''}>
          {WORDS.seekIt}
        </Button>
        <Trouble words={trouble} />
      </div>
      <div>
        {found?.found !== undefined && (
          <>
            <PanelSubtitle role="status">{WORDS.found(parameter.id, shown(found.found))}</PanelSubtitle>
            <Button onPress={() => go(parameter, found.found!)}>{WORDS.keep}</Button>
          </>
        )}
        <Trouble words={found?.why} />
        {found && !('reason' in measure) && (
          <>
            <Hint>{WORDS.tried(found.tried.length)}</Hint>
            <Table>
              <thead>
                <tr>
                  <th>{titled(parameter.id, unit)}</th>
                  <th>{titled(measure.words, measure.unit)}</th>
                </tr>
              </thead>
              <tbody>
                {[...found.tried]
                  .sort((a, b) => a.at - b.at)
                  .map(({ at, values: [value], why }, i) => (
                    // The same value may have been tried twice.
                    <tr key={`${at} ${i}`}>
                      <td>{showNumber(inUnit(at, unit), 7)}</td>
                      <td>{value === undefined ? why : showNumber(inUnit(value, measure.unit), 6)}</td>
                    </tr>
                  ))}
              </tbody>
            </Table>
          </>
        )}
      </div>
    </Parts>
  );
}
