import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { searchCatalogue } from '../sections/catalogue/search';
import { inLetterOrder, quantityWords } from '../results/quantities';
import { reactionsTable, displacementsTable } from '../tables/results/nodal';
import { schedules } from '../tables/schedules/lists';
import { writeCells } from '../tables/schedules/write-cells';
import { cellText } from '../tables/column';
import { applyIntent } from '../model/edits/apply-intent';
import { supportWords } from '../model/support-words';
import { phraseWords } from '../phrases/phrase-words';
import { readLoadPhrase } from '../phrases/read-phrase';
import { about, along } from '../kinematics/words';
import { clamp, clamp3, sketch, solved } from '../test/build';
import { randomSpace } from '../test/random-space';
import { alongAxis, axisCalled, axisKeys, memberAxis, planeWords, sectionSymbol, structureAxis, withAxes } from './axis-names';
import { defaultDisplay, type DisplayUnits } from './display';

const Z_UP: DisplayUnits = { ...defaultDisplay, up: 'Z', strong: 'y' };
const cross = (a: readonly number[], b: readonly number[]): number[] => [
  a[1]! * b[2]! - a[2]! * b[1]!,
  a[2]! * b[0]! - a[0]! * b[2]!,
  a[0]! * b[1]! - a[1]! * b[0]!,
];

describe('axes as the reader calls them', () => {
  test.each([['the structure', structureAxis, ['X', 'Y', 'Z']], ['members', memberAxis, ['x', 'y', 'z']]] as const)(
    'of %s are right-handed, whichever choice',
    (_, axisOf, letters) => {
      for (const display of [defaultDisplay, Z_UP]) {
        // Each letter as a vector of the file.
        const vectors = letters.map((letter) => {
          const k = axisKeys.findIndex((key) => axisOf(display, key).letter === letter);
          return axisKeys.map((_key, i) => (i === k ? axisOf(display, axisKeys[k]!).sign : 0));
        });
        expect(cross(vectors[0]!, vectors[1]!).map((part) => part + 0)).toEqual(vectors[2]!.map((part) => part + 0));
      }
    },
  ); // oxfmt-ignore

  test('stand in texts, with the sense of what they name', () => {
    expect(withAxes('tension on the {−y} face, along {Z}, {+z}', defaultDisplay)).toBe('tension on the −y face, along Z, +z');
    expect(withAxes('tension on the {−y} face, along {Z}, {+z}', Z_UP)).toBe('tension on the −z face, along Y, −y');
    expect(planeWords({ axis: 'z', at: 3 }, Z_UP)).toBe('Y = −3 m');
    expect(axisCalled(Z_UP, 'y')).toEqual({ key: 'z', sign: -1 });
    expect(axisCalled(Z_UP, 'up')).toBeUndefined();
    expect(['Iz', 'Iy', 'Iyz', 'Wplz', 'A', 'J', 'iz'].map((key) => sectionSymbol(key, Z_UP))).toEqual(['Iy', 'Iz', 'Izy', 'Wply', 'A', 'J', 'iy']); // oxfmt-ignore
  });

  test('quantities: what bends about the strong axis is My there, its shear Vz, its deflection w', () => {
    expect(quantityWords('space', 'Mz', Z_UP)).toMatchObject({ symbol: 'My', name: 'bending moment about y', positive: 'tension on the −z face' }); // oxfmt-ignore
    expect(quantityWords('space', 'My', Z_UP)).toMatchObject({ symbol: 'Mz', positive: 'tension on the +y face' });
    expect(['Vy', 'Vz', 'v', 'w'].map((one) => quantityWords('space', one as 'Vy', Z_UP).symbol)).toEqual(['Vz', 'Vy', 'w', 'v']); // oxfmt-ignore
    expect(quantityWords('space', 'M', Z_UP).rule).toBe('√(Mz² + My²)');
    expect(inLetterOrder(['N', 'Vy', 'Vz', 'My', 'Mz', 'v'], Z_UP)).toEqual(['N', 'Vz', 'Vy', 'Mz', 'My', 'v']);
    expect(inLetterOrder(['Vy', 'Vz'], defaultDisplay)).toEqual(['Vy', 'Vz']);
    expect(quantityWords('plane', 'Mz', Z_UP).name).toBe('bending moment');
  });

  test('what is typed comes back as it was typed, and stands where it was meant', () => {
    const model = { ...sketch({ nodes: [['1', 1, 2, 3]], members: [], supports: [], loads: [] }), display: Z_UP };
    const columns = schedules.nodes.columns(model);
    const axes = columns.slice(1, 4);
    expect(axes.map((column) => column.title)).toEqual(['X', 'Y', 'Z']);
    expect(axes.map((column) => cellText(column, schedules.nodes.rows(model)[0]!))).toEqual(['1', '-3', '2']);
    const written = writeCells(model, 'nodes', [{ row: '1', column: 'z', text: '-7.5' }]);
    const after = written.ok ? applyIntent(model, written.intent) : undefined;
    expect(after?.ok && after.model.nodes[0]).toMatchObject({ x: 1, y: 2, z: 7.5 });
  });

  test('supports, mechanisms, loads and the catalogue speak the same way', () => {
    expect(supportWords({ node: '1', uy: 'fixed', uz: 'fixed' }, 'space', Z_UP)).toBe('roller, free along X');
    expect(supportWords({ node: '1', uz: 'fixed', rx: 'fixed' }, 'space', Z_UP)).toBe('held along Y and about X');
    expect([along({ up: 'Z' }, [0, 0, 1]), along({ up: 'Z' }, [0, 3, 4])]).toEqual(['along Y', 'in the direction (0.00, -0.80, 0.60)']); // oxfmt-ignore
    expect(about({ up: 'Z', active: [0, 1, 2, 3, 4, 5] } as never, [1, 2, 3], [0, 1, 0])).toBe('about the axis along Z through X 1 m, Y -3 m, Z 2 m'); // oxfmt-ignore
    const setting = { display: Z_UP, space: 'space', bare: 'couple' } as const;
    const read = readLoadPhrase('5 kNm clockwise about z', setting);
    expect(read).toMatchObject({ ok: true, phrase: { direction: [0, 1, 0], from: -5e3 } });
    expect(read.ok && phraseWords(read.phrase, Z_UP)).toBe('5 kN·m clockwise about z');
    const back = readLoadPhrase('5 kNm anticlockwise about y', setting);
    expect(back.ok && phraseWords(back.phrase, Z_UP)).toBe('5 kN·m clockwise');
    const strong = (text: string, called: 'y' | 'z') => searchCatalogue({ text, strong: called });
    expect(strong('Iy > 5000 cm4 ipe', 'y')).toEqual(strong('Iz > 5000 cm4 ipe', 'z'));
  });
});

test('every component of reactions and movements is that of the file, in the sense of the axis that it is called by', () => {
  const signs = { X: 1, Y: -1, Z: 1 } as const;
  const fileAxis = { X: 0, Y: 2, Z: 1 } as const;
  fc.assert(
    fc.property(randomSpace, (model) => {
      const { solution } = solved(model);
      const reactions = reactionsTable(solution, 0, Z_UP);
      const moves = displacementsTable(solution, 0, Z_UP);
      for (const letter of ['X', 'Y', 'Z'] as const) {
        const k = fileAxis[letter];
        const same = (table: typeof reactions, key: string, factor: number, values: Float64Array, at: number): void => {
          const column = table.columns.find((one) => one.key === key)!;
          for (const row of table.rows) {
            const expected = signs[letter] * values[6 * row.index + at]! * factor;
            expect(Math.abs((column.value(row) as number) - expected)).toBeLessThanOrEqual(1e-5 * (1 + Math.abs(expected)));
          }
        };
        const { reactions: forces, displacements } = solution.responses[0]!;
        same(reactions, letter, 1e-3, forces, k);
        same(reactions, `M${letter}`, 1e-3, forces, k + 3);
        same(moves, `u${letter}`, 1e3, displacements, k);
        same(moves, `turn ${letter}`, 1e3, displacements, k + 3);
      }
    }),
    { numRuns: 10 },
  );
});

test('columns stand in the order of their letters; a plane model has no third axis, and one couple as it is seen', () => {
  const { solution } = solved(
    sketch({ nodes: [['1', 0, 0, 0], ['2', 1, 0, 0]], members: [['a', '1', '2']], supports: [clamp3('1')], loads: [{ type: 'node', node: '2', fy: -1e3 }] }),
  ); // oxfmt-ignore
  expect(reactionsTable(solution, 0, Z_UP).columns.map(({ title }) => title)).toEqual(['Node', 'X', 'Y', 'Z', 'MX', 'MY', 'MZ']);
  const flat = sketch({
    nodes: [['1', 0, 0], ['2', 1, 0]], members: [['a', '1', '2']], supports: [clamp('1')], loads: [{ type: 'node', node: '2', fy: -1e3 }],
  }); // oxfmt-ignore
  const table = reactionsTable(solved(flat).solution, 0, Z_UP);
  expect(table.columns.map((column) => cellText(column, table.rows[0]!))).toEqual(['1', '0', '1', '1']);
  expect(alongAxis({ sign: -1 }, 0)).toBe(0);
});
