import { FILE_BYTES } from '@rigid-beam/core/limits';
import { tooLarge } from '@rigid-beam/core/formats/model-file';
import type { Notice } from '@rigid-beam/core/model/notice';
import { keepSaid } from '../browser/said-of-file';
import type { Wanted } from './arranged';
import type { ShownTiles } from './tile';
import { requests as WORDS } from './words';

export type NewModel =
  | { readonly project: string; readonly space: 'plane' | 'space' }
  | { readonly project: string; readonly file: File };

interface Answer {
  readonly id?: string;
  readonly faults?: readonly Notice[];
  /** Of a file that became a model: what is to be known of it. */
  readonly notices?: readonly Notice[];
}

/** How far a file is on its way, in words. */
export const sendingWords = ({ name }: File, share: number): string =>
  share < 1 ? WORDS.sending(name, Math.round(100 * share)) : WORDS.reading(name);

const said = (message: string): Answer => ({ faults: [{ code: 'refused', severity: 'error', message, subjects: [] }] });

/** Asks for a new model. A file is sent as it is; `tell` hears which share of it is on its way (0 to 1). */
export function createModel(given: NewModel, tell: (share: number) => void): Promise<Answer> {
  if ('file' in given && given.file.size > FILE_BYTES) return Promise.resolve({ faults: [tooLarge(given.file.size)] });
  // Only this kind of request tells how far it is.
  const request = new XMLHttpRequest();
  return new Promise((resolve) => {
    request.onload = () => resolve(kept(answerOf(request)));
    request.onerror = () => resolve(said(WORDS.silentNothingStored));
    request.upload.onprogress = ({ loaded, total }) => tell(total > 0 ? loaded / total : 0);
    if ('file' in given) {
      const query = new URLSearchParams({ project: given.project, fileName: given.file.name.slice(-300) });
      request.open('POST', `/api/models?${query}`);
      request.setRequestHeader('Content-Type', 'application/octet-stream');
      request.send(given.file);
    } else {
      request.open('POST', '/api/models');
      request.setRequestHeader('Content-Type', 'application/json');
      request.send(JSON.stringify(given));
    }
  });
}

function answerOf({ status, responseText }: XMLHttpRequest): Answer {
  try {
    return JSON.parse(responseText) as Answer;
  } catch {
    return said(WORDS.failed(status));
  }
}

/** What is to be known of a file is told by the page that opens its model. */
function kept(answer: Answer): Answer {
  if (answer.id !== undefined) keepSaid(answer.id, answer.notices?.map(({ message }) => message) ?? []);
  return answer;
}

/** Asks for a change; what went wrong comes back. */
async function asked(method: string, path: string, body?: object): Promise<readonly Notice[]> {
  try {
    const response = await fetch(path, {
      method,
      ...(body && { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
    if (response.ok || (method === 'DELETE' && response.status === 404)) return [];
    return ((await response.json()) as Answer).faults ?? said(WORDS.refused).faults!;
  } catch {
    return said(WORDS.silentNothingChanged).faults!;
  }
}

/** Puts a model among what was removed; one that lies there already goes for good. */
export const removeModel = (id: string) => asked('DELETE', `/api/models/${id}`);
export const bringBack = (id: string) => asked('PATCH', `/api/models/${id}`, { removed: false });
export const renameModel = (id: string, title: string) => asked('PATCH', `/api/models/${id}`, { title });
export const moveModel = (id: string, project: string) => asked('PATCH', `/api/models/${id}`, { project });
export const duplicateModel = (id: string) => asked('POST', `/api/models/${id}/copy`, {});
export const createProject = (name: string) => asked('POST', '/api/projects', { name });
export const changeProject = (id: string, part: { readonly name?: string; readonly number?: string }) =>
  asked('PATCH', `/api/projects/${id}`, part);
export const removeProject = (id: string) => asked('DELETE', `/api/projects/${id}`);

/** What the projects page shows now; nothing where the server does not answer. */
export async function tilesOf({ search, sorting, count }: Wanted): Promise<ShownTiles | undefined> {
  try {
    const query = new URLSearchParams({ search: search.slice(0, 200), sorting, count: String(count) });
    const response = await fetch(`/api/projects/tiles?${query}`);
    return response.ok ? ((await response.json()) as ShownTiles) : undefined;
  } catch {
    return undefined;
  }
}
