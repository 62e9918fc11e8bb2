/** Whether one cell is meant, or all from where a range began. */
type Reach = 'alone' | 'extended';

/** What a key means in a table that is not being typed into. */
export type TableAction =
  /** To another cell, by rows and columns; `extended` keeps where the marked range began. */
  | { readonly kind: 'step'; readonly rows: number; readonly columns: number; readonly range: Reach }
  /** To the first or last column of the row, or of the whole table. */
  | { readonly kind: 'edge'; readonly end: 'first' | 'last'; readonly ofAll: boolean; readonly range: Reach }
  | { readonly kind: 'sort'; readonly way: 1 | -1 }
  /** `first`: the character that begins the new text; without it the present one is changed. */
  | { readonly kind: 'edit'; readonly first?: string }
  | { readonly kind: 'fillDown' | 'selectRows' | 'close' };

const STEPS: Record<string, readonly [number, number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-12, 0],
  PageDown: [12, 0],
};

type Pressed = Pick<KeyboardEvent, 'key' | 'shiftKey' | 'ctrlKey' | 'metaKey' | 'altKey'>;

/** Undefined for a key that the table has no use for. */
export function tableAction({ key, shiftKey, ctrlKey, metaKey, altKey }: Pressed): TableAction | undefined {
  const range: Reach = shiftKey ? 'extended' : 'alone';
  const control = ctrlKey || metaKey;
  if (altKey) return key === 'ArrowUp' || key === 'ArrowDown' ? { kind: 'sort', way: key === 'ArrowUp' ? 1 : -1 } : undefined;
  const step = STEPS[key];
  if (step) return { kind: 'step', rows: step[0], columns: step[1], range };
  if (key === 'Home' || key === 'End') return { kind: 'edge', end: key === 'Home' ? 'first' : 'last', ofAll: control, range };
  if (key === 'd' && control) return { kind: 'fillDown' };
  if (key === ' ') return { kind: 'selectRows' };
  if (key === 'Enter' || key === 'F2') return { kind: 'edit' };
  if (key === 'Escape') return { kind: 'close' };
  return key.length === 1 && !control ? { kind: 'edit', first: key } : undefined;
}
