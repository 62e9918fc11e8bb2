import type { Notice } from '../model/notice';
import { readModelFile } from '../formats/model-file';
import { inRow, pin, roller, sketch } from './build';

/** A sound model as plain data that a test may spoil. */
export function soundModel(): Record<string, never[]> & Record<string, unknown> {
  const model = sketch({
    nodes: inRow(0, 4, 8),
    members: [
      ['a', '1', '2'],
      ['b', '2', '3'],
    ],
    supports: [pin('1'), roller('2'), roller('3')],
    loads: [
      { type: 'line', member: 'a', from: { wy: -1000 }, to: { wy: -1000 } },
      { type: 'point', member: 'b', at: 0.5, fy: -500 },
    ],
    extra: { combinations: [{ id: 'U', type: 'sum', factors: { Q: 1.5 } }] },
  });
  return JSON.parse(JSON.stringify(model)) as never;
}

/** Everything a reader says of plain data, after a way through a file. */
export const noticesOf = (value: unknown): readonly Notice[] => readModelFile(JSON.stringify(value)).notices;
