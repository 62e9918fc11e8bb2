import type { Opened, Sent } from './opened';
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

/** What a page was sent, with the pictures that it names in their places; one that is not to be had leaves its place empty, and stays in the list. */
export async function withPictures(sent: Sent): Promise<Sent> {
  let { content } = sent;
  const missing: string[] = [];
  for (const hash of sent.pictures ?? []) {
    const image = await storedPicture(sent.id, hash);
    if (image === undefined) missing.push(hash);
    content = content.replaceAll(`"picture:sha256:${hash}"`, JSON.stringify(image ?? NO_PICTURE));
  }
  return { ...sent, content, pictures: missing };
}

/** A picture of nothing. */
const NO_PICTURE = 'data:image/svg+xml,%3Csvg xmlns="http://www.w3.org/2000/svg"/%3E';

async function storedPicture(modelId: string, hash: string): Promise<string | undefined> {
  try {
    const response = await fetch(`/api/models/${modelId}/pictures/${hash}`);
    return response.ok ? await response.text() : undefined;
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
