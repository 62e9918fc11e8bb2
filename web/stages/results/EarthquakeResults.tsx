'use client';

import { structureAxis } from '@rigid-beam/core/quantities/axis-names';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import type { Solution } from '@rigid-beam/core/results/results';
import { accelerationAt } from '@rigid-beam/core/results/spectral/ground';
import { baseShears, groundWords, type BaseShear } from '@rigid-beam/core/tables/results/base-shear';
import { modesOf } from '@rigid-beam/core/tables/results/natural-modes';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { useDisplay, useEditor } from '../../editor/use-editor';
import { Button, Hint, Row } from '../../ui/controls';
import { Fold } from '../../ui/Fold';
import { earthquakeResults as WORDS } from './words';

const SpectrumChart = dynamic(() => import('./SpectrumChart').then((all) => all.SpectrumChart), { ssr: false });

/** Steps in which a spectrum is drawn. */
const STEPS = 240;

/** Of an earthquake with what it pushes the base beside the static force, and where its modes stand on the spectrum. */
export function EarthquakeResults({ solution }: { readonly solution: Solution }) {
  const editor = useEditor();
  const display = useDisplay();
  const all = useMemo(() => baseShears(solution), [solution]);
  const curves = useMemo(() => curvesOf(solution, all), [solution, all]);
  const { ground } = solution;
  if (!ground || all.length === 0) return null;
  const force = (value: number): string => showQuantity(value, display.force);
  return (
    <Fold title={WORDS.title} startsOpen remembered="base shear">
      <Hint>{groundWords(solution)}</Hint>
      {all.map((one) => (
        <Hint key={one.axis}>
          {WORDS.pushes(structureAxis(display, one.axis).letter, force(one.together), Math.round(100 * one.share))}{' '}
          {WORDS.beside(force(one.static), showNumber(one.period, 3), showNumber(one.together / one.static, 3))}
        </Hint>
      ))}
      {ground.behaviour !== undefined && ground.behaviour !== 1 && <Hint>{WORDS.movements(showNumber(ground.behaviour))}</Hint>}
      <SpectrumChart {...curves} label={WORDS.chart(modesOf(solution).length)} />
      <Row>
        <Button onPress={() => editor.show({ drawer: 'baseShear' })}>{WORDS.schedule}</Button>
      </Row>
    </Fold>
  );
}

/** The spectrum as far as the slowest mode and somewhat farther, and the modes on it. */
function curvesOf(solution: Solution, all: readonly BaseShear[]) {
  const { ground } = solution;
  const level = all.find(({ axis }) => axis !== 'y') ?? all[0];
  if (!ground || !level) return { curve: [], modes: [] };
  const at = (period: number) => {
    const y = accelerationAt(ground, level.axis, period);
    return y === undefined ? [] : [{ x: period, y }];
  };
  const periods = modesOf(solution).map(({ frequency }) => 1 / frequency);
  const end = 1.5 * Math.max(1, ...periods);
  return { curve: Array.from({ length: STEPS + 1 }, (_, i) => at((end * i) / STEPS)).flat(), modes: periods.flatMap(at) };
}
