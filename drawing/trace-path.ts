import { screenX, screenY, type Camera } from './camera';
import { VERTEX, type Path } from './display-list';

/** What draws a line: a canvas, the text of an SVG, a page of a document. Pixels of the camera, x to the right, y down. */
export interface Pen {
  readonly moveTo: (x: number, y: number) => void;
  readonly lineTo: (x: number, y: number) => void;
  readonly closePath: () => void;
}

/** Draws the lines of a path, each of its parts for itself. */
export function tracePath({ vertices, parts, closed }: Path, camera: Camera, pen: Pen): void {
  const part = (parts ?? Infinity) * VERTEX;
  for (let i = 0; i < vertices.length; i += VERTEX) {
    const x = screenX(camera, vertices[i]!) + vertices[i + 2]!;
    const y = screenY(camera, vertices[i + 1]!) - vertices[i + 3]!;
    if (i > 0 && i % part !== 0) {
      pen.lineTo(x, y);
      continue;
    }
    if (closed && i > 0) pen.closePath();
    pen.moveTo(x, y);
  }
  if (closed) pen.closePath();
}
