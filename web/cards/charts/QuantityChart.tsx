'use client';

import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  type ChartConfiguration,
  type ChartDataset,
} from 'chart.js';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import { STILL } from '../../ui/still-chart';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { DASHES } from './dashes';
import { LEFT, RIGHT } from './places';
import type { ChartPoint, Series } from './run-series';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

const Frame = styled.div`
  position: relative;
  height: 86px;
  &[data-place='last'] {
    height: 104px;
  }
`;

interface QuantityChartProps {
  readonly series: Series;
  /** The same of other outcomes, as thin lines; each dashed in its own way. */
  readonly others: readonly Series[];
  readonly length: number;
  /** Which way positive values stand. */
  readonly positive: 'up' | 'down';
  /** Inks by the sign of what they draw, as properties of the page's theme. */
  readonly inks: { readonly positive: string; readonly negative: string };
  /** Changes when the theme does. */
  readonly appearance: number;
  readonly label: string;
  /** The last of several shows the places. */
  readonly place: 'last' | 'above';
}

/** One quantity along a run: exact points on axes with their values. */
export function QuantityChart({ series, others, length, positive, inks, appearance, label, place }: QuantityChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const chart = new Chart(canvas.current!, configurationOf(canvas.current!, { series, others, length, positive, inks, place }));
    return () => chart.destroy();
  }, [series, others, length, positive, inks, appearance, place]);
  return (
    <Frame data-place={place}>
      <canvas ref={canvas} role="img" aria-label={label} />
    </Frame>
  );
}

type Drawn = Pick<QuantityChartProps, 'series' | 'others' | 'length' | 'positive' | 'inks' | 'place'>;

function configurationOf(
  canvas: HTMLCanvasElement,
  { series, others, length, positive, inks, place }: Drawn,
): ChartConfiguration<'line', ChartPoint[]> {
  const style = getComputedStyle(canvas);
  const ink = (name: string): string => style.getPropertyValue(name).trim();
  const [plus, minus] = [ink(inks.positive), ink(inks.negative)];
  const [text, faint, axis] = [ink('--soft'), ink('--rule'), ink('--ink')];
  const font = { family: style.fontFamily, size: 11 };
  const line = (points: readonly ChartPoint[], fill: ChartDataset<'line'>['fill']): ChartDataset<'line', ChartPoint[]> => ({
    data: [...points],
    borderColor: plus,
    backgroundColor: `${plus}22`,
    borderWidth: 1.5,
    pointRadius: 0,
    fill,
    // Tension and compression have inks of their own.
    segment: { borderColor: ({ p0, p1 }) => (p0.parsed.y! + p1.parsed.y! < 0 ? minus : plus) },
  });
  const thin = (points: readonly ChartPoint[], i: number): ChartDataset<'line', ChartPoint[]> => ({
    ...{ data: [...points], borderColor: axis, borderWidth: 1, pointRadius: 0, fill: false },
    borderDash: [...DASHES[i % DASHES.length]!],
  });
  const beside = others.flatMap((one, i) => [thin(one.upper, i), ...(one.lower ? [thin(one.lower, i)] : [])]);
  const { upper, lower, extremes } = series;
  const tips: ChartDataset<'line', ChartPoint[]> = {
    data: [...extremes],
    showLine: false,
    pointRadius: 3,
    pointBackgroundColor: extremes.map(({ y }) => (y < 0 ? minus : plus)),
    pointBorderColor: ink('--paper'),
    borderWidth: 1,
  };
  return {
    type: 'line',
    data: { datasets: [line(upper, lower ? 1 : 'origin'), ...(lower ? [line(lower, false)] : []), ...beside, tips] },
    options: {
      ...STILL,
      layout: { padding: { right: RIGHT, top: 4 } },
      scales: {
        x: {
          type: 'linear',
          min: 0,
          max: length,
          ticks: { display: place === 'last', color: text, font, maxRotation: 0, autoSkipPadding: 24 },
          grid: { color: faint, drawTicks: place === 'last' },
          border: { color: faint },
        },
        y: {
          reverse: positive === 'down',
          afterFit: (scale) => void (scale.width = LEFT),
          beginAtZero: true,
          ticks: { color: text, font, maxTicksLimit: 5, callback: (value) => showNumber(Number(value)) },
          grid: { color: ({ tick }) => (tick.value === 0 ? axis : faint) },
          border: { color: faint },
        },
      },
    },
  };
}
