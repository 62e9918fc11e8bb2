import { cellWords, type Table } from '@rigid-beam/core/tables/column';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { paintFigure } from '../paper/paint-sheet';
import type { Painter, PaperText, Weight } from '../paper/painter';
import type { TypeFamily } from '../paper/type-family';
import type { Block } from './blocks';
import { columnGap, columnWidths, linesOf, LOWEST, PAGE, WIDE } from './flow';
import type { ReportPicture } from '@rigid-beam/core/model/report';
import { moved } from './picture';
import { formulaPicture } from '../workings/formula-picture';
import type { Report } from './report';
import { reportWords as WORDS } from './words';

/** Letters, millimetres: of headings by their level, of words, of tables, of listings and of what runs along the edges. */
const SIZE = { 1: 6, 2: 4.2, words: 3.4, table: 2.7, listing: 2.1, edge: 2.6 } as const;
/** Lines stand so many times as far apart as their letters are high. */
const LEADING = 1.42;
/** No picture of the user's own is higher, and none has fewer dots to a millimetre than a screen. */
const HIGHEST_IMAGE = 130;
const DOTS = 96 / 25.4;
/** What has to stand under a heading on the same page, millimetres. */
const KEPT = 40;
const INK = '#000000';
const SOFT = '#555555';
const RULE = '#999999';

/** An entry of the contents: a chapter or a part of it, and its page. */
interface Entry {
  readonly level: 1 | 2;
  readonly text: string;
  readonly page: number;
}

/** What pages are written to, in millimetres: a PDF, or pictures to look at. */
export interface Pages {
  readonly painter: Painter;
  readonly add: () => void;
  /** From 0. */
  readonly goBackTo: (page: number) => void;
}

/** Writes cover, contents and chapters of a report, with page numbers; on which pages the chapters begin, from 0. */
export const writeReport = (report: Report, pages: Pages, family: TypeFamily): readonly number[] =>
  new Writer(pages, family, report).write();

/** Writes blocks one under the other, and begins a page where one is full. */
class Writer {
  private readonly painter: Painter;
  private readonly entries: Entry[] = [];
  /** The page at hand, from 1, and how far down it is written. */
  private page = 0;
  private y = 0;
  private chapter = '';
  /** By page what its head says. */
  private readonly heads: string[] = [];

  constructor(
    private readonly pages: Pages,
    private readonly family: TypeFamily,
    private readonly report: Report,
  ) {
    this.painter = pages.painter;
  }

  write(): readonly number[] {
    const { blocks } = this.report;
    this.cover();
    const listed = blocks.filter(({ is }) => is === 'heading').length;
    const first = this.page + 1;
    const pages = Math.max(1, Math.ceil(listed / ENTRIES));
    for (let i = 0; i < pages; i++) this.turn();
    blocks.forEach((block, i) => this.block(block, blocks[i + 1]));
    this.contents(first, pages);
    this.edges();
    return this.entries.filter(({ level }) => level === 1).map(({ page }) => page - 1);
  }

  /** A new page. */
  private turn(): void {
    this.pages.add();
    this.page++;
    this.y = PAGE.top;
    this.heads[this.page] = this.chapter;
  }

  /** Room for so much on this page, or on a new one. */
  private need(height: number): void {
    if (this.y + height > LOWEST) this.turn();
  }

  private text(text: string, x: number, y: number, more: Partial<PaperText> = {}): void {
    if (text !== '') this.painter.text({ text, x, y, size: SIZE.words, weight: 'regular', colour: INK, at: 'start', ...more });
  }

  private rule(y: number, colour: string = RULE, width = 0.18, [from, long]: readonly [number, number] = [0, WIDE]): void {
    this.painter.path(
      (pen) => {
        pen.moveTo(PAGE.left + from, y);
        pen.lineTo(PAGE.left + from + long, y);
      },
      { stroke: colour, width },
    );
  }

  private lines(text: string, size: number, x: number = PAGE.left, width: number = WIDE, more: Partial<PaperText> = {}): void {
    const high = LEADING * size;
    for (const line of linesOf(text, width, size, this.family.widthOf, more.weight ?? 'regular')) {
      this.need(high);
      this.text(line, x, this.y + high / 2, { size, ...more });
      this.y += high;
    }
  }

  private cover(): void {
    this.turn();
    const { title, facts } = this.report;
    this.y = 70;
    this.lines(WORDS.title, 4.2, PAGE.left, WIDE, { colour: SOFT });
    this.y += 2;
    this.lines(title, 10, PAGE.left, WIDE, { weight: 'strong' });
    this.y += 8;
    this.rule(this.y, INK, 0.5);
    this.y += 6;
    this.facts(facts);
  }

  private facts(facts: readonly (readonly [string, string])[]): void {
    const wide = 42;
    for (const [name, value] of facts) {
      this.need(LEADING * SIZE.words);
      this.text(name, PAGE.left, this.y + (LEADING * SIZE.words) / 2, { colour: SOFT });
      this.lines(value, SIZE.words, PAGE.left + wide, WIDE - wide);
      this.y += 0.8;
    }
    this.y += 3;
  }

  private block(block: Block, next: Block | undefined): void {
    switch (block.is) {
      case 'heading':
        return this.heading(block.level, block.text, next);
      case 'words':
        // What leads to a formula stands on its page.
        if (next?.is === 'formula')
          this.need(2 * LEADING * SIZE.words + (formulaPicture(next.tex, SIZE.words, WIDE, INK)?.size.height ?? 0));
        this.lines(block.text, SIZE.words);
        this.y += 2.5;
        return;
      case 'formula': {
        const picture = formulaPicture(block.tex, SIZE.words, WIDE, INK);
        if (!picture) this.lines(block.plain, SIZE.words);
        else {
          this.need(picture.size.height + 3);
          picture.paint(moved(this.painter, PAGE.left, this.y));
          this.y += picture.size.height;
        }
        this.y += 3;
        return;
      }
      case 'list':
        for (const item of block.items) this.lines(item, SIZE.words);
        this.y += 2.5;
        return;
      case 'facts':
        return this.facts(block.facts);
      case 'figure': {
        const { figure, caption } = block;
        const high = figure.size.height + LEADING * SIZE.table + 4;
        this.need(high);
        paintFigure(figure, { x: PAGE.left, y: this.y }, this.painter);
        this.y += figure.size.height;
        this.lines(caption, SIZE.table, PAGE.left, WIDE, { colour: SOFT });
        this.y += 4;
        return;
      }
      case 'picture': {
        const { picture, caption } = block;
        this.need(picture.size.height + LEADING * SIZE.table + 4);
        picture.paint(moved(this.painter, PAGE.left, this.y));
        this.y += picture.size.height;
        this.lines(caption, SIZE.table, PAGE.left, WIDE, { colour: SOFT });
        this.y += 4;
        return;
      }
      case 'image':
        return this.image(block.image);
      case 'card':
        return this.card(block);
      case 'table':
        return this.table(block.table);
      case 'listing':
        for (const line of block.text.split('\n')) this.lines(line, SIZE.listing);
    }
  }

  /** As wide as the page, or as high as half of one. */
  private image({ image, width, height, caption = '' }: ReportPicture): void {
    const scale = Math.min(WIDE / width, HIGHEST_IMAGE / height, 1 / DOTS);
    const size = { width: scale * width, height: scale * height };
    this.need(size.height + (caption === '' ? 0 : LEADING * SIZE.table) + 4);
    this.painter.image({ image, x: PAGE.left, y: this.y, ...size });
    this.y += size.height + 1;
    if (caption !== '') this.lines(caption, SIZE.table, PAGE.left, WIDE, { colour: SOFT });
    this.y += 4;
  }

  /** A picture, and beside it a title with facts; nothing of it is divided. */
  private card({ title, picture, facts }: Extract<Block, { readonly is: 'card' }>): void {
    const high = LEADING * SIZE.table;
    const { width, height } = picture?.size ?? { width: 0, height: 0 };
    const told = LEADING * SIZE.words + high * facts.length;
    this.need(Math.max(height, told) + 3);
    picture?.paint(moved(this.painter, PAGE.left, this.y));
    const left = PAGE.left + (picture ? width + 6 : 0);
    const wide = SIZE.table * facts.reduce((most, [name]) => Math.max(most, this.family.widthOf(name, 'regular')), 0) + 5;
    let y = this.y + Math.max(0, (height - told) / 2) + (LEADING * SIZE.words) / 2;
    this.text(title, left, y, { weight: 'strong' });
    y += LEADING * SIZE.words;
    for (const [name, value] of facts) {
      this.text(name, left, y, { size: SIZE.table, colour: SOFT });
      this.text(value, left + wide, y, { size: SIZE.table });
      y += high;
    }
    this.y += Math.max(height, told) + 3;
  }

  /** A chapter begins a page; a heading never stands alone at its foot. */
  private heading(level: 1 | 2, text: string, next: Block | undefined): void {
    const below =
      next?.is === 'figure' ? next.figure.size.height + 12 : next?.is === 'picture' ? next.picture.size.height + 12 : KEPT;
    if (level === 1) {
      this.chapter = text;
      this.turn();
    } else {
      this.y += 3;
      this.need(LEADING * SIZE[2] + 2 + below);
    }
    this.entries.push({ level, text, page: this.page });
    this.lines(text, SIZE[level], PAGE.left, WIDE, { weight: 'strong' });
    this.y += level === 1 ? 4 : 2;
  }

  /** A table whose head stands on each page that it goes over; one that is narrow stands in columns beside each other. */
  private table({ title, columns, rows }: Table<never>): void {
    const { widthOf } = this.family;
    const size = SIZE.table;
    const high = LEADING * size;
    const cells = rows.map((row) => columns.map((column) => cellWords(column, row)));
    const isNumber = columns.map((column) => rows.some((row) => !['string', 'undefined'].includes(typeof column.value(row))));
    const asked = columns.map(({ title: name, unit }, c) => {
      const texts = [
        widthOf(name, 'strong'),
        widthOf(withPowers(unit ?? ''), 'regular'),
        ...cells.map((row) => widthOf(row[c]!, 'regular')),
      ];
      return size * texts.reduce((most, one) => Math.max(most, one), 0) + 0.1;
    });
    const widths = columnWidths(asked, WIDE);
    const starts = widths.map((_, c) => PAGE.left + widths.slice(0, c).reduce((sum, one) => sum + one + columnGap, 0));
    const whole = starts.at(-1)! + widths.at(-1)! - PAGE.left;
    const across = rows.length < LONG ? 1 : Math.max(1, Math.floor((WIDE + BETWEEN) / (whole + BETWEEN)));
    const wrapped = (texts: readonly string[], weight: Weight): Wrapped =>
      texts.map((text, c) => linesOf(text, widths[c]!, size, widthOf, weight));
    const put = (texts: Wrapped, right: number, more: Partial<PaperText>): void => {
      texts.forEach((lines, c) =>
        lines.forEach((line, i) =>
          this.text(line, right + (isNumber[c] ? starts[c]! + widths[c]! : starts[c]!), this.y + high * (i + 0.5), {
            size,
            at: isNumber[c] ? 'end' : 'start',
            ...more,
          }),
        ),
      );
      this.y += high * heightOf(texts);
    };
    const names = wrapped(columns.map((column) => column.title), 'strong'); // oxfmt-ignore
    const units = wrapped(columns.map(({ unit }) => withPowers(unit ?? '')), 'regular'); // oxfmt-ignore
    const hasUnits = columns.some(({ unit }) => unit !== undefined && unit !== '');
    const head = (right: number): void => {
      put(names, right, { weight: 'strong' });
      if (hasUnits) put(units, right, { colour: SOFT });
      this.y += 0.6;
      this.rule(this.y, RULE, 0.18, across === 1 ? [0, WIDE] : [right, whole]);
      this.y += 0.8;
    };
    const headHeight = high * (heightOf(names) + 2) + 2;
    // What is higher than a page goes on on the next.
    const most = Math.floor((LOWEST - PAGE.top - headHeight) / high) - 1;
    const all = cells.flatMap((row) => slicesOf(wrapped(row, 'regular'), most));
    this.need(headHeight + 3 * high);
    for (let i = 0, words = title; i < all.length; words = title === '' ? '' : `${title}, ${WORDS.continued}`) {
      if (i > 0) this.turn();
      if (words !== '') this.lines(words, size, PAGE.left, WIDE, { weight: 'strong', colour: SOFT });
      const top = this.y;
      const each = Math.ceil((all.length - i) / across);
      let lowest = top;
      for (let c = 0; c < across && i < all.length; c++) {
        const right = c * (whole + BETWEEN);
        this.y = top;
        head(right);
        for (let n = 0; n < each && i < all.length; n++, i++) {
          if (n > 0 && this.y + high * heightOf(all[i]!) > LOWEST) break;
          put(all[i]!, right, {});
        }
        lowest = Math.max(lowest, this.y);
      }
      this.y = lowest;
    }
    this.y += 5;
  }

  /** On the pages that were kept for it. */
  private contents(first: number, pages: number): void {
    for (let i = 0; i < pages; i++) {
      this.pages.goBackTo(first - 1 + i);
      this.y = PAGE.top;
      if (i === 0) {
        this.text(WORDS.contents, PAGE.left, this.y + 4, { size: SIZE[1], weight: 'strong' });
        this.y += 13;
      }
      for (const { level, text, page } of this.entries.slice(i * ENTRIES, (i + 1) * ENTRIES)) {
        const high = LEADING * SIZE.words;
        const indent = level === 1 ? 0 : 6;
        const weight = level === 1 ? 'strong' : 'regular';
        const [line = ''] = linesOf(text, WIDE - 20, SIZE.words, this.family.widthOf, weight);
        this.text(line, PAGE.left + indent, this.y + high / 2, { weight });
        this.text(String(page), PAGE.left + WIDE, this.y + high / 2, { at: 'end', weight });
        this.y += high;
      }
    }
  }

  /** What runs along the edges of each page but the cover, once it is known how many there are. */
  private edges(): void {
    const { title, facts } = this.report;
    const left = [title, ...facts.filter(([name]) => name === WORDS.facts.number || name === WORDS.facts.revision).map(([, value]) => value)].join(' · '); // oxfmt-ignore
    for (let page = 2; page <= this.page; page++) {
      this.pages.goBackTo(page - 1);
      this.text(left, PAGE.left, 12, { size: SIZE.edge, colour: SOFT });
      this.text(this.heads[page] ?? '', PAGE.left + WIDE, 12, { size: SIZE.edge, colour: SOFT, at: 'end' });
      this.rule(15);
      this.text(WORDS.page(page, this.page), PAGE.left + WIDE, PAGE.height - 11, { size: SIZE.edge, colour: SOFT, at: 'end' });
    }
  }
}

/** Entries of the contents on a page. */
const ENTRIES = 46;
/** Rows from which a narrow table stands in columns, and millimetres between these. */
const LONG = 16;
const BETWEEN = 12;

/** The lines of each cell of a row. */
type Wrapped = readonly (readonly string[])[];
const heightOf = (texts: Wrapped): number => Math.max(1, ...texts.map(({ length }) => length));

/** A row of no more lines than some, or several of them, one under the other. */
function slicesOf(texts: Wrapped, most: number): Wrapped[] {
  const count = Math.ceil(heightOf(texts) / most);
  return Array.from({ length: count }, (_, k) => texts.map((lines) => lines.slice(k * most, (k + 1) * most)));
}
