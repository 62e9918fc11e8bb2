import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { movedAlong, resizedEnd, turnedForce } from '@rigid-beam/core/model/loads/dragged';
import { barsOf } from '@rigid-beam/core/model/loads/bars';
import { stoodAt, type TrainLoad } from '@rigid-beam/core/model/loads/train-load';
import { stretchesOf, type Bay } from '@rigid-beam/core/model/loads/train-way';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { screenX, screenY } from '@rigid-beam/drawing/camera';
import { drawnMembers, drawnNodes, type DrawnMember, type DrawnNode } from '@rigid-beam/drawing/geometry';
import { handleItems, loadHandles, type LoadHandle } from '@rigid-beam/drawing/load-handles';
import type { Item } from '@rigid-beam/drawing/display-list';
import type { SheetController } from '../controller';
import { viewOf } from '../view-of';
import type { ToolPointer } from './tool';

/** How near to a handle it is meant, pixels. */
const REACH = { mouse: 7, pen: 9, touch: 18 } as const;
/** Degrees to which a force turns; with Shift every degree counts. */
const STEP = 5;
/** Metres to which places are rounded: the finest that is seen as a step. */
const STEPS = [0.01, 0.05, 0.1, 0.25, 0.5, 1, 2.5] as const;
const SEEN = 5;

/** A load that is being drawn by one of its handles. */
export interface HeldLoad {
  readonly load: Load;
  readonly handle: LoadHandle;
}

/** The selected load, if it is the only thing selected and acts. */
function selectedLoad(sheet: SheetController): Load | undefined {
  const { model, preview, selection } = sheet.editor.state;
  const [one] = selection;
  return selection.length === 1 && one?.kind === 'load' ? (preview ?? model).loads.find(({ id }) => id === one.id) : undefined;
}

function handlesNow(sheet: SheetController): { readonly load: Load; readonly handles: readonly LoadHandle[] } | undefined {
  const load = selectedLoad(sheet);
  const { state } = sheet.editor;
  if (!load || state.stage !== 'loads') return undefined;
  const view = viewOf(state, sheet.view.seen(), undefined, sheet.view.camera.scale, 'still');
  return { load, handles: loadHandles(state.drawn.model, new Map([[load.case, 1]]), view, load) };
}

/** The marks of the handles of the selected load. */
export const loadHandleItems = (sheet: SheetController): Item[] => handleItems(handlesNow(sheet)?.handles ?? []);

/** The handle under the pointer. */
export function handleAt(sheet: SheetController, event: ToolPointer): HeldLoad | undefined {
  const now = handlesNow(sheet);
  if (!now) return undefined;
  const { camera } = sheet.view;
  const reach = REACH[event.type as keyof typeof REACH] ?? REACH.mouse;
  const distance = ({ x, y, dx, dy }: LoadHandle): number =>
    Math.hypot(screenX(camera, x) + dx - event.x, screenY(camera, y) - dy - event.y);
  const nearest = now.handles.toSorted((a, b) => distance(a) - distance(b))[0];
  return nearest && distance(nearest) <= reach ? { load: now.load, handle: nearest } : undefined;
}

/** The edit that lets a load follow the pointer. */
export function dragIntent(sheet: SheetController, { load, handle }: HeldLoad, event: ToolPointer): Intent | undefined {
  const next = followed(sheet, load, handle, event);
  return next && { type: 'put', list: 'loads', entry: { ...next }, key: load.id };
}

function followed(
  sheet: SheetController,
  load: Load,
  { role, x, y, dx, dy, axle = 0, foot: [bx, by] = [0, 0] }: LoadHandle,
  event: ToolPointer,
): Load | undefined {
  const { model } = sheet.editor.state;
  const { camera } = sheet.view;
  // Pixels from the foot of the handle to the pointer, up positive.
  const [right, up] = [event.x - screenX(camera, x), screenY(camera, y) - event.y];
  if (role === 'sizeFrom' || role === 'sizeTo') {
    if (load.type !== 'line') return undefined;
    const [wide, tall] = [dx - bx, dy - by];
    const factor = ((right - bx) * wide + (up - by) * tall) / (wide * wide + tall * tall);
    return resizedEnd(load, role === 'sizeFrom' ? 'from' : 'to', factor);
  }
  if (role === 'turn') {
    if (load.type !== 'node' && load.type !== 'point') return undefined;
    // The tail is where the pointer is: the force acts from there to its point.
    const degrees = (Math.atan2(-up, -right) * 180) / Math.PI;
    const step = event.shift ? 1 : STEP;
    return turnedForce(load, Math.round(degrees / step) * step);
  }
  if (load.type === 'train') {
    const s = alongWay(sheet, model, load, event);
    return s === undefined ? undefined : stoodAt(load, axle, s);
  }
  if (load.type !== 'line' && load.type !== 'point') return undefined;
  const member = drawnMembers(model, sheet.view.seen()).find(({ id }) => id === load.member);
  if (!member) return undefined;
  const { at, length } = placeOn(sheet, member, event);
  return movedAlong(load, role, at, length);
}

/** Metres along the way of a train to the place of it that is nearest to the pointer. */
function alongWay(sheet: SheetController, model: Model, load: TrainLoad, event: ToolPointer): number | undefined {
  const members = new Map(drawnMembers(model, sheet.view.seen()).map((member) => [member.id, member]));
  const nodes = drawnNodes(model, sheet.view.seen());
  const found = stretchesOf(load, barsOf(model)).flatMap((stretch) => {
    const on = 'nodes' in stretch ? bayOf(stretch, nodes) : members.get(stretch.member);
    return on ? [{ stretch, on }] : [];
  });
  const { x, y } = sheet.view.world(event.x, event.y);
  const distance = ({ x1, y1, ex, length }: Straight): number => {
    const seen = ex[0] ** 2 + ex[1] ** 2;
    const along = Math.min(Math.max(((x - x1) * ex[0] + (y - y1) * ex[1]) / seen, 0), length);
    return Math.hypot(x - x1 - ex[0] * along, y - y1 - ex[1] * along);
  };
  const nearest = found.toSorted((a, b) => distance(a.on) - distance(b.on))[0];
  if (!nearest) return undefined;
  const { stretch, on } = nearest;
  const { at, length } = placeOn(sheet, on, event);
  const within = Math.min(Math.max(at, 0), length);
  return 'way' in stretch && stretch.way === 'against' ? stretch.to - within : stretch.from + within;
}

/** A straight line on the drawing: a member, or a bay of a deck. */
type Straight = Pick<DrawnMember, 'x1' | 'y1' | 'ex' | 'length'>;

function bayOf({ nodes: [start, end], from, to }: Bay, drawn: ReadonlyMap<string, DrawnNode>): Straight | undefined {
  const [a, b] = [drawn.get(start), drawn.get(end)];
  const length = to - from;
  return a && b && { x1: a.x, y1: a.y, ex: [(b.x - a.x) / length, (b.y - a.y) / length], length };
}

/** Metres along a line to the place nearest to the pointer: rounded, and onto halves, thirds and quarters close by. */
function placeOn(sheet: SheetController, { x1, y1, ex, length }: Straight, event: ToolPointer): { at: number; length: number } {
  const { x, y } = sheet.view.world(event.x, event.y);
  const seen = Math.hypot(ex[0], ex[1]);
  const along = ((x - x1) * ex[0] + (y - y1) * ex[1]) / (seen * seen);
  const pixels = sheet.view.camera.scale * seen;
  const special = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1].map((part) => part * length);
  const near = special.find((one) => Math.abs(one - along) * pixels < SEEN);
  const step = STEPS.find((one) => one * pixels >= SEEN) ?? STEPS.at(-1)!;
  return { at: near ?? Number((Math.round(along / step) * step).toFixed(6)), length };
}
