import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { emptyModel } from '@rigid-beam/core/model/model';
import type { AskedWork } from './asked-work';
import { Jobs, MOST_WAITING } from './jobs';

const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-jobs-test-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A thread that does what the cases of its order say. */
const worker = path.join(folder, 'worker.mjs');
beforeAll(() =>
  writeFileSync(
    worker,
    `import { parentPort } from 'node:worker_threads';
     import { writeFileSync } from 'node:fs';
     parentPort.on('message', ({ work: { asked: { cases } }, file }) => {
       if (cases === 'throws') throw new Error('as asked');
       if (cases === 'refused') return parentPort.postMessage({ is: 'refused', refusal: { words: 'Not this one.' } });
       if (cases === 'fails') return parentPort.postMessage({ is: 'failed', message: 'as asked' });
       parentPort.postMessage({ is: 'under way', stage: 'writing', bytes: 7 });
       if (cases === 'never') return;
       writeFileSync(file, cases);
       parentPort.postMessage({ is: 'done', mediaType: 'text/plain', extension: '.txt', notes: [], bytes: cases.length });
     });`,
  ),
);

const results = (cases: string): AskedWork => ({ what: 'results', asked: { run: 'first-order', stations: 3, cases } });
const model = { id: 'm', revision: 4, content: emptyModel('Shed') };

describe('jobs', () => {
  const jobs = new Jobs(worker);
  afterAll(() => jobs.stop());
  const begun = (cases: string, revision = 4) => jobs.begin({ ...model, revision }, results(cases))!;

  test('make files one after the other; the same one is made once', async () => {
    const [first, second] = [begun('a'), begun('b')];
    expect([first.state, second.state, begun('a').id === first.id, begun('a', 5).id === first.id]).toEqual([
      'running',
      'waiting',
      true,
      false,
    ]);
    const [one, two] = [(await jobs.ended(first.id, 9000))!, (await jobs.ended(second.id, 9000))!];
    expect([one.state, readFileSync(one.file!.path, 'utf8'), two.state, readFileSync(two.file!.path, 'utf8')]).toEqual(['done', 'a', 'done', 'b']); // oxfmt-ignore
    expect(jobs.cancel(one.id)).toBe(true);
    expect([existsSync(one.file!.path), jobs.find(one.id), jobs.cancel(one.id)]).toEqual([false, undefined, false]);
  });

  test('end as they end: refused, failed, or given up; the next one goes on', async () => {
    const [refused, fails, throws, after] = ['refused', 'fails', 'throws', 'after'].map((one) => begun(one));
    const ends = [];
    for (const { id } of [refused!, fails!, throws!, after!]) ends.push((await jobs.ended(id, 9000))!.state);
    expect(ends).toEqual(['refused', 'failed', 'failed', 'done']);
    expect(jobs.find(refused!.id)).toMatchObject({ refusal: { words: 'Not this one.' } });
    // What failed may be tried again.
    expect(begun('fails').id).not.toBe(fails!.id);
  });

  test('are cancelled while they run and while they wait, and wait in bounds', async () => {
    const never = begun('never');
    const waiting = begun('later');
    expect((await jobs.ended(never.id, 50))!.state).toBe('running');
    while (jobs.find(never.id)!.stage === undefined) await new Promise((resolve) => setTimeout(resolve, 5));
    expect(jobs.find(never.id)).toMatchObject({ stage: 'writing', bytes: 7 });
    for (let i = 0; ; i++) {
      const one = jobs.begin(model, results(`more ${i}`));
      if (one) continue;
      expect(i).toBe(MOST_WAITING - 1);
      break;
    }
    jobs.cancel(waiting.id);
    jobs.cancel(never.id);
    expect([jobs.find(never.id)!.state, jobs.find(waiting.id)!.state]).toEqual(['cancelled', 'cancelled']);
    const last = jobs.begin(model, results('last'))!;
    expect((await jobs.ended(last.id, 9000))!.state).toBe('done');
  });
});
