import { motionItems, type DrawnMotion } from '@rigid-beam/drawing/motion-items';
import type { Item } from '@rigid-beam/drawing/display-list';
import type { Seen } from '@rigid-beam/drawing/geometry';
import type { EditorState } from '../editor/editor-state';

/** Milliseconds of one swing to and fro; it stops by itself after some of them. */
const PERIOD = 2400;
const SWINGS = 2;

/** Of the motions of a structure that can move, the place of the one that is drawn: what was asked for, or the first that keeps it from standing. */
export function shownPlace({ drawn: { results }, shownMotion }: EditorState): number {
  if (results?.status !== 'unstable') return -1;
  if (typeof shownMotion === 'number') return shownMotion;
  return results.mechanisms.findIndex(({ harmless }) => !harmless);
}

/** What no load drives and is held still: all of it at once, and at rest. */
function heldItems({ drawn: { model, results } }: EditorState, seen: Seen): Item[] {
  const held = results?.mechanisms.filter(({ harmless }) => harmless) ?? [];
  return held.slice(0, MOST_HELD).flatMap((mechanism) => motionItems(model, { mechanism, ends: undefined }, seen, 1));
}
const MOST_HELD = 400;

function motionOf(state: EditorState): DrawnMotion | undefined {
  const { results } = state.drawn;
  const place = shownPlace(state);
  const mechanism = results?.mechanisms[place];
  return mechanism && { mechanism, ends: results?.motions?.[place] };
}

/**
 * A motion swings to and fro a few times over the still drawing and rests where it went; it rests at once for those who want less
 * motion. Begins anew with every other motion.
 */
export class Swing {
  private begun = 0;
  private of: DrawnMotion['mechanism'] | undefined;

  constructor(private readonly now: () => number = () => performance.now()) {}

  /** What is drawn of the motion now, and whether it goes on. */
  marks(state: EditorState, seen: Seen, how: 'moving' | 'still'): { readonly items: Item[]; readonly goesOn: boolean } {
    const motion = motionOf(state);
    if (!motion) {
      this.of = undefined;
      return { items: state.shownMotion === 'held' ? heldItems(state, seen) : [], goesOn: false };
    }
    if (this.of !== motion.mechanism) {
      this.of = motion.mechanism;
      this.begun = this.now();
    }
    const swings = (this.now() - this.begun) / PERIOD;
    // Ends at a quarter, where the motion is widest.
    const goesOn = how === 'moving' && swings < SWINGS + 0.25;
    const phase = goesOn ? Math.sin(2 * Math.PI * swings) : 1;
    return { items: motionItems(state.drawn.model, motion, seen, phase), goesOn };
  }
}
