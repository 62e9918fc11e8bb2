import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '@rigid-beam/core/analysis/session';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Model } from '@rigid-beam/core/model/model';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { nodalAt } from '@rigid-beam/core/results/read';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import rib from '../../examples/glasshouse-rib.rbm.json';
import { shippedFamily } from '../test/family';
import { pagesOf, type PdfPage } from '../test/read-pdf';
import { chapterNames, type ReportChapter } from '@rigid-beam/core/model/report';
import { chaptersOf, firstChapters, firstOutcomes, type ReportAsked } from './asked';
import { heading, table } from './blocks';
import { columnGap, columnWidths, linesOf, PAGE, WIDE } from './flow';
import { htmlReport } from './html-report';
import { pdfReport } from './pdf-report';
import { reportOf, type Report } from './report';
import { svgPages } from './svg-pages';

const family = shippedFamily();
const known = checkModel(rib).model!;
const asked: ReportAsked = {
  chapters: firstChapters,
  outcomes: firstOutcomes(known),
  quantities: ['N', 'Mz'],
  inks: 'colour',
  look: 'corner',
  said: { project: 'Ferns & <palms>', number: 'G-04', revision: 'B' },
};
const written = (model: Model, more: Partial<ReportAsked> = {}): Report | string =>
  reportOf(model, solve(model).solution, { ...asked, outcomes: firstOutcomes(model), ...more }, family.widthOf);
const reportIn = (...of: Parameters<typeof written>): Report => {
  const report = written(...of);
  if (typeof report === 'string') throw new Error(report);
  return report;
};
const pdf = async (report: Report): Promise<Buffer> => Buffer.concat(await pdfReport(report, family));
const textsOn = ({ texts }: PdfPage): string[] => texts.map(({ text }) => text);
const POINTS = 72 / 25.4;

describe('a report says', () => {
  test('what it is, what acts, what is added and why, what was found, and whether it can be right', () => {
    const { blocks } = reportIn(known);
    const headings = blocks.flatMap((block) => (block.is === 'heading' && block.level === 1 ? [block.text] : []));
    expect(headings).toEqual(['Structure', 'Sections and materials', 'Loads', 'Combinations', 'Results', 'Members read closely', 'Checks']);
    const said = JSON.stringify(blocks.filter(({ is }) => is !== 'table' && is !== 'figure'));
    for (const words of ['13 nodes, 13 members and 2 supports, in one plane.', '12 m by 4.5 m', 'Largest moment', '12.85 kN·m in member i', 'the energy in members and springs'])
      expect([words, said.includes(words)]).toEqual([words, true]);
    const captions = blocks.flatMap((block) => (block.is === 'figure' ? [block.caption.replace(/ · .*/, '')] : []));
    expect(captions).toEqual(expect.arrayContaining(['Geometry, 1:100', 'Loads of S, 1:100', 'Bending moment in U, 1:100']));
    const tables = blocks.flatMap((block) => (block.is === 'table' ? [block.table.title] : []));
    expect(tables).toEqual(expect.arrayContaining(['Nodes', 'Members', 'Supports', 'Sections', 'Cutting list', 'Loads', 'Balance', 'Extremes', 'Reactions that act together']));
  });

  test('of which order it is, and critical loads and natural modes where they are found', () => {
    const saidOf = (analysis: Model['analysis'], more: Partial<Model> = {}): string => {
      const { blocks } = reportIn({ ...known, ...more, analysis: analysis! }, { outcomes: ['U1', 'W'], chapters: [{ chapter: 'results' }] });
      return JSON.stringify(blocks.flatMap((block) => (block.is === 'words' ? [block.text] : block.is === 'table' ? [block.table.title] : [])));
    };
    expect(saidOf({})).toMatch(/First order: linear/);
    expect(saidOf({})).not.toMatch(/Second order|act one way|Critical loads|Natural modes/);
    expect(saidOf({ secondOrder: { of: 'combinations' } })).toMatch(/First order: linear.*Second order in U1: linear/);
    expect(saidOf({ secondOrder: { of: 'everything' } })).not.toMatch(/First order/);
    expect(saidOf({ buckling: { of: ['U1'], modes: 1 }, naturalModes: { modes: 2 } })).toMatch(/Critical loads.*Natural modes.*Masses/);
    const spectrum = { shape: 'type 1', ground: 'B', acceleration: 1.5, behaviour: 2 } as const;
    expect(saidOf({ naturalModes: { modes: 2, spectrum } })).toMatch(/Masses.*EN 1998-1, type 1, ground B, agR = 1.5 m\/s², γI = 1, q = 2. Modes by their correlation.*Base shear/);
    expect(saidOf({ axialDeformation: false })).toMatch(/First order: linear.*members keep their lengths whatever acts along them/);
    expect(saidOf({})).not.toMatch(/keep their lengths/);
    const held = known.supports.map((one) => ({ ...one, oneWay: { uy: 'positive' as const } }));
    expect(saidOf({}, { supports: held })).toMatch(/act one way/);
  });

  test('what it is drawing, to whoever waits', () => {
    const heard: string[] = [];
    const some = { ...asked, chapters: [{ chapter: 'structure' }, { chapter: 'results' }, { chapter: 'members' }] } as const;
    reportOf(known, solve(known).solution, some, family.widthOf, (what) => heard.push(what));
    expect(heard.slice(0, 3)).toEqual(['Geometry', 'Axial force in U', 'Bending moment in U']);
    expect(heard.at(-1)).toMatch(/^Along member/);
  });

  test('envelopes where there are some, else sums, else cases; only what there is; nothing of results where there are none', () => {
    expect(firstOutcomes(known)).toEqual(['U']);
    expect(firstOutcomes({ ...known, combinations: known.combinations.slice(0, 2) })).toEqual(['U1', 'U2']);
    expect(firstOutcomes({ ...known, combinations: [] })).toEqual(['G', 'S', 'W']);
    expect(written(known, { outcomes: ['X'] })).toMatch(/no case or combination “X”\. There are: G, S, W/);
    const loose: Model = { ...known, supports: [] };
    expect(JSON.stringify(reportIn(loose, { chapters: [{ chapter: 'results' }, { chapter: 'checks' }] }).blocks)).toMatch(/was not solved.*was not solved/);
  });
}); // oxfmt-ignore

describe('members read closely', () => {
  const of = (members?: readonly string[], more: Partial<ReportAsked> = {}) =>
    written(known, { chapters: [{ chapter: 'members', ...(members && { members }) }], ...more });
  const blocksOf = (...asked: Parameters<typeof of>) => {
    const report = of(...asked);
    if (typeof report === 'string') throw new Error(report);
    return report.blocks;
  };
  const headings = (blocks: Report['blocks']) => blocks.flatMap((block) => (block.is === 'heading' && block.level === 2 ? [block.text] : [])); // oxfmt-ignore

  test('those that are chosen, or those in which something governs', () => {
    expect(headings(blocksOf(['b', 'a']))).toEqual(['Member b', 'Member a']);
    const governing = headings(blocksOf());
    expect(governing[0]).toBe('Member i');
    expect(new Set(governing).size).toBe(governing.length);
    expect(of(['a', 'nine'])).toMatch(/“Members read closely”: there is no member “nine” any more/);
    expect(of(known.members.map(({ id }) => id), { outcomes: Array.from({ length: 40 }, () => 'G') })).toMatch(/would be 520 pictures/);
  });

  test('with what governs in words, diagrams with their extremes, and formulas where there is one value', async () => {
    const { solution } = solve(known);
    const { max } = quantityExtremes(solution!, 0, 0, 'Mz')!;
    const report = of(['a'], { outcomes: ['G'] }) as Report;
    const [picture] = report.blocks.flatMap((block) => (block.is === 'picture' ? [block.picture] : []));
    const texts: string[] = [];
    const paths: number[] = [];
    picture!.paint({
      text: ({ text, x, y }) => void (texts.push(text), paths.push(x, y)),
      image: () => undefined,
      path: (trace) => trace({ moveTo: (x, y) => void paths.push(x, y), lineTo: (x, y) => void paths.push(x, y), closePath: () => undefined }),
    });
    expect(texts).toEqual(expect.arrayContaining(['N (kN)', 'M (kN·m)', showQuantity(max.value / 1e3, '').trim()]));
    // Nothing stands out of it.
    paths.forEach((value, i) => expect([value >= -0.01, value <= (i % 2 === 0 ? picture!.size.width : picture!.size.height) + 0.01]).toEqual([true, true]));
    const formulas = report.blocks.find((block) => block.is === 'table');
    expect(formulas).toMatchObject({ table: { title: 'Piece by piece, x in m from its start' } });
    expect(blocksOf(['a']).some(({ is }) => is === 'table')).toBe(false);
    const pages = await pagesOf(await pdf(report));
    expect(pages.flatMap(textsOn)).toEqual(expect.arrayContaining(['Member a', expect.stringMatching(/^Along member a in G.*, each to its own scale$/)]));
  });
}); // oxfmt-ignore

test('each section is drawn with its dimensions beside what is known of it', () => {
  const report = written(known, { chapters: [{ chapter: 'sections' }] }) as Report;
  const cards = report.blocks.flatMap((block) => (block.is === 'card' ? [block] : []));
  expect(cards.map(({ title, facts }) => [title, facts[0]![1], facts[1]![1]])).toEqual([
    ['rib', 'IPE 160', '20.09 cm²'],
    ['tube', 'CHS 76.1x4', '9.06 cm²'],
  ]);
  const texts: string[] = [];
  cards[0]!.picture!.paint({ text: ({ text }) => void texts.push(text), path: () => undefined, image: () => undefined });
  expect(texts.toSorted()).toEqual(['b 82', 'h 160', 'r 9', 'tf 7.4', 'tw 5']);
  const html = htmlReport(report, family).join('');
  for (const said of ['<h4>rib</h4>', '>tw 5</text>', '<dd>869.3 cm⁴</dd>']) expect(html).toContain(said);
});

test('pictures of the user’s own stand under the text, no larger than they are meant to be seen, in every kind of file', async () => {
  const dot = 'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='; // oxfmt-ignore
  const pictures = [{ image: dot, width: 96, height: 48, caption: 'The <north> wall' }, { image: dot, width: 4000, height: 1000 }, { image: 'data:image/svg+xml,x', width: 1, height: 1 }]; // oxfmt-ignore
  const report = written(known, { chapters: [{ chapter: 'text', title: 'Site', text: 'Seen in May.', pictures }] }) as Report;
  expect(report.blocks.map(({ is }) => is)).toEqual(['heading', 'words', 'image', 'image', 'words']);
  expect(report.blocks.at(-1)).toMatchObject({ text: 'A picture that belongs here could not be had.' });
  const { starts, page } = svgPages(report, family);
  const sizes = [...page(starts[0]!).matchAll(/<image [^>]*width="([\d.]+)" height="([\d.]+)"/gu)].map(([, w, h]) => [
    Number(w),
    Number(h),
  ]);
  expect(sizes).toEqual([[25.4, 12.7], [WIDE, WIDE / 4]]); // oxfmt-ignore
  expect(htmlReport(report, family).join('')).toContain('<figcaption>The &#60;north&#62; wall</figcaption>');
  const [bytes, again] = [await pdf(report), await pdf(report)];
  expect([bytes.toString('latin1').match(/\/Subtype \/Image/gu)?.length ?? 0, bytes.equals(again)]).toEqual([
    expect.any(Number),
    true,
  ]);
  expect(bytes.toString('latin1')).toMatch(/\/Subtype \/Image/u);
});

describe('a chapter in the user’s own words', () => {
  const own = (text: string, model = known): Report | string =>
    written(model, { chapters: [{ chapter: 'text', title: 'Assumptions', text }], outcomes: [] });
  const said = (text: string, model = known): string => {
    const report = own(text, model);
    if (typeof report === 'string') throw new Error(report);
    return report.blocks
      .flatMap((block) => (block.is === 'words' ? [block.text] : block.is === 'list' ? block.items : []))
      .join('|');
  };

  test('has paragraphs, lists and braces', () => {
    const { blocks } = own('Ribs\nof steel.\n\nHeld by\n- two walls\n– a beam\nand {{ no } more.') as Report;
    expect(blocks).toEqual([
      heading(1, 'Assumptions'),
      { is: 'words', text: 'Ribs of steel.' },
      { is: 'words', text: 'Held by' },
      { is: 'list', items: ['– two walls', '– a beam'] },
      { is: 'words', text: 'and { no } more.' },
    ]);
  });

  test('has the numbers that the results have, and follows the model', () => {
    const { solution } = solve(known);
    const [outcome, i] = [solution!.outcomes.findIndex(({ id }) => id === 'U1'), solution!.structure.names.members.indexOf('i')];
    const { max, min } = quantityExtremes(solution!, outcome, i, 'Mz')!;
    const kNm = (value: number): string => showQuantity(value, 'kN·m');
    expect(said('{i:M.max of U1}, {i:Mz.min of U1}')).toBe(`${kNm(max.value)}, ${kNm(min.value)}`);
    expect(said('{M of U1}')).toMatch(/^−?\d+(\.\d+)? kN·m$/);
    expect(said('{title}: {members} members, {mass}')).toMatch(/^Glasshouse rib: 13 members, [\d ,.]+ kg$/);
    const support = known.supports[0]!.node;
    const up = nodalAt(solution!, outcome, 'reactions', 6 * solution!.structure.names.nodes.indexOf(support) + 1);
    expect(said(`{${support}.fy of U1}`)).toBe(showQuantity(up, 'kN'));
    // Where Z points up, the same is said of it.
    const turned = checkModel({ ...rib, display: { ...rib.display, up: 'Z' } }).model!;
    expect(said(`{${support}.fz of U1}`, turned)).toBe(showQuantity(up, 'kN'));
    expect(said(`{${support}.fy.max of U}`)).toMatch(/kN$/);
    const heavier: Model = { ...known, cases: known.cases.map((one) => (one.id === 'G' ? { ...one, selfWeight: 2 } : one)) };
    const light: Model = { ...known, materials: known.materials.map(({ density: _, ...rest }) => rest) };
    expect(own('{mass}', light)).toMatch(/\{mass\} is not known: a material lacks its density/);
    expect(said('{M of G}', heavier)).not.toBe(said('{M of G}'));
    expect(said('{i:M@50% of U1}; {i:N@50%.max of U}; {i:N@1m.min of U}')).toMatch(/^.* kN·m; .* kN; .* kN$/);
    expect(said(`{${support}.ux of U1} {${known.nodes[3]!.id}.rz of U1}`)).toMatch(/mm .*mrad$/);
  });

  test.each([
    ['{M.max of U9}', /In the chapter “Assumptions”: \{M\.max of U9\}: there is no case or combination “U9”\. There are: G, S/],
    ['{K of U1}', /no quantity “K”\. There are: N, V, M/],
    ['{zz:M of U1}', /no member “zz”/],
    ['{n99.fy of U1}', /n99/],
    ['{q.max of U1}', /no quantity “q”/],
    ['{M.max}', /says nothing: write a number as/],
    ['so {M.max of U1', /is not closed/],
    ['{n0.fy of U}', /is a range from the least to the greatest: say \.max or \.min|n0/],
  ])('%s is refused rather than printed', (text, why) => expect(own(text)).toMatch(why));

  test('stands where the model’s own report has it', () => {
    const chapters: ReportChapter[] = [{ chapter: 'text', title: 'Basis', text: 'EN 1990' }, { chapter: 'loads' }];
    const model = checkModel({ ...rib, report: { chapters } }).model!;
    expect([chaptersOf(model), chaptersOf(known)]).toEqual([chapters, firstChapters]);
    const wrong = checkModel({
      ...rib,
      report: { chapters: [{ chapter: 'appendix' }, { chapter: 'text', text: 'x'.repeat(20_001) }] },
    });
    expect(wrong.notices.filter(({ severity }) => severity === 'error').map(({ path }) => path)).toEqual([
      'report.chapters[0].chapter',
      'report.chapters[1].text',
    ]);
  });
});

test('the model file is all of the model but the picture behind it', () => {
  const underlay = { image: `data:image/png;base64,${'A'.repeat(400)}` } as Model['underlay'];
  const blocks = reportIn({ ...known, underlay } as Model, { chapters: [{ chapter: 'model' }] }).blocks;
  expect(JSON.stringify(blocks)).toMatch(/The picture behind the drawing is left out here/);
  const listing = blocks.find(({ is }) => is === 'listing') as { text: string };
  expect(checkModel(JSON.parse(listing.text)).model).toEqual(known);
});

test('the parameters of a model stand with what it is', () => {
  const { blocks } = reportIn(known, { chapters: [{ chapter: 'structure' }] });
  expect(blocks).toContainEqual({ is: 'facts', facts: [['span, from sill to sill', '12 m'], ['rise, of the ridge above the sills', '4.5 m'], ['snow, on the left; twice as much on the right', '1.2 kN/m']] }); // oxfmt-ignore
});

test('the workings of what is reported, step by step; a matrix that no page holds says where it stands', () => {
  const said = (outcomes: readonly string[]): string =>
    JSON.stringify(reportIn(known, { chapters: [{ chapter: 'workings' }], outcomes }).blocks);
  expect(said(['U1'])).toMatch(
    /"Freedoms"[^]*All numbers in kN, m and rad[^]*K has \d+ columns: it stands in the file of the workings[^]*"Compared with the analysis"/,
  );
  expect(said(['U'])).toMatch(/An envelope has no workings of its own/);
});

describe('as PDF', () => {
  test('has contents whose pages are right, heads, page numbers, tables whose heads come again, and the same bytes', async () => {
    const report = reportIn(known, { chapters: chapterNames.map((chapter) => ({ chapter })) });
    const bytes = await pdf(report);
    expect((await pdf(report)).equals(bytes)).toBe(true);
    const pages = pagesOf(bytes);
    expect(pages.map((page) => textsOn(page).find((text) => text.startsWith('page ')))).toEqual([
      undefined,
      ...pages.slice(1).map((_, i) => `page ${i + 2} of ${pages.length}`),
    ]);
    expect(textsOn(pages[0]!)).toEqual(expect.arrayContaining(['Glasshouse rib', 'Ferns & <palms>', 'G-04']));
    const contents = textsOn(pages[1]!);
    for (const chapter of ['Structure', 'Loads', 'Results', 'Checks', 'Model file']) {
      const page = Number(contents[contents.indexOf(chapter) + 1]);
      // It stands there as a heading, and in the head of the page.
      expect([chapter, textsOn(pages[page - 1]!).filter((text) => text === chapter).length > 1]).toEqual([chapter, true]);
    }
    expect(textsOn(pages[2]!)).toContain('Glasshouse rib · G-04 · B');
    // Nothing is written beyond the margins.
    for (const { texts } of pages)
      for (const { text, x, y } of texts) {
        expect([text, x / POINTS > PAGE.left - 0.1 && x / POINTS < PAGE.width - PAGE.right]).toEqual([text, true]);
        expect([text, y / POINTS > 8 && y / POINTS < PAGE.height - 8]).toEqual([text, true]);
      }
  });

  test('breaks a long table over pages with its head on each, loses no row, and lets no heading stand alone at a foot', async () => {
    const many: Model = { ...known, nodes: [...known.nodes, ...Array.from({ length: 180 }, (_, i) => ({ id: `spare${i}`, x: i, y: -9 }))] }; // oxfmt-ignore
    const pages = pagesOf(await pdf(reportIn(many, { chapters: [{ chapter: 'structure' }, { chapter: 'loads' }] })));
    const withNodes = pages.filter((page) => textsOn(page).some((text) => /^spare\d+$/.test(text)));
    expect(withNodes.length).toBeGreaterThan(1);
    for (const page of withNodes) expect(textsOn(page)).toContain('Node');
    const rows = pages.slice(2).flatMap(textsOn).filter((text) => /^spare\d+$/.test(text)); // oxfmt-ignore
    expect(new Set(rows).size).toBe(180);
    for (const { texts } of pages.slice(2)) {
      const body = texts.filter(({ y }) => y / POINTS > PAGE.bottom && y / POINTS < PAGE.height - PAGE.top);
      const lowest = body.reduce((low, one) => (one.y < low.y ? one : low), body[0]!);
      expect(lowest.text).not.toMatch(/^(G|S|W) · /);
    }
  });
});

test('a cell that is higher than a page goes on on the next, and a narrow table stands in columns', async () => {
  const words = Array.from({ length: 9000 }, (_, i) => `w${i}`).join(' ');
  const cell = { key: 'cell', title: 'All', value: (text: string) => text };
  const tall = { title: '', facts: [], blocks: [heading(1, 'Tall'), ...table({ title: '', columns: [cell], rows: [words] })] };
  const pages = pagesOf(await pdf(tall));
  expect(pages.length).toBeGreaterThan(4);
  expect(pages.slice(2).flatMap(textsOn).join(' ').match(/\bw\d+/g)!.length).toBe(9000); // oxfmt-ignore
  const narrow = { ...tall, blocks: [heading(1, 'Narrow'), ...table({ title: '', columns: [cell], rows: Array.from({ length: 150 }, (_, i) => `r${i}`) })] }; // oxfmt-ignore
  const [, , page, ...more] = pagesOf(await pdf(narrow));
  expect(more).toEqual([]);
  const places = new Set(page!.texts.filter(({ text }) => /^r\d+$/.test(text)).map(({ x }) => Math.round(x)));
  expect([textsOn(page!).filter((text) => /^r\d+$/.test(text)).length, places.size > 3]).toEqual([150, true]);
});

test('as HTML it stands by itself, with what the user wrote escaped', () => {
  const html = htmlReport(reportIn(known), family).join('');
  expect(html).toContain('Ferns &#38; &#60;palms&#62;');
  expect(html).not.toMatch(/<script|src=|href="(?!#)|url\((?!data:)/);
  for (const tag of ['table', 'figure', 'svg', 'tr', 'td', 'h2', 'li', 'text'])
    expect([tag, html.match(new RegExp(`<${tag}[ >]`, 'g'))!.length]).toEqual([
      tag,
      html.match(new RegExp(`</${tag}>`, 'g'))!.length,
    ]);
  const targets = [...html.matchAll(/href="#([^"]+)"/g)].map(([, id]) => id);
  for (const id of targets) expect(html).toContain(`id="${id}"`);
});

describe('the flow of a page', () => {
  test('lines are no wider than they may be, and hold every letter', () => {
    const text = fc.array(fc.stringMatching(/^[a-zA-Z·−\d]{1,40}$/), { minLength: 1, maxLength: 20 }).map((all) => all.join(' '));
    fc.assert(
      fc.property(text, fc.integer({ min: 12, max: 170 }), (words, width) => {
        const lines = linesOf(words, width, 3, family.widthOf);
        for (const line of lines) expect(3 * family.widthOf(line, 'regular')).toBeLessThanOrEqual(width + 1e-9);
        expect(lines.join('').replaceAll(' ', '')).toBe(words.replaceAll(' ', ''));
      }),
      { numRuns: 100 },
    );
  });

  test('a word without end is broken, however long it is', () => {
    const word = 'abc9'.repeat(50_000);
    const lines = linesOf(`short ${word} short`, 120, 3, family.widthOf);
    expect(lines.join('').replaceAll(' ', '')).toBe(`short${word}short`);
    for (const line of lines.slice(0, 5)) expect(3 * family.widthOf(line, 'regular')).toBeLessThanOrEqual(120);
  });

  test('columns take what they ask for where it fits; else the wide ones give way, and all of them fit', () => {
    expect(columnWidths([10, 20, 30], WIDE)).toEqual([10, 20, 30]);
    const narrowed = columnWidths([10, 300, 20], WIDE);
    expect([narrowed[0], narrowed[2]]).toEqual([10, 20]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 14 }), (wanted) => {
        const widths = columnWidths(wanted, WIDE);
        const whole = widths.reduce((sum, one) => sum + one, 0) + columnGap * (wanted.length - 1);
        expect(whole).toBeLessThanOrEqual(WIDE + 1e-6);
      }),
    );
  });
});
