import * as Comlink from 'comlink';
import type { Model } from '@rigid-beam/core/model/model';
import type { Sought } from '@rigid-beam/core/study/seek';
import type { StudyPoint } from '@rigid-beam/core/study/study';
import { dealtBack } from './dealt-back';
import type { AskedSeek, AskedStudy, StudyWorker } from './study.worker';
import { study as WORDS } from './words';

/** What is under way in a worker; ending it gives it up. */
export interface UnderWay<T> {
  readonly result: Promise<T>;
  readonly end: () => void;
}

interface Hand {
  readonly worker: Worker;
  readonly remote: Comlink.Remote<StudyWorker>;
}

/** Workers that have done what they were asked wait for more: what one has run before, it runs several times as fast. */
const waiting: Hand[] = [];
const MOST_WAITING = 2;
/** Milliseconds that a worker has to find out that it is no longer wanted. */
const GRACE = 400;

function hired(): Hand {
  const worker = new Worker(new URL('./study.worker.ts', import.meta.url), { type: 'module' });
  return { worker, remote: Comlink.wrap<StudyWorker>(worker) };
}

/** Asks a worker, with a function by which it can ask whether it is to go on. */
function begun<T>(ask: (remote: Hand['remote'], isWanted: () => boolean) => Promise<T>): UnderWay<T> {
  const hand = waiting.pop() ?? hired();
  const { worker, remote } = hand;
  let [isWanted, isDone] = [true, false];
  const dismiss = (): void => {
    if (!isDone) worker.terminate();
    isDone = true;
  };
  const death = new Promise<never>((_, reject) => {
    worker.onerror = () => {
      dismiss();
      reject(new Error(WORDS.stopped));
    };
  });
  const rest = (): void => {
    if (isDone) return;
    isDone = true;
    if (waiting.length < MOST_WAITING) waiting.push(hand);
    else worker.terminate();
  };
  const answer = ask(remote, () => isWanted).finally(rest);
  const end = (): void => {
    isWanted = false;
    setTimeout(dismiss, GRACE);
  };
  return { result: Promise.race([answer, death]), end };
}

/** Steps that are worth a worker of their own, and members up to which each may have a factor of its own. */
const SHARE = 10;
const MOST_MEMBERS = 2000;
const MOST_HANDS = 4;

/** Goes through a study in as many workers as the machine has room for: each takes every second, third or fourth value. */
export function studyOf(
  model: Model,
  asked: AskedStudy,
  told: (points: readonly StudyPoint[]) => void,
): UnderWay<readonly StudyPoint[]> {
  const room = model.members.length > MOST_MEMBERS ? 1 : Math.min(MOST_HANDS, navigator.hardwareConcurrency);
  const hands = Math.max(1, Math.min(room, Math.floor(asked.values.length / SHARE)));
  const parts: (readonly StudyPoint[])[] = Array.from({ length: hands }, () => []);
  const together = (h: number, points: readonly StudyPoint[]): readonly StudyPoint[] => {
    parts[h] = points;
    return dealtBack(parts, asked.values.length);
  };
  const all = parts.map((_, h) =>
    begun((remote, isWanted) => {
      const tell = (points: readonly StudyPoint[]): boolean => {
        if (isWanted()) told(together(h, points));
        return isWanted();
      };
      const values = asked.values.filter((__, i) => i % hands === h);
      return remote.study(model, { ...asked, values }, Comlink.proxy(tell)) as Promise<StudyPoint[]>;
    }),
  );
  const end = (): void => all.forEach((one) => one.end());
  const done = Promise.all(all.map(({ result }, h) => result.then((points) => void together(h, points))));
  return { result: done.then(() => dealtBack(parts, asked.values.length)), end };
}

export const seekOf = (model: Model, asked: AskedSeek): UnderWay<Sought> =>
  begun((remote) => remote.seek(model, asked) as Promise<Sought>);
