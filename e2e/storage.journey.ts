import { spawnSync } from 'node:child_process';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application, PATIENCE } from './application';
import { openLintel, setForce } from './lintel';
import { ModelPage } from './model-page';

// Refused requests and an absent server are what these journeys are about; the browser logs each.
const application = new Application({ own: 'data', provoked: /Failed to load resource/ });
beforeAll(() => application.start());
afterAll(() => application.close());

const lintel = (): Promise<ModelPage> => openLintel(application);

const post = (path: string, body: unknown, headers: Record<string, string> = {}): Promise<Response> =>
  application.ask(path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', ...headers },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });

describe('nothing is lost', () => {
  test('a reload keeps what was stored, and what can be undone', async () => {
    const page = await lintel();
    await setForce(page, '5 kN');
    await page.until('extremes', /−7\.5 kN·m/);
    await page.stored();
    await page.page.reload({ waitUntil: 'networkidle0' });
    await page.until('extremes', /−7\.5 kN·m/);
    await page.undo();
    await page.until('extremes', /−6 kN·m/);
    await page.stored();
  });

  test('stopping and killing the server keep every stored edit', async () => {
    const page = await lintel();
    for (const [signal, force, moment] of [
      ['SIGTERM', '5 kN', '−7.5'],
      ['SIGKILL', '6 kN', '−9'],
      ['SIGKILL', '8 kN', '−12'],
    ] as const) {
      await setForce(page, force);
      await page.until('extremes', new RegExp(`${moment} kN·m`));
      await page.stored();
      await application.end(signal);
      await application.start();
      await page.page.reload({ waitUntil: 'networkidle0' });
      await page.until('extremes', new RegExp(`${moment} kN·m`));
    }
  });

  test('an edit made while the server is away is stored when it comes back', async () => {
    const page = await lintel();
    await application.end('SIGTERM');
    await setForce(page, '2 kN');
    await page.until('storage', /does not answer/);
    await application.start();
    await page.stored();
    await page.page.reload({ waitUntil: 'networkidle0' });
    await page.until('extremes', /−3 kN·m/);
  });

  test('two windows never overwrite each other: the later one is told and takes the newer state', async () => {
    const [one, two] = [await lintel(), await lintel()];
    await one.page.bringToFront();
    await setForce(one, '4 kN');
    await one.until('extremes', /−6 kN·m/);
    await one.stored();
    await two.page.bringToFront();
    await setForce(two, '20 kN');
    expect(await two.until('conflict', /another window/)).toMatch(/Set load 6.*not stored/);
    await two.press('Take the newer state');
    await two.until('extremes', /−6 kN·m/);
    await two.stored();
    // Or its change is put on top of the newer state, knowingly: here another load was taken away before the one that it means.
    const path = `/api/models/${new URL(one.page.url()).pathname.split('/').pop()}`;
    const stateOf = async (): Promise<{ revision: number; model: { loads: { id: string; fy?: number }[] } }> =>
      (await (await application.ask(path)).json()) as never;
    const { revision, model } = await stateOf();
    const [first] = model.loads.filter(({ id }) => id !== '6');
    const intent = { type: 'remove', list: 'loads', keys: [first!.id] };
    const removed = await post(`${path}/revisions`, { base: revision, edit: 'elsewhere', kind: 'edit', label: 'x', intent });
    expect(removed.status).toBe(201);
    await setForce(two, '10 kN');
    await two.until('conflict', /another window/);
    await two.press('Put my change on top of it');
    await two.until('extremes', /−15 kN·m/);
    await two.stored();
    const { loads } = (await stateOf()).model;
    expect([loads.map(({ id }) => id), loads.find(({ id }) => id === '6')?.fy]).toEqual([
      model.loads.map(({ id }) => id).filter((id) => id !== first!.id),
      -10_000,
    ]);
    // What both changed is not overwritten: both states are told.
    await one.page.bringToFront();
    await one.page.reload({ waitUntil: 'networkidle0' });
    await one.act('Hanging baskets');
    await setForce(one, '3 kN');
    await one.stored();
    await two.page.bringToFront();
    await setForce(two, '12 kN');
    await two.until('conflict', /another window/);
    await two.press('Put my change on top of it');
    await two.page.waitForFunction(() =>
      /Load 6 was changed in both windows: here .*-12000.*there .*-3000/.test(document.body.innerText),
    );
    await two.until('extremes', /−4\.5 kN·m/);
  });

  test('a model that was removed elsewhere is told, and what one sees can still be saved', async () => {
    const page = await ModelPage.empty(application);
    const id = new URL(page.page.url()).pathname.split('/').pop()!;
    await application.ask(`/api/models/${id}`, { method: 'DELETE' });
    await page.command('make it a space model clamped');
    await page.page.waitForFunction(() => /There is no such model/.test(document.body.innerText));
    await page.press('Go back to the stored state');
    await page.page.waitForFunction(() => /This model was removed in another window/.test(document.body.innerText));
  });

  test('faulty requests are refused with all their reasons, and nothing is stored', async () => {
    const page = await lintel();
    const id = new URL(page.page.url()).pathname.split('/').pop()!;
    const before = (await (await application.ask(`/api/models/${id}`)).json()) as { revision: number };
    const good = { edit: 'a-test-edit', kind: 'edit', label: 'test' };
    const faulty: [unknown, RegExp][] = [
      ['{', /not valid JSON/],
      [{ base: -1, kind: 'never', intent: { type: 'explode' } }, /base[\s\S]*kind[\s\S]*intent\.type/],
      [
        { base: before.revision, ...good, intent: { type: 'moveNodes', moves: [{ id: '1', x: 'far', y: null }] } },
        /intent\.moves\[0\]\.x[\s\S]*intent\.moves\[0\]\.y/,
      ],
      [
        {
          base: before.revision,
          ...good,
          intent: {
            type: 'put',
            list: 'members',
            entry: { id: 'z', start: '1', end: 'nowhere', section: 'none', material: 'steel' },
          },
        },
        /members\[3\]\.end[\s\S]*members\[3\]\.section/,
      ],
      [
        { base: before.revision, ...good, intent: { type: 'put', list: 'sections', entry: { id: 'lintel', A: -1 } }, extra: 1 },
        /extra/,
      ],
    ];
    for (const [body, reasons] of faulty) {
      const response = await post(`/api/models/${id}/revisions`, body);
      expect(response.status).toBe(400);
      expect(JSON.stringify(await response.json())).toMatch(reasons);
    }
    const foreign = await post(
      `/api/models/${id}/revisions`,
      { base: before.revision, ...good, intent: { type: 'set', settings: { title: 'x' } } },
      { Origin: 'http://elsewhere.example' },
    );
    expect(foreign.status).toBe(403);
    expect(((await (await application.ask(`/api/models/${id}`)).json()) as { revision: number }).revision).toBe(before.revision);
  });

  test('a second server is refused on the same data with a clear message', () => {
    const second = spawnSync(process.execPath, ['scripts/start.mjs'], {
      encoding: 'utf8',
      env: { ...process.env, RIGID_BEAM_DATA: application.data, PORT: String(application.port) },
      timeout: PATIENCE,
    });
    expect(second.stdout).toMatch(/is taken; using/);
    expect(second.stderr).toMatch(/already open in another Rigid Beam/);
    expect(second.stderr).not.toMatch(/at .*\.js:/);
    expect(second.status).toBe(1);
  });

  test('no page complained', () => expect(application.complaints).toEqual([]));
});
