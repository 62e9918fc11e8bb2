import { screenX, screenY, type Camera } from './camera';
import type { DisplayList, Label, LabelRole } from './display-list';
import type { Met, TextBox } from './lines-by-cell';
import { Obstacles } from './obstacles';

/** Height of each kind of text, pixels. */
export const TEXT_HEIGHT: Record<LabelRole, number> = { value: 12, extreme: 14.5, dimension: 12, name: 11, load: 12 };

/** A text with its place on the screen: its box before it is turned about its middle by `angle` (radians, clockwise), and its leader. */
export interface PlacedLabel {
  readonly label: Label;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly angle: number;
  /** From what it is said of to the text, where it stands too far off to be read as such: x1, y1, x2, y2. */
  readonly leader?: readonly [number, number, number, number];
}

/** Width of a text in pixels. */
export type Measure = (text: string, role: LabelRole) => number;

/** A width good enough where no canvas can be asked: in a thumbnail or a test. */
export const roughMeasure: Measure = (text, role) => text.length * TEXT_HEIGHT[role] * 0.5;

/** Texts that are tried on one sheet: more than anybody reads. */
const MOST = 160;

/**
 * Gives labels a place where they touch no other, no heavy line, no symbol and no arrowhead: higher ranks first, each beside what it is
 * said of, else at one of a few places around it, else further off with a leader, else left out.
 */
export const placeLabels = (
  list: DisplayList,
  camera: Camera,
  measure: Measure,
  /** Texts that have their places already. */
  before: readonly PlacedLabel[] = [],
): PlacedLabel[] => placeLabelsIn([{ items: list, isKept: false }], camera, measure, before);

/** The same of a drawing in parts; where one of them comes again, its lines stand where they stood. */
export function placeLabelsIn(
  parts: readonly { readonly items: DisplayList; readonly isKept: boolean }[],
  camera: Camera,
  measure: Measure,
  before: readonly PlacedLabel[] = [],
): PlacedLabel[] {
  const labels: Label[] = [];
  for (const { items } of parts) for (const item of items) if (item.kind === 'label' && isNear(item, camera)) labels.push(item);
  if (labels.length === 0) return [];
  const ranked = labels
    .map((label, order) => ({ label, order }))
    .sort((a, b) => b.label.rank - a.label.rank || a.order - b.order)
    .slice(0, MOST);
  const obstacles = new Obstacles(parts, camera);
  for (const { left, top, width, height, angle } of before)
    obstacles.addBox({ x: left + width / 2, y: top + height / 2, width, height, angle });
  const placed: PlacedLabel[] = [];
  for (const { label } of ranked) {
    const size = { width: measure(label.text, label.role), height: TEXT_HEIGHT[label.role] * 1.2 };
    const place = placeFor(label, camera, size, obstacles);
    if (!place) continue;
    obstacles.addBox(place.box);
    const { x, y, width, height, angle } = place.box;
    placed.push({
      ...{ label, left: x - width / 2, top: y - height / 2, width, height, angle },
      ...(place.leader && { leader: place.leader }),
    });
  }
  return placed;
}

/** Whether a label may have a place on the sheet. */
function isNear({ x, y, dx, dy }: Label, camera: Camera): boolean {
  const [px, py] = [screenX(camera, x) + dx, screenY(camera, y) - dy];
  return px > -FAR && py > -FAR && px < camera.width + FAR && py < camera.height + FAR;
}
const FAR = 40;

interface Size {
  readonly width: number;
  readonly height: number;
}
interface Place {
  readonly box: TextBox;
  readonly leader?: readonly [number, number, number, number];
}

function placeFor(label: Label, camera: Camera, size: Size, obstacles: Obstacles): Place | undefined {
  let second: Place | undefined;
  for (const place of places(label, camera, size)) {
    if (!isInside(place.box, camera)) continue;
    // Once there is one that touches something light, only one that touches nothing is better.
    const met: Met = obstacles.met(place.box, second ? 'something light' : 'something heavy');
    if (met === 'nothing') return place;
    if (met === 'something light') second ??= place;
  }
  return second;
}

/** A text is whole, or not there. */
function isInside({ x, y, width, height, angle }: TextBox, camera: Camera): boolean {
  const [c, s] = [Math.abs(Math.cos(angle)), Math.abs(Math.sin(angle))];
  const [w, h] = [(c * width + s * height) / 2, (s * width + c * height) / 2];
  return x - w >= 0 && y - h >= 0 && x + w <= camera.width && y + h <= camera.height;
}

/** The places that a label may take, best first. */
function* places(label: Label, camera: Camera, size: Size): Generator<Place> {
  if (label.along) yield* placesAlong(label.along, label.clear ?? 4, camera, size);
  if (label.role === 'dimension') {
    yield { box: beside(label, camera, size, 0, 0) };
    return;
  }
  if (label.along && label.role !== 'extreme') return;
  for (const turn of TURNS) yield { box: beside(label, camera, size, turn, 0) };
  for (const turn of TURNS) yield { box: beside(label, camera, size, turn, size.height * 0.7) };
  if (label.role === 'name') return;
  const [ax, ay] = anchor(label, camera);
  const reaches = label.role === 'extreme' ? [1.6, 2.8, 4.2, 6] : [1.6, 2.8];
  for (const reach of reaches)
    for (const turn of TURNS) {
      const box = beside(label, camera, size, turn, size.height * reach);
      yield { box, leader: [ax, ay, ...towards(box, ax, ay)] };
    }
}

const TURNS = [0, 0.5, -0.5, 1, -1, 1.57, -1.57, 2.2, -2.2, Math.PI];

/** Beside a line and parallel to it, readable from below or from the right: at its middle, then on either side of that. */
function* placesAlong(
  [x1, y1, x2, y2]: readonly [number, number, number, number],
  clear: number,
  camera: Camera,
  size: Size,
): Generator<Place> {
  const [ax, ay, bx, by] = [screenX(camera, x1), screenY(camera, y1), screenX(camera, x2), screenY(camera, y2)];
  const length = Math.hypot(bx - ax, by - ay);
  if (length < size.width + ROOM) return;
  let angle = Math.atan2(by - ay, bx - ax);
  if (angle > Math.PI / 2 - 1e-6) angle -= Math.PI;
  else if (angle <= -Math.PI / 2 - 1e-6) angle += Math.PI;
  const off = clear + size.height / 2;
  const [nx, ny] = [Math.sin(angle), -Math.cos(angle)];
  const slack = (length - size.width - ROOM) / 2 / length;
  for (const shift of [0, -0.5, 0.5, -1, 1])
    for (const side of [1, -1]) {
      const t = 0.5 + shift * slack;
      yield { box: { x: ax + t * (bx - ax) + side * nx * off, y: ay + t * (by - ay) + side * ny * off, ...size, angle } };
    }
}

/** Pixels of a member that its text leaves free at both ends together. */
const ROOM = 14;

const anchor = (label: Label, camera: Camera): [number, number] => [
  screenX(camera, label.x) + label.dx,
  screenY(camera, label.y) - label.dy,
];

/** The box that touches the anchor and lies in the direction `away`, turned by some angle, and so many pixels further. */
function beside(label: Label, camera: Camera, { width, height }: Size, ...[turn, reach]: [number, number]): TextBox {
  const [x, y] = anchor(label, camera);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [ax, ay] = [c * label.away[0] - s * label.away[1], s * label.away[0] + c * label.away[1]];
  const size = Math.hypot(ax, ay) || 1;
  const [ux, uy] = [ax / size, ay / size];
  // Half the box's extent along the direction: the text touches the anchor but does not cover it.
  return {
    x: x + ux * ((width / 2) * softSign(ux) + reach),
    y: y - uy * (height / 2 + reach),
    width,
    height,
    angle: 0,
  };
}

const softSign = (u: number): number => Math.min(1, Math.abs(u) * 1.6);

/** The point of a box's edge that is nearest to a point. */
function towards({ x, y, width, height }: TextBox, px: number, py: number): [number, number] {
  const inside = (at: number, middle: number, half: number): number => Math.min(Math.max(at, middle - half), middle + half);
  return [inside(px, x, width / 2), inside(py, y, height / 2)];
}
