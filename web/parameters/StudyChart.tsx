'use client';

import { Chart, LinearScale, LineController, LineElement, PointElement, type ChartConfiguration } from 'chart.js';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import { inkOf, STILL, stillScale } from '../ui/still-chart';
import { useAppearance } from '../ui/use-appearance';

Chart.register(LineController, LineElement, PointElement, LinearScale);

const Frame = styled.div`
  position: relative;
  height: 100%;
  min-height: 12rem;
`;

export interface Curve {
  readonly name: string;
  readonly points: readonly { readonly x: number; readonly y: number | null }[];
}

export interface StudyChartProps {
  readonly curves: readonly Curve[];
  /** The present state. */
  readonly now: { readonly x: number; readonly y: number } | undefined;
  readonly label: string;
  readonly xTitle: string;
  readonly yTitle: string;
  /** A place over the parameter was pressed. */
  readonly onPress: (x: number) => void;
}

/** A result over a parameter, a curve for each value of a second one, and the present state marked. */
export function StudyChart(props: StudyChartProps) {
  const { curves, now, label, xTitle, yTitle, onPress } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'line', Curve['points'][number][]>>(undefined);
  const appearance = useAppearance();
  useEffect(() => {
    const made = new Chart(canvas.current!, configurationOf(canvas.current!, { curves, now, xTitle, yTitle }));
    chart.current = made;
    return () => made.destroy();
  }, [curves, now, xTitle, yTitle, appearance]);
  return (
    <Frame>
      <canvas
        ref={canvas}
        role="img"
        aria-label={label}
        onClick={(event) => {
          const scale = chart.current?.scales['x'];
          const x = scale?.getValueForPixel(event.nativeEvent.offsetX);
          if (x !== undefined && scale && x >= scale.min && x <= scale.max) onPress(x);
        }}
      />
    </Frame>
  );
}

/** Curves of a family are told apart by their dashes as well as by how strong they are. */
const DASHES = [[], [6, 3], [2, 2], [8, 3, 2, 3], [1, 3]];

function configurationOf(
  canvas: HTMLCanvasElement,
  { curves, now, xTitle, yTitle }: Pick<StudyChartProps, 'curves' | 'now' | 'xTitle' | 'yTitle'>,
): ChartConfiguration<'line', Curve['points'][number][]> {
  const ink = inkOf(canvas);
  const faint = ink('--rule');
  const xs = curves.flatMap(({ points }) => points.map(({ x }) => x));
  return {
    type: 'line',
    data: {
      datasets: [
        ...(now
          ? [
              {
                label: '',
                data: [now],
                showLine: false,
                pointRadius: 5,
                pointBackgroundColor: ink('--focus'),
                borderColor: ink('--focus'),
              },
            ]
          : []),
        ...curves.map(({ name, points }, i) => ({
          label: name,
          data: [...points],
          borderColor: ink('--ink'),
          borderDash: DASHES[i % DASHES.length]!,
          borderWidth: 1.5,
          pointRadius: points.length > 1 ? 0 : 3,
          spanGaps: false,
        })),
      ],
    },
    options: {
      ...STILL,
      plugins: {
        legend: {
          display: curves.length > 1,
          position: 'right' as const,
          labels: { color: ink('--ink'), boxHeight: 0, filter: ({ text }) => text !== '' },
        },
      },
      scales: {
        x: {
          type: 'linear',
          min: Math.min(...xs),
          max: Math.max(...xs),
          grid: { color: faint },
          ...stillScale(canvas, xTitle, (value) => showNumber(value, 4)),
        },
        y: { grid: { color: faint }, ...stillScale(canvas, yTitle, (value) => showNumber(value, 4)) },
      },
    },
  };
}
