import type { Underlay } from '@rigid-beam/core/model/model';
import type { Point } from '@rigid-beam/core/model/point';
import { worldX, worldY, type Camera } from '@rigid-beam/drawing/camera';
import { onWorkPlane, type Projection, type WorkPlane } from '@rigid-beam/drawing/projection';
import { inkNear } from './ink';
import { inkLevels, inkOf, type InkMap } from './ink-map';
import { pixelOfPoint, planeOf, pointOfPixel } from './placing';
import { loaded } from './read-picture';
import { trace as WORDS } from './words';

let map: { readonly image: string; readonly ink?: readonly InkMap[] } | undefined;

/** Begins to look for the lines of a picture, so that the first click on it meets them. */
export const prepareTrace = (image: string): void => void linesOf(image);

/** The lines of a picture, once they are found; the first question for another picture begins to look for them. */
function linesOf(image: string): readonly InkMap[] | undefined {
  if (map?.image === image) return map.ink;
  map = { image };
  loaded(image).then(
    (picture) => {
      if (map?.image !== image) return;
      const canvas = document.createElement('canvas');
      canvas.width = picture.naturalWidth;
      canvas.height = picture.naturalHeight;
      const context = canvas.getContext('2d', { willReadFrequently: true })!;
      context.drawImage(picture, 0, 0);
      const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
      map = { image, ink: inkLevels(inkOf(data, canvas.width, canvas.height)) };
    },
    // A picture that cannot be read has no lines; that it cannot is said where it is put.
    () => undefined,
  );
  return undefined;
}

export interface TraceRequest {
  readonly underlay: Underlay | undefined;
  readonly projection: Projection;
  readonly camera: Camera;
  readonly px: number;
  readonly py: number;
  /** The plane one draws on; a picture in another one is not traced. */
  readonly plane: WorkPlane;
  /** Pixels of the sheet. */
  readonly reach: number;
}

/** The corner or line of the picture behind that the pointer means, in space and to the millimetre. */
export function traced(request: TraceRequest): { at: Point; words: string } | undefined {
  const { underlay, projection, camera, plane, reach } = request;
  if (!underlay || (underlay.strength ?? 0.5) === 0) return undefined;
  const own = planeOf(underlay);
  if (plane.tilted || own.axis !== plane.axis || Math.abs(own.at - plane.at) > 1e-9) return undefined;
  const at = onWorkPlane(projection, own, worldX(camera, request.px), worldY(camera, request.py));
  const ink = linesOf(underlay.image);
  if (!at || !ink) return undefined;
  const [x, y] = pixelOfPoint(underlay, at);
  // The image may have more or fewer pixels than its file says.
  const factor = ink[0]!.width / underlay.width;
  const found = inkNear(ink, x * factor, y * factor, (reach / camera.scale / underlay.metresPerPixel) * factor);
  if (!found) return undefined;
  const place = pointOfPixel(underlay, found.x / factor, found.y / factor);
  const k = { x: 0, y: 1, z: 2 }[own.axis];
  return {
    at: place.map((part, i) => (i === k ? part : Number(part.toFixed(3)) + 0)) as unknown as Point,
    words: WORDS.ofTheUnderlay(found.kind),
  };
}
