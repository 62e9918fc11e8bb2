import { screenX, screenY, type Camera } from './camera';
import { VERTEX, type DisplayList, type Ink } from './display-list';
import { placeLabels, roughMeasure, TEXT_HEIGHT } from './place-labels';

/** The colour of each ink; in a page these are variables of the theme. */
export type Palette = (ink: Ink) => string;

const round = (x: number): string => String(Math.round(x * 10) / 10);
const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** The inner markup of an SVG of the camera's size: for thumbnails, print and export. */
export function svgMarkup(list: DisplayList, camera: Camera, palette: Palette): string {
  const paths = list.flatMap((item) => {
    if (item.kind !== 'path') return [];
    let outline = '';
    const part = (item.parts ?? Infinity) * VERTEX;
    for (let i = 0; i < item.vertices.length; i += VERTEX) {
      const begins = i === 0 || i % part === 0;
      outline += `${begins ? (i > 0 && item.closed ? 'ZM' : 'M') : 'L'}${round(screenX(camera, item.vertices[i]!) + item.vertices[i + 2]!)} ${round(screenY(camera, item.vertices[i + 1]!) - item.vertices[i + 3]!)}`;
    }
    const fill = item.fill ? palette(item.fill) : 'none';
    const stroke = item.stroke ? ` stroke="${palette(item.stroke)}" stroke-width="${item.width ?? 1}"` : '';
    const dash = item.dash ? ` stroke-dasharray="${item.dash.join(' ')}"` : '';
    const opacity = item.opacity === undefined ? '' : ` opacity="${item.opacity}"`;
    return [`<path d="${outline}${item.closed ? 'Z' : ''}" fill="${fill}"${stroke}${dash}${opacity}/>`];
  });
  const texts = placeLabels(list, camera, roughMeasure).map(({ label, left, top, width, height, angle, leader }) => {
    const [x, y] = [round(left + width / 2), round(top + height / 2)];
    const turn = angle === 0 ? '' : ` transform="rotate(${round((angle * 180) / Math.PI)} ${x} ${y})"`;
    const weight = label.role === 'extreme' ? ' font-weight="600"' : '';
    const line = leader
      ? `<path d="M${leader.slice(0, 2).map(round).join(' ')}L${leader.slice(2).map(round).join(' ')}" stroke="${palette(label.ink)}" stroke-width="0.8" opacity="0.6"/>`
      : '';
    return `${line}<text x="${x}" y="${y}" dy="0.36em" font-size="${TEXT_HEIGHT[label.role]}"${weight} text-anchor="middle" fill="${palette(label.ink)}"${turn}>${escape(label.text)}</text>`;
  });
  return [...paths, ...texts].join('');
}
