import { screenX, screenY, type Camera } from '@rigid-beam/drawing/camera';
import { VERTEX, type DisplayList, type Ink, type LabelRole, type Path } from '@rigid-beam/drawing/display-list';
import { tracePath } from '@rigid-beam/drawing/trace-path';
import { sameStyle } from '@rigid-beam/drawing/same-style';
import { TEXT_HEIGHT, type Measure, type PlacedLabel } from '@rigid-beam/drawing/place-labels';

export type Palette = (ink: Ink) => string;

const FAMILY = "'IBM Plex Sans Condensed', 'IBM Plex Sans', sans-serif";
const fontOf = (role: LabelRole): string => `${role === 'extreme' ? 600 : 400} ${TEXT_HEIGHT[role]}px ${FAMILY}`;

/** The inks of the theme in force, read from the page's variables once. */
export function readPalette(element: Element): Palette {
  const style = getComputedStyle(element);
  const known = new Map<Ink, string>();
  return (ink) => {
    let colour = known.get(ink);
    if (colour === undefined) {
      colour = style.getPropertyValue(`--draw-${ink}`).trim();
      known.set(ink, colour);
    }
    return colour;
  };
}

/** Measures texts with the canvas's own fonts, each text once. */
export function canvasMeasure(context: CanvasRenderingContext2D): Measure {
  const known = new Map<string, number>();
  return (text, role) => {
    const key = `${role} ${text}`;
    let width = known.get(key);
    if (width === undefined) {
      context.font = fontOf(role);
      width = context.measureText(text).width;
      known.set(key, width);
    }
    return width;
  };
}

/** What is painted on, in which inks; `ratio`: device pixels to one of ours. */
export interface Canvas {
  readonly context: CanvasRenderingContext2D;
  readonly palette: Palette;
  readonly ratio: number;
}

/** Paints the paper, what lies under the drawing and lists from back to front, then the texts. */
export function paint(
  { context, palette, ratio }: Canvas,
  lists: readonly DisplayList[],
  placed: readonly PlacedLabel[],
  camera: Camera,
  { picture, solids, layer }: Under = {},
): void {
  context.setTransform(ratio, 0, 0, ratio, 0, 0);
  context.fillStyle = palette('paper');
  context.fillRect(0, 0, camera.width, camera.height);
  if (picture) paintPicture(context, picture);
  if (!solids) return paintLists({ context, palette, ratio }, lists, placed, camera, layer);
  // Bodies stand on the paper with its grid, and under everything else.
  paintLists({ context, palette, ratio }, lists.slice(0, 1), [], camera);
  context.drawImage(solids, 0, 0, camera.width, camera.height);
  paintLists({ context, palette, ratio }, lists.slice(1), placed, camera, layer);
}

/** What lies under the lines of the drawing. */
export interface Under {
  readonly picture?: PaintedPicture | undefined;
  readonly solids?: CanvasImageSource | undefined;
  readonly layer?: Layer | undefined;
}

/** A list as it was painted already, over the whole canvas. */
export interface Layer {
  readonly of: DisplayList;
  readonly image: CanvasImageSource;
}

/** Lists and texts over what is painted already. */
export function paintLists(
  { context, palette, ratio }: Canvas,
  lists: readonly DisplayList[],
  placed: readonly PlacedLabel[],
  camera: Camera,
  layer?: Layer,
): void {
  context.setTransform(ratio, 0, 0, ratio, 0, 0);
  context.lineJoin = 'round';
  context.lineCap = 'butt';
  for (const list of lists)
    if (list !== layer?.of) paintPaths(context, list, camera, palette);
    else {
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.drawImage(layer.image, 0, 0);
      context.setTransform(ratio, 0, 0, ratio, 0, 0);
    }
  context.setLineDash([]);
  paintLabels(context, placed, palette);
}

/** Paths that follow each other in the same style are painted in one go: a large structure has thousands of them. */
function paintPaths(context: CanvasRenderingContext2D, list: DisplayList, camera: Camera, palette: Palette): void {
  let open: Path | undefined;
  let count = 0;
  let inked: Path | undefined;
  const finish = (): void => {
    if (open && inked && sameStyle(open, inked)) again(context, open);
    else if (open) ink(context, open, palette);
    inked = open ?? inked;
    open = undefined;
    count = 0;
  };
  for (const item of list) {
    if (item.kind !== 'path' || isOutside(item, camera)) continue;
    if (!open || count >= MOST_TOGETHER || !sameStyle(open, item)) {
      finish();
      context.beginPath();
      open = item;
    }
    tracePath(item, camera, context);
    count += 1 + (item.starts?.length ?? 0);
  }
  finish();
  context.globalAlpha = 1;
}

/** Without a graphics processor a path of hundreds of lines takes several times as long as the same lines in small paths. */
const MOST_TOGETHER = 10;

/** Whether all of a path lies on one side of the sheet. */
function isOutside({ vertices }: Path, camera: Camera): boolean {
  let [left, right, above, below] = [true, true, true, true];
  for (let i = 0; i < vertices.length; i += VERTEX) {
    const x = screenX(camera, vertices[i]!) + vertices[i + 2]!;
    const y = screenY(camera, vertices[i + 1]!) - vertices[i + 3]!;
    left &&= x < -MARGIN;
    right &&= x > camera.width + MARGIN;
    above &&= y < -MARGIN;
    below &&= y > camera.height + MARGIN;
    if (!left && !right && !above && !below) return false;
  }
  return true;
}

/** Width of the widest line, pixels. */
const MARGIN = 12;

/** A picture with the places of three of its corners on the sheet, pixels. */
export interface PaintedPicture {
  readonly image: HTMLImageElement;
  /** 1 as it is, less lets the paper through. */
  readonly strength: number;
  readonly origin: { readonly x: number; readonly y: number };
  readonly right: { readonly x: number; readonly y: number };
  readonly down: { readonly x: number; readonly y: number };
}

function paintPicture(context: CanvasRenderingContext2D, picture: PaintedPicture): void {
  const { image, strength, origin, right, down } = picture;
  const [w, h] = [image.naturalWidth, image.naturalHeight];
  context.save();
  context.globalAlpha = Math.min(1, strength);
  context.transform(
    (right.x - origin.x) / w,
    (right.y - origin.y) / w,
    (down.x - origin.x) / h,
    (down.y - origin.y) / h,
    origin.x,
    origin.y,
  );
  context.drawImage(image, 0, 0);
  context.restore();
}

function ink(context: CanvasRenderingContext2D, path: Path, palette: Palette): void {
  context.globalAlpha = path.opacity ?? 1;
  if (path.fill) {
    context.fillStyle = palette(path.fill);
    context.fill();
  }
  if (path.stroke) {
    context.strokeStyle = palette(path.stroke);
    context.lineWidth = path.width ?? 1;
    context.setLineDash(path.dash ? [...path.dash] : []);
    context.stroke();
  }
}

/** As the last one. */
function again(context: CanvasRenderingContext2D, path: Path): void {
  if (path.fill) context.fill();
  if (path.stroke) context.stroke();
}

function paintLabels(context: CanvasRenderingContext2D, placed: readonly PlacedLabel[], palette: Palette): void {
  context.textBaseline = 'middle';
  context.textAlign = 'center';
  for (const { label, left, top, width, height, angle, leader } of placed) {
    if (leader) {
      context.strokeStyle = palette(label.ink);
      context.globalAlpha = 0.6;
      context.lineWidth = 0.8;
      context.beginPath();
      context.moveTo(leader[0], leader[1]);
      context.lineTo(leader[2], leader[3]);
      context.stroke();
    }
    const [x, y] = [left + width / 2, top + height / 2];
    if (angle !== 0) {
      context.save();
      context.translate(x, y);
      context.rotate(angle);
      context.translate(-x, -y);
    }
    // A veil of paper keeps a text legible where light lines run behind it.
    context.globalAlpha = 0.78;
    context.fillStyle = palette('paper');
    context.fillRect(left - 1, top + 1, width + 2, height - 2);
    context.globalAlpha = 1;
    context.font = fontOf(label.role);
    context.fillStyle = palette(label.ink);
    context.fillText(label.text, x, y + 0.5);
    if (angle !== 0) context.restore();
  }
}
