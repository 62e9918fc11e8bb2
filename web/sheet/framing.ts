import { boundsOf, fit, type Camera } from '@rigid-beam/drawing/camera';
import { drawnNodes, type Seen } from '@rigid-beam/drawing/geometry';
import { seenPoint } from '@rigid-beam/drawing/projection';
import type { EditorState } from '../session/editor-state';
import { pointOfPixel } from '../underlay/placing';

/** Pixels that the card covers on the right while something is selected. */
export const CARD_WIDTH = 284;
/** Part of the sheet's height that an open schedule covers. */
const SCHEDULE_PART = 0.52;
/** Pixels that the title block takes in the lower right corner. */
export const TITLE_BLOCK = { width: 432, height: 124 };

/** Pixels above the drawing for the hint and for loads; and below words that lie over the sheet. */
const TOP = 84;
const BELOW_WORDS = 48;

/**
 * The camera that has these nodes in view, where nothing lies over the sheet: below what words cover at its top (pixels), beside or above
 * the title block, whichever leaves them larger.
 */
export function framed(state: EditorState, seen: Seen, camera: Camera, which: (node: string) => boolean, coveredTop = 0): Camera {
  const { width, height } = camera;
  const { model } = state.drawn;
  const nodes = [...drawnNodes(model, seen).values()].filter(({ id }) => which(id));
  const found = boundsOf(nodes.length > 1 ? nodes : cornersOfUnderlay(state, seen));
  const box =
    found && (found.right > found.left || found.top > found.bottom) ? found : { left: -1, right: 9, bottom: -1, top: 5 };
  const covered = state.selection.length > 0 ? CARD_WIDTH : 0;
  if (state.schedule) {
    const left = height * (1 - SCHEDULE_PART);
    const above = fit(box, width, left, { left: 165, right: 75 + covered, top: 60, bottom: 140 });
    return { ...above, height, y: above.y - (height - left) / 2 / above.scale };
  }
  const top = Math.max(TOP, coveredTop > 0 ? coveredTop + BELOW_WORDS : 0);
  const above = fit(box, width, height, { left: 165, right: 75 + covered, top, bottom: 128 + TITLE_BLOCK.height });
  const beside = fit(box, width, height, { left: 165, right: 60 + Math.max(TITLE_BLOCK.width, covered), top, bottom: 140 });
  return above.scale >= beside.scale ? above : beside;
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
