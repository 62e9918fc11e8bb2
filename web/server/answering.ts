import { parentPort } from 'node:worker_threads';

/** What a thread says once it is loaded, before anything is asked of it: the time that its work may take counts from then. */
export const LOADED = 'loaded';

/** What a thread of `Thread` does: one answer to each that it is asked. */
export function answering<Asked, Answer>(answer: (asked: Asked) => Answer | Promise<Answer>): void {
  parentPort!.on('message', (asked: Asked) => void Promise.resolve(answer(asked)).then((made) => parentPort!.postMessage(made)));
  parentPort!.postMessage(LOADED);
}
