import type { Pen } from '../trace-path';
import type { Figure } from './figure';
import { paintFigure, paintSheet } from './paint-sheet';
import { TO_BASELINE, type Painter, type PaperStyle, type PaperText } from './painter';
import type { PaperSheet } from './sheet';
import type { Size } from './sizes';
import type { TypeFamily } from './type-family';

/** Microns are finer than any plotter. */
const round = (millimetres: number): string => String(Math.round(millimetres * 1000) / 1000);
export const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** Letters that stay text, with the family in the file, or their outlines, for what has no letters of its own. */
export type Letters = 'text' | 'outlines';

/** A sheet as an SVG file, in millimetres. */
export function svgFile(sheet: PaperSheet, family: TypeFamily, letters: Letters = 'text'): string {
  const parts: string[] = [];
  paintSheet(
    sheet,
    svgPainter(family, letters, (part) => parts.push(part)),
    family.widthOf,
  );
  return svgPage(sheet.size, parts, letters === 'text' ? `<style>${familyStyle(family)}</style>` : '');
}

/** A page of these parts as an SVG file, in millimetres. */
export const svgPage = ({ width, height }: Size, parts: readonly string[], style = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">` +
  `${style}<rect width="${width}" height="${height}" fill="#ffffff"/>${parts.join('')}</svg>`;

/** A figure as an SVG within a page, whose letters are the page's. */
export const svgFigure = (figure: Figure, family: TypeFamily): string =>
  svgPicture(figure.size, (painter) => paintFigure(figure, { x: 0, y: 0 }, painter), family);

/** What is painted from its upper left corner on as an SVG within a page, whose letters are the page's. */
export function svgPicture({ width, height }: Size, paint: (painter: Painter) => void, family: TypeFamily): string {
  const parts: string[] = [];
  paint(svgPainter(family, 'text', (part) => parts.push(part)));
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${round(height)}mm" viewBox="0 0 ${round(width)} ${round(height)}">${parts.join('')}</svg>`;
}

/** Puts lines and texts into parts of an SVG. */
export function svgPainter(family: TypeFamily, letters: Letters, write: (part: string) => void): Painter {
  return {
    path: (trace, style) => {
      let outline = '';
      const pen: Pen = {
        moveTo: (x, y) => void (outline += `M${round(x)} ${round(y)}`),
        lineTo: (x, y) => void (outline += `L${round(x)} ${round(y)}`),
        closePath: () => void (outline += 'Z'),
      };
      trace(pen);
      write(`<path d="${outline}"${styled(style)}/>`);
    },
    image: ({ image, x, y, width, height }) =>
      write(
        `<image href="${escaped(image)}" x="${round(x)}" y="${round(y)}" width="${round(width)}" height="${round(height)}" preserveAspectRatio="none"/>`,
      ),
    // Letters that are not in the file's own family are drawn.
    text: (text) => write(letters === 'text' && isOwn(text, family) ? writtenText(text) : outlinedText(text, family)),
  };
}

function styled({ stroke, width, dash, fill, opacity }: PaperStyle): string {
  const line = stroke === undefined ? '' : ` stroke="${stroke}" stroke-width="${round(width ?? 0)}" stroke-linejoin="round"`;
  const dashes = dash ? ` stroke-dasharray="${dash.map(round).join(' ')}"` : '';
  return ` fill="${fill ?? 'none'}"${line}${dashes}${opacity === undefined ? '' : ` opacity="${opacity}"`}`;
}

const isOwn = ({ text, weight }: PaperText, family: TypeFamily): boolean =>
  family.runsOf(text, weight).every(({ font }) => font === 0);

const turned = ({ angle, x, y }: PaperText): string =>
  angle === undefined ? '' : ` transform="rotate(${round((angle * 180) / Math.PI)} ${round(x)} ${round(y)})"`;

function writtenText(text: PaperText): string {
  const anchor = text.at === 'start' ? '' : ` text-anchor="${text.at}"`;
  const weight = text.weight === 'strong' ? ' font-weight="600"' : '';
  const y = text.y + TO_BASELINE * text.size;
  return `<text x="${round(text.x)}" y="${round(y)}" font-size="${round(text.size)}"${weight}${anchor} fill="${text.colour}"${turned(text)}>${escaped(text.text)}</text>`;
}

function outlinedText(text: PaperText, family: TypeFamily): string {
  const start = startOf(text, family);
  const outline = family.outlineOf(text.text, text.weight, text.size, start, text.y + TO_BASELINE * text.size);
  return `<path d="${outline}" fill="${text.colour}"${turned(text)}/>`;
}

/** Where a text begins, millimetres from the left before it is turned. */
export function startOf({ text, weight, size, at, x }: PaperText, family: TypeFamily): number {
  const width = size * family.widthOf(text, weight);
  return at === 'start' ? x : at === 'middle' ? x - width / 2 : x - width;
}

/** The family's own letters within the file, so that it reads the same wherever it is opened. */
export function familyStyle({ files }: TypeFamily): string {
  const faces = (['regular', 'strong'] as const).map((weight) => {
    const address = `url(data:font/woff;base64,${base64(files[weight][0]!)})`;
    return `@font-face{font-family:Sheet;font-weight:${weight === 'strong' ? 600 : 400};src:${address}}`;
  });
  return `${faces.join('')}text{font-family:Sheet,'IBM Plex Sans Condensed','DejaVu Sans Condensed',sans-serif}`;
}

const base64 = (bytes: Uint8Array): string => {
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text);
};
