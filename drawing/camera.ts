/** A look straight at the X–Y plane: the world point in the middle of the view, and how many pixels a metre takes. */
export interface Camera {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
  readonly width: number;
  readonly height: number;
}

export interface Box {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

export const screenX = (camera: Camera, x: number): number => camera.width / 2 + (x - camera.x) * camera.scale;
export const screenY = (camera: Camera, y: number): number => camera.height / 2 - (y - camera.y) * camera.scale;
export const worldX = (camera: Camera, px: number): number => camera.x + (px - camera.width / 2) / camera.scale;
export const worldY = (camera: Camera, py: number): number => camera.y - (py - camera.height / 2) / camera.scale;

/** The box around points, or undefined without any. */
export function boundsOf(points: Iterable<{ readonly x: number; readonly y: number }>): Box | undefined {
  let box: Box | undefined;
  for (const { x, y } of points) {
    box = box
      ? { left: Math.min(box.left, x), right: Math.max(box.right, x), bottom: Math.min(box.bottom, y), top: Math.max(box.top, y) }
      : { left: x, right: x, bottom: y, top: y };
  }
  return box;
}

/** Space kept free around the structure, in pixels, for dimensions, symbols and the title block. */
export interface Margins {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** The camera that shows `box` as large as the margins allow. */
export function fit(box: Box, width: number, height: number, margins: Margins): Camera {
  const w = Math.max(width - margins.left - margins.right, 40);
  const h = Math.max(height - margins.top - margins.bottom, 40);
  const size = Math.max(box.right - box.left, box.top - box.bottom, 1e-3);
  const scale = Math.min(w / Math.max(box.right - box.left, size * 0.05), h / Math.max(box.top - box.bottom, size * 0.05));
  const x = (box.left + box.right) / 2 + (margins.right - margins.left) / 2 / scale;
  const y = (box.bottom + box.top) / 2 - (margins.bottom - margins.top) / 2 / scale;
  return { x, y, scale, width, height };
}

/** The camera after zooming by `factor` with the world point under (px, py) staying where it is. */
export function zoomAt(camera: Camera, px: number, py: number, factor: number): Camera {
  const scale = Math.min(Math.max(camera.scale * factor, 1e-3), 1e6);
  const [x, y] = [worldX(camera, px), worldY(camera, py)];
  const moved = { ...camera, scale };
  return { ...moved, x: camera.x + x - worldX(moved, px), y: camera.y + y - worldY(moved, py) };
}
