'use client';

import { Chart, LinearScale, LineController, LineElement, PointElement, type ChartConfiguration } from 'chart.js';
import { showNumber } from '@rigid-beam/core/quantities/show';
import type { HarmonicResponse } from '@rigid-beam/core/results/harmonic';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import { inkOf, STILL, stillScale } from '../../ui/still-chart';
import { useAppearance } from '../../ui/use-appearance';
import { harmonicPart as WORDS } from './words';

Chart.register(LineController, LineElement, PointElement, LinearScale);

const Frame = styled.div`
  position: relative;
  height: 170px;
`;

interface FrequencyChartProps {
  readonly curve: readonly HarmonicResponse[];
  readonly most: HarmonicResponse;
  readonly label: string;
}

/** Acceleration over frequency, the largest marked, and in dashes by how much it is behind. */
export function FrequencyChart({ curve, most, label }: FrequencyChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const appearance = useAppearance();
  useEffect(() => {
    const chart = new Chart(canvas.current!, configurationOf(canvas.current!, curve, most));
    return () => chart.destroy();
  }, [curve, most, appearance]);
  return (
    <Frame>
      <canvas ref={canvas} role="img" aria-label={label} />
    </Frame>
  );
}

interface Point {
  readonly x: number;
  readonly y: number;
}

function configurationOf(
  canvas: HTMLCanvasElement,
  curve: readonly HarmonicResponse[],
  most: HarmonicResponse,
): ChartConfiguration<'line', Point[]> {
  const ink = inkOf(canvas);
  const [text, faint] = [ink('--soft'), ink('--rule')];
  const line = { pointRadius: 0, borderWidth: 1.5, fill: false };
  const scale = (title: string) => stillScale(canvas, title, (value) => showNumber(value, 3));
  return {
    type: 'line',
    data: {
      datasets: [
        { ...line, data: curve.map(({ frequency: x, acceleration: y }) => ({ x, y })), borderColor: ink('--ink'), yAxisID: 'y' },
        { ...line, data: curve.map(({ frequency: x, phase }) => ({ x, y: (phase * 180) / Math.PI })), borderColor: text, borderWidth: 1, borderDash: [4, 3], yAxisID: 'phase' }, // oxfmt-ignore
        { data: [{ x: most.frequency, y: most.acceleration }], showLine: false, pointRadius: 3.5, pointBackgroundColor: ink('--ink'), yAxisID: 'y' }, // oxfmt-ignore
      ],
    },
    options: {
      ...STILL,
      scales: {
        x: { type: 'linear', min: curve[0]!.frequency, max: curve.at(-1)!.frequency, grid: { color: faint }, ...scale('Hz') },
        y: { beginAtZero: true, grid: { color: faint }, ...scale('m/s²') },
        phase: { position: 'right', min: -180, max: 0, grid: { display: false }, ...scale(WORDS.phase) },
      },
    },
  };
}
