import { screenX, screenY, type Camera } from './camera';
import { VERTEX, type DisplayList, type Ink, type Path } from './display-list';
import { placeLabels, roughMeasure, TEXT_HEIGHT } from './place-labels';
import { sameStyle } from './same-style';

/** The colour of each ink; in a page these are variables of the theme. */
export type Palette = (ink: Ink) => string;

const round = (x: number): string => String(Math.round(x * 10) / 10);
const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** Paths that follow each other in the same style: a browser looks at each element of a page in every frame. */
function runsOf(list: DisplayList): readonly (readonly Path[])[] {
  const runs: Path[][] = [];
  for (const item of list) {
    if (item.kind !== 'path') continue;
    const run = runs.at(-1);
    if (run && sameStyle(run[0]!, item)) run.push(item);
    else runs.push([item]);
  }
  return runs;
}

function outlineOf({ vertices, parts, closed }: Path, camera: Camera): string {
  let outline = '';
  const part = (parts ?? Infinity) * VERTEX;
  for (let i = 0; i < vertices.length; i += VERTEX) {
    const begins = i === 0 || i % part === 0;
    outline += `${begins ? (i > 0 && closed ? 'ZM' : 'M') : 'L'}${round(screenX(camera, vertices[i]!) + vertices[i + 2]!)} ${round(screenY(camera, vertices[i + 1]!) - vertices[i + 3]!)}`;
  }
  return closed ? `${outline}Z` : outline;
}

/** The inner markup of an SVG of the camera's size: for thumbnails, print and export. */
export function svgMarkup(list: DisplayList, camera: Camera, palette: Palette): string {
  const paths = runsOf(list).map((run) => {
    const item = run[0]!;
    const outline = run.map((one) => outlineOf(one, camera)).join('');
    const fill = item.fill ? palette(item.fill) : 'none';
    const stroke = item.stroke ? ` stroke="${palette(item.stroke)}" stroke-width="${item.width ?? 1}"` : '';
    const dash = item.dash ? ` stroke-dasharray="${item.dash.join(' ')}"` : '';
    const opacity = item.opacity === undefined ? '' : ` opacity="${item.opacity}"`;
    return `<path d="${outline}" fill="${fill}"${stroke}${dash}${opacity}/>`;
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
