'use client';

import { Chart, LinearScale, LineController, LineElement, PointElement, type ChartConfiguration } from 'chart.js';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import { inkOf, STILL, stillScale } from '../../ui/still-chart';
import { useAppearance } from '../../ui/use-appearance';

Chart.register(LineController, LineElement, PointElement, LinearScale);

const Frame = styled.div`
  position: relative;
  height: 150px;
`;

interface Point {
  readonly x: number;
  readonly y: number;
}

interface SpectrumChartProps {
  readonly curve: readonly Point[];
  readonly modes: readonly Point[];
  readonly label: string;
}

/** Acceleration over period, and the modes on it. */
export function SpectrumChart({ curve, modes, label }: SpectrumChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const appearance = useAppearance();
  useEffect(() => {
    const chart = new Chart(canvas.current!, configurationOf(canvas.current!, curve, modes));
    return () => chart.destroy();
  }, [curve, modes, appearance]);
  return (
    <Frame>
      <canvas ref={canvas} role="img" aria-label={label} />
    </Frame>
  );
}

function configurationOf(
  canvas: HTMLCanvasElement,
  curve: readonly Point[],
  modes: readonly Point[],
): ChartConfiguration<'line', Point[]> {
  const ink = inkOf(canvas);
  const faint = ink('--rule');
  return {
    type: 'line',
    data: {
      datasets: [
        { data: [...curve], borderColor: ink('--ink'), pointRadius: 0, borderWidth: 1.5 },
        { data: [...modes], showLine: false, pointRadius: 3.5, pointBackgroundColor: ink('--ink') },
      ],
    },
    options: {
      ...STILL,
      scales: {
        x: {
          type: 'linear',
          min: 0,
          max: curve.at(-1)?.x ?? 1,
          grid: { color: faint },
          ...stillScale(canvas, 's', (value) => showNumber(value, 3)),
        },
        y: { beginAtZero: true, grid: { color: faint }, ...stillScale(canvas, 'm/s²', (value) => showNumber(value, 3)) },
      },
    },
  };
}
