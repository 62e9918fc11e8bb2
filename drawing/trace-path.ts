import { screenX, screenY, type Camera } from './camera';
import { VERTEX, type Path } from './display-list';

/** What draws a line: a canvas, the text of an SVG, a page of a document. Pixels of the camera, x to the right, y down. */
export interface Pen {
  readonly moveTo: (x: number, y: number) => void;
  readonly lineTo: (x: number, y: number) => void;
  readonly closePath: () => void;
}

/** Draws the lines of a path, each of its parts for itself. */
export function tracePath({ vertices, parts, starts, closed }: Path, camera: Camera, pen: Pen): void {
  const count = vertices.length / VERTEX;
  let begins = 0;
  for (let v = 0, line = 0; v < count; v++) {
    const i = v * VERTEX;
    const x = screenX(camera, vertices[i]!) + vertices[i + 2]!;
    const y = screenY(camera, vertices[i + 1]!) - vertices[i + 3]!;
    if (v !== begins) {
      pen.lineTo(x, y);
      continue;
    }
    if (closed && v > 0) pen.closePath();
    pen.moveTo(x, y);
    begins = nextStart(v, line++, parts, starts);
  }
  if (closed) pen.closePath();
}

/** The vertex with which the line behind one begins. */
export const nextStart = (begins: number, line: number, parts: Path['parts'], starts: Path['starts']): number =>
  parts !== undefined ? begins + parts : (starts?.[line] ?? Infinity);
