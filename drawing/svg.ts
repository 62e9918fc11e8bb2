import type { Camera } from './camera';
import type { DisplayList, Ink } from './display-list';
import { placeLabels, roughMeasure, TEXT_HEIGHT, type Measure } from './place-labels';
import { tracePath, type Pen } from './trace-path';
import { pathRuns } from './path-runs';

/** The colour of each ink; in a page these are variables of the theme. */
export type Palette = (ink: Ink) => string;

const round = (x: number): string => String(Math.round(x * 10) / 10);
const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** Writes the outlines of an SVG. */
function svgPen(): Pen & { readonly text: () => string } {
  let outline = '';
  return {
    moveTo: (x, y) => void (outline += `M${round(x)} ${round(y)}`),
    lineTo: (x, y) => void (outline += `L${round(x)} ${round(y)}`),
    closePath: () => void (outline += 'Z'),
    text: () => outline,
  };
}

/** The inner markup of an SVG of the camera's size: for thumbnails, print and export. `measure`: of the letters that it will be shown in. */
export function svgMarkup(list: DisplayList, camera: Camera, palette: Palette, measure: Measure = roughMeasure): string {
  const paths = pathRuns(list).map((run) => {
    const item = run[0]!;
    const pen = svgPen();
    for (const one of run) tracePath(one, camera, pen);
    const fill = item.fill ? palette(item.fill) : 'none';
    const stroke = item.stroke ? ` stroke="${palette(item.stroke)}" stroke-width="${item.width ?? 1}"` : '';
    const dash = item.dash ? ` stroke-dasharray="${item.dash.join(' ')}"` : '';
    const opacity = item.opacity === undefined ? '' : ` opacity="${item.opacity}"`;
    return `<path d="${pen.text()}" fill="${fill}"${stroke}${dash}${opacity}/>`;
  });
  const texts = placeLabels(list, camera, measure).map(({ label, left, top, width, height, angle, leader }) => {
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
