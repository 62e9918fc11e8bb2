import { afterAll, beforeAll, expect, test } from '@jest/globals';
import * as Comlink from 'comlink';
import { inRow, sketch } from '@rigid-beam/core/test/build';
import type { PaperAsked } from './paper/asked';
import type { SolveOutcome } from './solving-client';
import type { SolveProgress } from './solver.worker';

type Tell = Comlink.Remote<(progress: SolveProgress) => void>;

/** What stands for the worker: its solutions come when the test says so. */
const runs: { readonly tell: Tell; readonly end: () => void }[] = [];
const solver = {
  solve: (_parts: unknown, tell: Tell) =>
    new Promise((resolve) => {
      const results = { status: 'solved', notices: [], mechanisms: [] };
      runs.push({ tell, end: () => resolve({ results, milliseconds: 1, unchanged: [] }) });
    }),
  write: () => {
    throw new Error('too long');
  },
  // A drawing that takes longer than anybody waits.
  draw: () => new Promise(() => undefined),
};

const ports: MessagePort[] = [];
const original = globalThis.Worker;
beforeAll(() => {
  globalThis.Worker = function () {
    const { port1, port2 } = new MessageChannel();
    ports.push(port1, port2);
    Comlink.expose(solver, port2);
    return Object.assign(port1, { terminate: () => port1.close() });
  } as unknown as typeof Worker;
});
afterAll(() => {
  for (const { tell } of runs) tell[Comlink.releaseProxy]();
  for (const port of ports) port.close();
  globalThis.Worker = original;
});

const until = async (holds: () => boolean): Promise<void> => {
  for (let turn = 0; turn < 200 && !holds(); turn++) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(holds()).toBe(true);
};

test('what a solution tells on its way is not heard any more once it has come', async () => {
  const { SolvingClient } = await import('./solving-client');
  const told: (SolveProgress | undefined)[] = [];
  const reported: SolveOutcome[] = [];
  const client = new SolvingClient(
    (outcome) => reported.push(outcome),
    (progress) => told.push(progress),
  );
  const model = sketch({ nodes: inRow(0, 2), members: [['a', '1', '2']], supports: [] });
  client.solve(model);
  await until(() => runs.length === 1);
  await runs[0]!.tell({ phase: 'cases', done: 0.5 });
  expect(told).toEqual([{ phase: 'cases', done: 0.5 }]);
  runs[0]!.end();
  await until(() => reported.length === 1);
  await runs[0]!.tell({ phase: 'cases', done: 0.9 });
  expect(told).toEqual([{ phase: 'cases', done: 0.5 }, undefined]);
  expect(reported).toMatchObject([{ model, solved: { results: { status: 'solved' } } }]);
  client.close();
});

test('a worker that dies is started again: what was asked of it fails in words, and the next model is solved', async () => {
  const { SolvingClient } = await import('./solving-client');
  const reported: SolveOutcome[] = [];
  const client = new SolvingClient((outcome) => reported.push(outcome), () => undefined); // oxfmt-ignore
  const model = sketch({ nodes: inRow(0, 2), members: [['a', '1', '2']], supports: [] });
  const before = runs.length;
  client.solve(model);
  await until(() => runs.length === before + 1);
  const dying = ports.at(-2)!;
  dying.dispatchEvent(Object.assign(new Event('error'), { message: 'out of memory' }));
  await until(() => reported.length === 1);
  expect(reported[0]).toMatchObject({ model, failure: expect.stringMatching(/was started again/) });
  client.solve({ ...model, title: 'next' });
  await until(() => runs.length === before + 2);
  runs.at(-1)!.end();
  await until(() => reported.length === 2);
  expect(reported[1]).toMatchObject({ solved: { results: { status: 'solved' } } });
  // A file that cannot be written leaves nothing stuck.
  await expect(client.write('results')).rejects.toThrow('too long');
  client.solve({ ...model, title: 'last' });
  await until(() => runs.length === before + 3);
  client.close();
});

test('a drawing that a newer model stops leaves nobody waiting for it', async () => {
  const { SolvingClient } = await import('./solving-client');
  const client = new SolvingClient(() => undefined, () => undefined); // oxfmt-ignore
  const asked = [client.draw({} as PaperAsked), client.draw({} as PaperAsked)];
  const before = runs.length;
  client.solve(sketch({ nodes: inRow(0, 2), members: [['a', '1', '2']], supports: [] }));
  await until(() => runs.length === before + 1);
  expect(await Promise.all(asked)).toEqual([undefined, undefined]);
  client.close();
});

test('who asks after the page has gone gets nothing, and nothing is thrown', async () => {
  const { SolvingClient } = await import('./solving-client');
  const client = new SolvingClient(() => undefined, () => undefined); // oxfmt-ignore
  client.close();
  const asked = [
    client.governing(),
    client.influence({ effect: '1.fy' }),
    client.readEnvelope(0, { extremes: true, curve: undefined, sheared: undefined }, () => undefined),
    client.remedies(),
    client.recheck(0),
  ];
  expect(await Promise.all(asked)).toEqual(asked.map(() => undefined));
  const before = runs.length;
  client.solve(sketch({ nodes: inRow(0, 2), members: [['a', '1', '2']], supports: [] }));
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(runs).toHaveLength(before);
});
