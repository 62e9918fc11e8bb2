import { describe, expect, test } from '@jest/globals';
import DxfParser, { type ILwpolylineEntity, type ITextEntity } from 'dxf-parser';
import fc from 'fast-check';
import { solve } from '@rigid-beam/core/analysis/session';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Model } from '@rigid-beam/core/model/model';
import { pin, roller, sketch } from '@rigid-beam/core/test/build';
import { randomSpace } from '@rigid-beam/core/test/random-space';
import { randomFrame } from '@rigid-beam/core/test/random-frame';
import rib from '../../examples/glasshouse-rib.rbm.json';
import { ELEVATION } from '../projection';
import type { View } from '../view';
import type { SheetAsked } from './asked';
import { dxfFile } from './dxf-file';
import { paintSheet } from './paint-sheet';
import type { PaperStyle, PaperText } from './painter';
import { pdfFile } from './pdf-file';
import { readRatio } from './ratios';
import { paperSheet, type PaperSheet } from './sheet';
import { sheetsOf } from './sheets';
import { sizeOf } from './sizes';
import { projectionOf, subjectOf, viewOfSubject, type Subject } from './subjects';
import { svgFile } from './svg-file';
import { fitted } from './title-block';
import { shippedFamily } from '../test/family';
import { pagesOf, type PdfPage } from '../test/read-pdf';
import { lineWidth } from './weights';

const POINTS = 72 / 25.4;
const family = shippedFamily();

const asked: SheetAsked = { paper: 'A3', way: 'across', inks: 'colour', said: {}, place: { number: 1, count: 1 } };
const known = checkModel(rib).model!;
const drawn = (
  model: Model,
  subject: Subject,
  { outcome = 0, ...more }: Partial<SheetAsked & { outcome: number }> = {},
): PaperSheet | string => {
  const { solution } = solve(model);
  const view = viewOfSubject(model, solution, { subject, outcome, projection: projectionOf(model, 'front') });
  if (typeof view === 'string') return view;
  return paperSheet(model, solution, view, { ...asked, ...more }, family.widthOf);
};
const sheetOf = (...of: Parameters<typeof drawn>): PaperSheet => {
  const sheet = drawn(...of);
  if (typeof sheet === 'string') throw new Error(sheet);
  return sheet;
};

interface Line {
  readonly points: readonly (readonly [number, number])[];
  readonly style: PaperStyle;
}
/** What a sheet puts on paper, millimetres. */
function painted(sheet: PaperSheet): { readonly lines: readonly Line[]; readonly texts: readonly PaperText[] } {
  const [lines, texts]: [Line[], PaperText[]] = [[], []];
  paintSheet(
    sheet,
    {
      image: () => undefined,
      path: (trace, style) => {
        const points: [number, number][] = [];
        const add = (x: number, y: number): void => void points.push([x, y]);
        trace({ moveTo: add, lineTo: add, closePath: () => undefined });
        lines.push({ points, style });
      },
      text: (text) => void texts.push(text),
    },
    family.widthOf,
  );
  return { lines, texts };
}

const beam: Model = sketch({
  nodes: [['1', 0, 0], ['2', 12, 0]],
  members: [['a', '1', '2']],
  supports: [pin('1'), roller('2')],
  loads: [{ type: 'point', member: 'a', at: 0.25, fy: -8e3 }],
}); // oxfmt-ignore

describe('a drawing on paper', () => {
  test('is true to scale: 12 m at 1:100 are 120 mm, and the extreme stands at its place', () => {
    const { lines, texts } = painted(sheetOf(beam, 'Mz', { ratio: 100 }));
    const member = lines.find(({ points, style }) => style.stroke === '#000000' && points.length === 2 && points[1]![0] - points[0]![0] > 100)!;
    const [start, end] = member.points;
    expect(end![0] - start![0]).toBeCloseTo(120, 9);
    // 8 kN at a quarter of 12 m: 8 · 3 · 9 / 12 = 18 kN·m, 30 mm from the start.
    const extreme = texts.find(({ text }) => text === '18.0 kN·m')!;
    expect(Math.abs(extreme.x - (start![0] + 30))).toBeLessThan(15);
    expect(extreme.weight).toBe('strong');
    const block = texts.map(({ text }) => text);
    expect(block).toEqual(expect.arrayContaining(['1:100 · A3', 'Bending moment', 'on the tension face', '1 of 1']));
    // 10 mm stand for 1 m of the structure; the largest ordinate is as long as the block says.
    const [, per] = /^10 mm = ([\d.]+) kN·m$/.exec(block.find((text) => text.startsWith('10 mm'))!)!;
    const lowest = Math.max(...lines.filter(({ style }) => style.stroke === '#1d4ed8').flatMap(({ points }) => points.map(([, y]) => y)));
    expect(lowest - start![1]).toBeCloseTo((10 * 18) / Number(per), 6);
  });

  test('takes the largest usual scale at which all of it is inside the frame; another one that is too large is refused with one that fits', () => {
    expect(sheetOf(beam, 'geometry').figure.ratio).toBe(50);
    expect(sheetOf(beam, 'geometry', { paper: 'A4', way: 'upright' }).figure.ratio).toBe(100);
    expect(drawn(beam, 'geometry', { ratio: 20 })).toMatch(/^At 1:20 the drawing covers 6\d\d[\d.]* × [\d.]+ mm, and the sheet has room for 378 × 229 mm\. It fits at 1:50/);
    expect(drawn({ ...beam, nodes: [], members: [], supports: [], loads: [] }, 'geometry')).toMatch(/nothing to draw/);
  });

  test('never leaves its frame, whatever is drawn of whatever', () => {
    fc.assert(
      fc.property(fc.oneof(randomFrame, randomSpace), fc.constantFrom<Subject>('geometry', 'loads', 'reactions', 'deflected', 'Mz', 'Vy', 'N'), fc.constantFrom('across', 'upright'), (model, subject, way) => {
        const sheet = sheetOf(model, subject, { way });
        const { left, top, width, height } = sheet.frame;
        for (const { points, style } of painted(sheet).lines) {
          for (const length of style.dash ?? [1]) expect(length).toBeGreaterThan(0);
          expect(style.dash).not.toEqual([]);
          for (const [x, y] of points) {
            expect(x).toBeGreaterThanOrEqual(left - 1e-9);
            expect(x).toBeLessThanOrEqual(left + width + 1e-9);
            expect(y).toBeGreaterThanOrEqual(top - 1e-9);
            expect(y).toBeLessThanOrEqual(top + height + 1e-9);
          }
        }
      }),
      { numRuns: 20 },
    );
  });

  test('in black has no colours, and hatches where the screen fills', () => {
    const { lines, texts } = painted(sheetOf(known, 'Mz', { inks: 'black' }));
    const colours = new Set([...lines.flatMap(({ style }) => [style.stroke, style.fill]), ...texts.map(({ colour }) => colour)]);
    for (const colour of colours) if (colour !== undefined) expect(colour).toMatch(/^#(..)\1\1$/);
  });

  test('lines have the widths of ISO 128, but what is wider than any of them', () => {
    expect([0.5, 1, 1.6, 2.4].map(lineWidth)).toEqual([0.13, 0.25, 0.35, 0.5]);
    expect(lineWidth(20)).toBeCloseTo(4.4, 12);
  });

  test('sheets of a set have one scale, and are numbered', () => {
    const { solution } = solve(known);
    const views = (['geometry', 'Mz', 'N'] as const).map((subject) => viewOfSubject(known, solution, { subject, outcome: 0, projection: ELEVATION }) as View);
    const sheets = sheetsOf(known, solution, views, { ...asked, paper: 'A4' }, family.widthOf) as readonly PaperSheet[];
    expect(new Set(sheets.map(({ figure }) => figure.ratio)).size).toBe(1);
    expect(sheets.map(({ rows }) => rows.at(-1)!.at(-1)!.text)).toEqual(['1 of 3', '2 of 3', '3 of 3']);
  });
}); // oxfmt-ignore

test('what there is nothing of is refused, and not left out of a sheet with its name', () => {
  const at = (id: string): number => solve(known).solution!.outcomes.findIndex((one) => one.id === id);
  expect(drawn({ ...known, supports: [] }, 'Mz')).toMatch(/is not solved/);
  expect(drawn(known, 'deflected', { outcome: at('U') })).toMatch(/envelope has no deflected shape/);
  expect(drawn(known, 'loads', { outcome: at('U') })).toMatch(/Different loads act/);
  const buckled: Model = { ...known, analysis: { buckling: { of: ['U1'], modes: 1 } } };
  const shape = solve(buckled).solution!.outcomes.findIndex(({ kind }) => kind === 'shape');
  expect(drawn(buckled, 'Mz', { outcome: shape })).toMatch(
    /“Buckling 1 of U1” is a shape of no particular size: draw it deflected/,
  );
  expect(typeof drawn(buckled, 'deflected', { outcome: shape })).toBe('object');
  expect(drawn(known, 'sigmaV')).toMatch(/equivalent stress is still being found/);
  const bare = { ...known, sections: known.sections.map(({ id }) => ({ id, A: 1e-3, Iz: 1e-6 })) };
  expect(drawn(bare, 'sigma')).toMatch(/normal stress is not known here/);
  for (const subject of ['Mz', 'reactions'] as const) expect(typeof drawn(known, subject, { outcome: at('U') })).toBe('object');
});

describe('what is asked for', () => {
  test('scales are read, and quantities by the symbols of the sheet', () => {
    expect([readRatio('1:50'), readRatio(' 1 : 2.5 ')]).toEqual([50, 2.5]);
    for (const text of ['50', '1:0', '2:1', '1:1e9', '']) expect(readRatio(text)).toMatch(/is no scale/);
    expect([subjectOf('M', known), subjectOf('Mz', known), subjectOf('loads', known)]).toEqual(['Mz', 'Mz', 'loads']);
    expect(subjectOf('My', known)).toMatchObject({ refused: expect.stringMatching(/There are: geometry.*, N, V, M/) });
  });

  test('papers are those of ISO 216', () => {
    expect(sizeOf('A4', 'upright')).toEqual({ width: 210, height: 297 });
    expect(sizeOf('A1', 'across')).toEqual({ width: 841, height: 594 });
  });

  test('what is too long for its field is written smaller, and then cut', () => {
    expect(fitted('short', 40, family.widthOf)).toEqual({ text: 'short', size: 3 });
    const smaller = fitted('a structure of some length', 28, family.widthOf);
    expect(smaller.text).toBe('a structure of some length');
    expect(smaller.size).toBeLessThan(3);
    const cut = fitted('a structure of some length', 10, family.widthOf);
    expect(cut).toMatchObject({ size: 2, text: expect.stringMatching(/^a str.*…$/) });
    expect(cut.size * family.widthOf(cut.text, 'regular')).toBeLessThanOrEqual(10);
  });
});

describe('its files', () => {
  test('SVG: millimetres, its own letters, what the user wrote escaped', () => {
    const text = svgFile(sheetOf(known, 'Mz', { said: { project: 'Ferns & <palms>' } }), family);
    expect(text).toMatch(/^<svg [^>]*width="420mm" height="297mm" viewBox="0 0 420 297">/);
    expect(text).toContain('Ferns &#38; &#60;palms&#62;');
    expect(text).toContain('@font-face');
    // Greek is not in the family's own file: it is drawn.
    const greek = svgFile(sheetOf(known, 'Mz', { said: { project: 'σ of ferns' } }), family);
    expect(greek).not.toContain('σ');
    const outlined = svgFile(sheetOf(known, 'Mz'), family, 'outlines');
    expect(outlined).not.toMatch(/<text|@font-face/);
  });

  test('PDF: read back, a page each, lines to scale, texts as text at their places, and the same bytes again', async () => {
    const sheets = [sheetOf(beam, 'Mz', { ratio: 100 }), sheetOf(beam, 'Vy', { ratio: 100, way: 'upright' })];
    const bytes = Buffer.concat(await pdfFile(sheets, family, 'Beam'));
    expect(bytes.toString('latin1')).not.toMatch(/CreationDate|ModDate/);
    expect(Buffer.concat(await pdfFile(sheets, family, 'Beam')).equals(bytes)).toBe(true);
    const pages = pagesOf(bytes);
    expect(pages.map(({ size }) => size.slice(2).map((points) => Math.round(points / POINTS)))).toEqual([
      [420, 297],
      [297, 420],
    ]);
    const [{ texts, paths }] = pages as [PdfPage];
    expect(texts.map(({ text }) => text)).toEqual(expect.arrayContaining(['18.0 kN·m', 'Bending moment', '1:100 · A3']));
    // Lines are written in millimetres.
    const member = paths.find(([x1, y1, x2, y2, more]) => more === undefined && y1 === y2 && Math.abs(x2! - x1! - 120) < 1e-4)!;
    expect(member).toBeDefined();
    const extreme = texts.find(({ text }) => text === '18.0 kN·m')!;
    expect(Math.abs(extreme.x / POINTS - (member[0]! + 30))).toBeLessThan(15);
    expect(297 - extreme.y / POINTS - member[1]!).toBeGreaterThan(0);
  });

  test('DXF: read back, in the size of the structure, on layers that say what lines are, and the same text again', () => {
    const { figure } = sheetOf(beam, 'Mz', { ratio: 100 });
    const text = dxfFile(figure);
    expect(dxfFile(figure)).toBe(text);
    const { entities, header } = new DxfParser().parseSync(text)!;
    expect(header['$INSUNITS']).toBe(4);
    const on = (layer: string): number[][] =>
      entities
        .filter((one) => one.layer === layer && one.type === 'LWPOLYLINE')
        .map((one) => (one as ILwpolylineEntity).vertices.flatMap(({ x, y }) => [x, y]));
    // From the origin of its axes, 12 m long.
    const member = on('MEMBERS').find(([x1, , x2]) => x2! - x1! > 1000)!;
    expect(member.map((place) => Math.round(place * 1e6) / 1e6)).toEqual([0, 0, 12_000, 0]);
    for (const layer of ['DIAGRAMS', 'SUPPORTS']) expect(on(layer).length).toBeGreaterThan(0);
    const texts = entities.filter((one) => one.type === 'TEXT') as ITextEntity[];
    const extreme = texts.find((one) => one.text === '18.0 kN·m')!;
    expect([extreme.layer, Math.abs(extreme.endPoint.x - 3000) < 1500]).toEqual(['TEXTS', true]);
  });

  test('letters that the family lacks are taken from others', () => {
    const fonts = (text: string) => family.runsOf(text, 'regular').map(({ font }) => font);
    expect(fonts('M 18 kN·m −')).toEqual([0]);
    expect(fonts('σ')).toEqual([2]);
    expect(family.widthOf('ab', 'regular')).toBeCloseTo(family.widthOf('a', 'regular') + family.widthOf('b', 'regular'), 1);
  });
});
