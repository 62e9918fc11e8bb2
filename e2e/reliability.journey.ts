import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';

const application = new Application({ own: 'data', provoked: /Failed to load resource/ });
beforeAll(() => application.start());
afterAll(() => application.close());

const beam = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Small', space: 'plane' },
  materials: [{ id: 'm', E: 210e9 }],
  sections: [{ id: 's', A: 5e-3, Iz: 8e-5 }],
  nodes: [1, 2].map((n) => ({ id: String(n), x: 4 * n, y: 0 })),
  members: [{ id: 'a', start: '1', end: '2', section: 's', material: 'm' }],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
  cases: [{ id: 'Q', category: 'imposed' }],
  loads: [{ id: '1', case: 'Q', type: 'node', node: '2', fy: -1e3 }],
};

interface Listed {
  readonly id: string;
  readonly models: readonly { readonly id: string; readonly title: string }[];
}

const projects = async (): Promise<readonly Listed[]> =>
  ((await (await application.ask(`/api/projects`)).json()) as { projects: Listed[] }).projects;

/** Sends a file as the projects page does. */
async function send(text: string): Promise<{ status: number; message: string }> {
  const [project] = await projects();
  const query = new URLSearchParams({ project: project!.id, fileName: 'model.rbm.json' });
  const response = await application.ask(`/api/models?${query}`, {
    method: 'POST',
    // On a connection of its own: the server may close an idle one at the very moment that it is used again.
    headers: { 'Content-Type': 'application/octet-stream', Connection: 'close' },
    body: text,
  });
  const { faults } = (await response.json()) as { faults?: { message: string }[] };
  return { status: response.status, message: faults?.[0]?.message ?? '' };
}

describe('what a stored model asks for holds nobody up', () => {
  test('45 envelopes over each other, and 20,000 chained sums, deepest first', async () => {
    const names = Array.from({ length: 45 }, (_, i) => `E${i}`);
    const envelopes = names.map((id, i) => ({ id, type: 'envelope', of: i < 2 ? ['Q'] : [names[i - 1], names[i - 2]] }));
    const sums = Array.from({ length: 20_000 }, (_, i) => ({
      ...{ id: `S${i}`, type: 'sum', factors: { [i < 19_999 ? `S${i + 1}` : 'Q']: 1 } },
    }));
    for (const combinations of [envelopes, sums])
      expect(await send(JSON.stringify({ ...beam, combinations }))).toMatchObject({ status: 201 });
    // Ready without looking at them, and stopped when asked to.
    await application.end('SIGKILL');
    await application.start();
    const page = await fetch(application.address);
    expect([page.status, (await page.text()).match(/Small/g)?.length]).toEqual([200, expect.any(Number)]);
    for (const { id } of (await projects())[0]!.models.filter(({ title }) => title === 'Small'))
      expect((await fetch(`${application.address}/models/${id}`)).status).toBe(200);
    const begun = performance.now();
    await application.end('SIGTERM');
    // Not one of them was begun: they would take minutes on any machine.
    expect(performance.now() - begun).toBeLessThan(60_000);
    await application.start();
  });
});

describe('a backup', () => {
  /** Not waited for in one piece: connections that the server closes meanwhile must be noticed. */
  const command = (...args: string[]): Promise<{ status: number; stdout: string; stderr: string }> =>
    new Promise((resolve) => {
      const all = ['cli/dist/rigid-beam.mjs', ...args, '--address', application.address];
      // It reads its key where the data are.
      const env = { ...process.env, RIGID_BEAM_DATA: application.data };
      const child = execFile(process.execPath, all, { env }, (_, stdout, stderr) =>
        resolve({ status: child.exitCode ?? -1, stdout, stderr }),
      );
    });
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'rigid-beam-backup-')), 'garden.backup.jsonl.gz');
  afterAll(() => rmSync(path.dirname(file), { recursive: true }));
  const stateOf = async (): Promise<string> => {
    const all = (await projects()).flatMap(({ models }) => models);
    const states = await Promise.all(all.map(async ({ id }) => [id, await (await application.ask(`/api/models/${id}`)).json()]));
    return JSON.stringify(states.sort());
  };

  test('brings everything back, undo too, and leaves alone what is there', async () => {
    const [first] = (await projects())[0]!.models;
    const at = `/api/models/${first!.id}`;
    const image = `data:image/png;base64,${'A'.repeat(8000)}`;
    const edits = [
      { type: 'set', settings: { title: 'Saved' } },
      { type: 'underlay', change: { image, width: 9, height: 9, x: 0, y: 0, metresPerPixel: 0.01 } },
    ];
    for (const [base, intent] of edits.entries()) {
      const body = JSON.stringify({ base, edit: `backup-${base}`, kind: 'edit', label: 'x', intent });
      const headers = { 'Content-Type': 'application/json' };
      expect((await application.ask(`${at}/revisions`, { method: 'POST', headers, body })).status).toBe(201);
    }
    const before = await stateOf();
    expect(await command('backup', file)).toMatchObject({ status: 0, stdout: expect.stringMatching(/\d+ models saved/) });
    expect(statSync(file).mode & 0o077).toBe(0);
    for (const { models } of await projects())
      for (const { id } of models)
        for (let twice = 0; twice < 2; twice++) await application.ask(`/api/models/${id}`, { method: 'DELETE' });
    expect(await command('restore', file)).toMatchObject({
      status: 0,
      stdout: expect.stringMatching(/[1-9]\d* restored, 0 there already/),
    });
    expect(await stateOf()).toBe(before);
    const undone = (await (await application.ask(`${at}/revisions/2`)).json()) as { patches: object[] };
    expect(JSON.stringify(undone.patches)).toContain(image);
    expect((await command('restore', file)).stdout).toMatch(/0 restored, [1-9]\d* there already/);
  });

  test('that is cut off puts nothing in', async () => {
    const half = `${file}.half`;
    writeFileSync(half, readFileSync(file).subarray(0, 2000));
    expect(await command('restore', half)).toMatchObject({ status: 2, stderr: expect.stringMatching(/not a whole backup/) });
    expect(await command('restore', 'nothing.gz')).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/There is no file nothing.gz/),
    });
  });
});

describe('one limit for files, kept along the whole way', () => {
  const ofSize = (megabytes: number): string =>
    JSON.stringify({ ...beam, title: 'Large', note: 'x'.repeat(megabytes * 1024 * 1024) });

  test.each([11, 40])('a file of %d MiB comes in whole', async (megabytes) => {
    expect(await send(ofSize(megabytes))).toMatchObject({ status: 201 });
  });

  test('a larger one is refused with the limit', async () => {
    expect(await send(ofSize(65))).toEqual({
      status: 413,
      message: expect.stringMatching(/larger than the 64 MiB that are taken/),
    });
  });

  test('what no route does is said so', async () => {
    for (const [path, method] of [
      ['/api/models', 'PUT'],
      ['/api/models/x/revisions', 'DELETE'],
      ['/models/x', 'POST'],
    ] as const) {
      const response = await application.ask(path, { method });
      const { faults } = (await response.json()) as { faults: { message: string }[] };
      expect([response.status, faults[0]!.message]).toEqual([405, expect.stringMatching(/cannot be done at this address/)]);
    }
  });
});
