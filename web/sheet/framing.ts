import { boundsOf, fit, screenX, screenY, type Camera } from '@rigid-beam/drawing/camera';
import { VERTEX, type DisplayList } from '@rigid-beam/drawing/display-list';
import { drawnNodes, type Seen } from '@rigid-beam/drawing/geometry';
import type { PlacedLabel } from '@rigid-beam/drawing/place-labels';
import { seenPoint } from '@rigid-beam/drawing/projection';
import type { EditorState } from '../editor/editor-state';
import { pointOfPixel } from '../underlay/placing';

/** Pixels of paper around the whole drawing. */
const MARGIN = 26;
/** The same before there are results, which will stand around it. */
const RESULTS_MARGIN = 60;
/** Around nodes alone, whose loads, supports and figures stand outside them. */
const NODE_MARGIN = 70;
/** Looks at the drawing, each a little nearer to one that fits. */
const STEPS = 4;
/** A drawing of fewer pixels than this part of the sheet in both directions is too small. */
const FULL = 0.9;

interface Box {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** What a drawing of a model holds at some scale. */
export type Drawn = (camera: Camera) => { readonly items: DisplayList; readonly placed: readonly PlacedLabel[] };

/** The camera that has these nodes in view, with some room for what stands beside them. */
export function framed(state: EditorState, seen: Seen, camera: Camera, which: (node: string) => boolean): Camera {
  const { width, height } = camera;
  return fit(boxOf(state, seen, which), width, height, around(Math.min(NODE_MARGIN, width / 6, height / 6)));
}

const around = (margin: number) => ({ left: margin, right: margin, top: margin, bottom: margin });

function boxOf(state: EditorState, seen: Seen, which: (node: string) => boolean): Box {
  const nodes = [...drawnNodes(state.drawn.model, seen).values()].filter(({ id }) => which(id));
  const found = boundsOf(nodes.length > 1 ? nodes : cornersOfUnderlay(state, seen));
  return found && (found.right > found.left || found.top > found.bottom) ? found : { left: -1, right: 9, bottom: -1, top: 5 };
}

/**
 * The camera in which the whole drawing, with all that the stage shows, fills the sheet. Symbols and texts keep their size when one comes
 * nearer, so that it is found step by step.
 */
export function fitted(state: EditorState, seen: Seen, camera: Camera, drawn: Drawn): Camera {
  let found = framed(state, seen, camera, () => true);
  const { width, height } = camera;
  const margin = state.drawn.results?.solution ? MARGIN : Math.min(RESULTS_MARGIN, width / 8, height / 8);
  for (let step = 0; step < STEPS; step++) {
    const box = boundsOnScreen(drawn(roomy(found)), found);
    if (!box) return found;
    const world = boxOf(state, seen, () => true);
    // What does not grow with the scale: the rest of the drawing's width and height is the structure's.
    const factor = Math.min(
      ratio(width - 2 * margin, box.right - box.left, (world.right - world.left) * found.scale),
      ratio(height - 2 * margin, box.bottom - box.top, (world.top - world.bottom) * found.scale),
    );
    const middle = { x: (box.left + box.right) / 2 - width / 2, y: (box.top + box.bottom) / 2 - height / 2 };
    const fills = Math.max((box.right - box.left) / (width - 2 * margin), (box.bottom - box.top) / (height - 2 * margin));
    if (step > 0 && fills <= 1 && fills >= FULL && Math.hypot(middle.x, middle.y) < 6) return found;
    found = {
      ...found,
      x: found.x + middle.x / found.scale,
      y: found.y - middle.y / found.scale,
      scale: found.scale * Math.min(4, Math.max(0.25, factor)),
    };
  }
  return found;
}

/** Pixels beside the sheet in which texts find places while the drawing is fitted: none is left out because it would have stood outside. */
const ROOM = 160;
const roomy = (camera: Camera): Camera => ({ ...camera, width: camera.width + 2 * ROOM, height: camera.height + 2 * ROOM });

/** By how much the part that grows has to grow for the whole to fill the room. */
function ratio(room: number, whole: number, growing: number): number {
  const fixed = whole - growing;
  return growing < 1 ? Infinity : Math.max(0.2, (room - fixed) / growing);
}

/** The box of all that is drawn, pixels from the upper left corner. */
function boundsOnScreen({ items, placed }: ReturnType<Drawn>, camera: Camera): Box | undefined {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  const take = (x: number, y: number): void => {
    if (x < left) left = x;
    if (x > right) right = x;
    if (y < top) top = y;
    if (y > bottom) bottom = y;
  };
  for (const item of items) {
    if (item.kind !== 'path') continue;
    for (let i = 0; i < item.vertices.length; i += VERTEX)
      take(
        screenX(camera, item.vertices[i]!) + item.vertices[i + 2]!,
        screenY(camera, item.vertices[i + 1]!) - item.vertices[i + 3]!,
      );
  }
  for (const label of placed) {
    take(label.left - ROOM, label.top - ROOM);
    take(label.left + label.width - ROOM, label.top + label.height - ROOM);
  }
  return left <= right ? { left, right, top, bottom } : undefined;
}

function cornersOfUnderlay({ drawn }: EditorState, { projection }: Seen): { x: number; y: number }[] {
  const { underlay } = drawn.model;
  if (!underlay) return [];
  return [0, underlay.width].flatMap((px) =>
    [0, underlay.height].map((py) => {
      const [x, y] = seenPoint(projection, pointOfPixel(underlay, px, py));
      return { x, y };
    }),
  );
}
