import { create, type Font } from 'fontkit';
import type { Weight } from './painter';

/** The files of a type family by weight, first the one that is asked first: a letter is taken from the first that has it. */
export type FontFiles = Readonly<Record<Weight, readonly Uint8Array[]>>;

/** Which files make up the shipped family: its own letters, Greek ones of its wider sister, and whatever else there is. */
export const FONT_PATHS: Readonly<Record<Weight, readonly string[]>> = {
  regular: [
    '@fontsource/ibm-plex-sans-condensed/files/ibm-plex-sans-condensed-latin-400-normal.woff',
    '@fontsource/ibm-plex-sans-condensed/files/ibm-plex-sans-condensed-latin-ext-400-normal.woff',
    '@fontsource/ibm-plex-sans/files/ibm-plex-sans-greek-400-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf',
  ],
  strong: [
    '@fontsource/ibm-plex-sans-condensed/files/ibm-plex-sans-condensed-latin-600-normal.woff',
    '@fontsource/ibm-plex-sans-condensed/files/ibm-plex-sans-condensed-latin-ext-600-normal.woff',
    '@fontsource/ibm-plex-sans/files/ibm-plex-sans-greek-600-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf',
  ],
};

/** A part of a text whose letters stand in one file; its width where letters are 1 high. */
export interface TextRun {
  readonly text: string;
  readonly font: number;
  readonly width: number;
}

/** Texts whose widths are kept. */
const KEPT = 20_000;

/** The letters that a sheet is written in: how wide they are, and their outlines. */
export class TypeFamily {
  private readonly fonts: Readonly<Record<Weight, readonly Font[]>>;
  private readonly known = new Map<string, readonly TextRun[]>();

  constructor(readonly files: FontFiles) {
    const opened = (files: readonly Uint8Array[]): Font[] => files.map((file) => create(file as Buffer) as Font);
    this.fonts = { regular: opened(files.regular), strong: opened(files.strong) };
  }

  /** Width of a text whose letters are 1 high. */
  readonly widthOf = (text: string, weight: Weight): number =>
    this.runsOf(text, weight).reduce((sum, { width }) => sum + width, 0);

  /** A text by the files that have its letters. */
  runsOf(text: string, weight: Weight): readonly TextRun[] {
    const key = `${weight} ${text}`;
    let runs = this.known.get(key);
    if (!runs) {
      // Words come again and again, whole lines seldom do.
      if (this.known.size >= KEPT) this.known.clear();
      this.known.set(key, (runs = this.split(text, weight)));
    }
    return runs;
  }

  private split(text: string, weight: Weight): readonly TextRun[] {
    const fonts = this.fonts[weight];
    const parts: { text: string; font: number }[] = [];
    for (const letter of text) {
      // What none of them has is shown as missing by the first.
      const font = Math.max(
        0,
        fonts.findIndex((one) => one.hasGlyphForCodePoint(letter.codePointAt(0)!)),
      );
      const last = parts.at(-1);
      if (last?.font === font) last.text += letter;
      else parts.push({ text: letter, font });
    }
    return parts.map((part) => {
      const font = fonts[part.font]!;
      return { ...part, width: font.layout(part.text).advanceWidth / font.unitsPerEm };
    });
  }

  /** The outline of a text whose letters are `size` high and that begins at x on the line y, as the path of an SVG. */
  outlineOf(text: string, weight: Weight, size: number, x: number, y: number): string {
    let [outline, at] = ['', x];
    for (const { text: part, font, width } of this.runsOf(text, weight)) {
      const found = this.fonts[weight][font]!;
      const scale = size / found.unitsPerEm;
      const { glyphs, positions } = found.layout(part);
      let pen = at;
      glyphs.forEach((glyph, i) => {
        const { xAdvance, xOffset, yOffset } = positions[i]!;
        for (const { command, args } of glyph.path.commands) {
          const points = args.map((value, k) => (k % 2 === 0 ? pen + scale * (xOffset + value) : y - scale * (yOffset + value)));
          outline += LETTER[command] + points.map(inMicrons).join(' ');
        }
        pen += scale * xAdvance;
      });
      at += size * width;
    }
    return outline;
  }
}

/** The shipped family, by whatever reads the files of packages. */
export async function familyFrom(read: (file: string) => Promise<Uint8Array>): Promise<TypeFamily> {
  const files = (weight: Weight): Promise<Uint8Array[]> => Promise.all(FONT_PATHS[weight].map(read));
  return new TypeFamily({ regular: await files('regular'), strong: await files('strong') });
}

const LETTER = { moveTo: 'M', lineTo: 'L', quadraticCurveTo: 'Q', bezierCurveTo: 'C', closePath: 'Z' } as const;
const inMicrons = (value: number): string => String(Math.round(value * 1000) / 1000);
