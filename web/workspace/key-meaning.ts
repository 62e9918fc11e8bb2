import { STEP_KEYS } from '../editor/catalogue/step-section';
import { isPlaceKey } from '../sheet/tools/point-cursor';
import { TRACE_KEY } from '../workings/trace';

/** What a key means to the page: an action of its own, or what the tool in hand makes of it; nothing where a control has a use for it. */
export type KeyMeaning =
  | 'undo'
  | 'redo'
  | 'all'
  | 'fold the panel'
  | 'trace'
  | 'next plane'
  | 'previous plane'
  | 'heavier section'
  | 'lighter section'
  | 'for the tool'
  | 'nothing';

/** Where a key was pressed: in a text, on the sheet and what stands on it, on a button that has no use for "all", or elsewhere. */
export type KeyPlace = 'text' | 'sheet' | 'button' | 'elsewhere';

interface KeyPressed extends Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'> {
  readonly at: KeyPlace;
  readonly stage: string;
  /** Whether the tool in hand is given places, which may be typed. */
  readonly takesPlaces: boolean;
}

/** Folds the side panel away and brings it back. */
const PANEL_KEY = 'q';

/** Undo and redo everywhere but in a text that is being typed; all other keys go to the tool in hand. */
export function meaningOfKey(pressed: KeyPressed): KeyMeaning {
  const { key, at, takesPlaces } = pressed;
  const [letter, isOrder] = [key.toLowerCase(), pressed.ctrlKey || pressed.metaKey];
  if (isOrder && at !== 'text') {
    if (letter === 'z') return pressed.shiftKey ? 'redo' : 'undo';
    if (letter === 'y') return 'redo';
    // No button has a use for all; a list that selects has one of its own.
    if (letter === 'a' && at !== 'elsewhere') return 'all';
  }
  if (at === 'sheet') {
    if (key === PANEL_KEY && !isOrder) return 'fold the panel';
    if (key === TRACE_KEY && !isOrder && pressed.stage === 'results') return 'trace';
    if (key === ']') return 'next plane';
    if (key === '[') return 'previous plane';
    if (!takesPlaces && key === STEP_KEYS.heavier) return 'heavier section';
    if (!takesPlaces && key === STEP_KEYS.lighter) return 'lighter section';
  }
  // A tool is in hand and a place is typed: no control has a use for its first character.
  const isForTool = at === 'sheet' || key === 'Escape' || (takesPlaces && isPlaceKey(pressed));
  return at !== 'text' && isForTool ? 'for the tool' : 'nothing';
}
