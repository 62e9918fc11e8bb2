import { applyPatches, type Patch } from 'immer';
import type { Model } from '@rigid-beam/core/model/model';
import type { Step } from './history';

/** A state of the model that was kept under a name; what the browser gives back is checked when it is looked at. */
export interface KeptState {
  readonly name: string;
  readonly model: unknown;
}

/** Characters of all kept states of a model, and how many of them, that the browser keeps. */
const MOST = 2_000_000;
const COUNT = 12;

const keyOf = (model: string): string => `rigid-beam:states:${model}`;

/** The states of a model that were kept under a name, as the browser has them; nothing where it keeps nothing, or something else. */
export function keptStates(model: string): readonly KeptState[] {
  try {
    const found = JSON.parse(localStorage.getItem(keyOf(model)) ?? '[]') as unknown;
    if (!Array.isArray(found)) return [];
    return (found as readonly Partial<KeptState>[]).flatMap(({ name, model: state }) =>
      typeof name === 'string' && state ? [{ name, model: state }] : [],
    );
  } catch {
    return [];
  }
}

/** Keeps them; false where they are more than the browser takes: then they are there until the page is closed. */
export function keepStates(model: string, states: readonly KeptState[]): boolean {
  // A picture behind the drawing tells nothing of the structure.
  const text = JSON.stringify(
    states.map(({ name, model: state }) => ({ name, model: { ...(state as Model), underlay: undefined } })),
  );
  if (text.length > MOST) return false;
  try {
    localStorage.setItem(keyOf(model), text);
    return true;
  } catch {
    return false;
  }
}

/** The states with one more, the newest first; one of the same name is replaced. */
export const withState = (states: readonly KeptState[], state: KeptState): readonly KeptState[] =>
  [state, ...states.filter(({ name }) => name !== state.name)].slice(0, COUNT);

/**
 * What leads back to how the model was before the last `back` edits of those that can be undone: their patches, from the newest to the oldest.
 * `whole`: fetches the patches of a step that lie on the server. Undefined where one is not to be had.
 */
export async function patchesBack(
  undo: readonly Step[],
  back: number,
  whole: (step: Step) => Promise<Step | undefined>,
): Promise<readonly Patch[] | undefined> {
  const patches: Patch[] = [];
  for (const step of undo.slice(undo.length - back).reverse()) {
    const { inverse } = step.inverse ? step : ((await whole(step)) ?? { inverse: null });
    if (!inverse) return undefined;
    patches.push(...inverse);
  }
  return patches;
}

export const stateAfter = (model: Model, patches: readonly Patch[]): Model => applyPatches(model, [...patches]);
