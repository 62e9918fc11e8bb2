import type { Opened } from './editor-state';
import type { Step } from './history';
import { stored as WORDS } from './words';

/** A step with its patches, which are long and lie on the server; undefined when it does not give them. */
export async function storedStep(modelId: string, step: Step): Promise<Step | undefined> {
  try {
    const response = await fetch(`/api/models/${modelId}/revisions/${step.number}`);
    return response.ok ? { ...step, ...((await response.json()) as Pick<Step, 'patches' | 'inverse'>) } : undefined;
  } catch {
    return undefined;
  }
}

/** The model as it is stored now; words where there is none to be had. */
export async function storedState(modelId: string): Promise<Opened | string> {
  try {
    const response = await fetch(`/api/models/${modelId}`);
    if (response.ok) return (await response.json()) as Opened;
    if (response.status === 404) return WORDS.removedElsewhere;
  } catch {
    // Said below.
  }
  return WORDS.notGiven;
}
