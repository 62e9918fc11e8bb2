import { execFile } from 'node:child_process';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import Ajv from 'ajv/dist/2020';
import { OpenAPIClientAxios, type Document, type OpenAPIClient } from 'openapi-client-axios';
import { Application } from './application';
import { keepsRules } from './keeps-rules';

const application = new Application({ own: 'data' });
beforeAll(() => application.start());
afterAll(() => application.close());

/** What the command prints, run by the user whose data these are. */
const command = (...args: string[]): Promise<string> =>
  new Promise((resolve, reject) => {
    const env = { ...process.env, RIGID_BEAM_DATA: application.data };
    execFile(process.execPath, ['cli/dist/rigid-beam.mjs', ...args], { env }, (error, stdout, stderr) =>
      error ? reject(new Error(stderr)) : resolve(stdout.trim()),
    );
  });

interface Answered {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly data: never;
}
type Ask = (name: string, parameters?: object | null, body?: unknown, headers?: Record<string, string>) => Promise<Answered>;

/** Asks by the names of the description, and holds each answer against what the description says of it. */
async function clientWith(token: string): Promise<Ask> {
  const definition = (await (await fetch(`${application.address}/api/openapi.json`)).json()) as Document;
  const api = new OpenAPIClientAxios({
    definition: { ...definition, servers: [{ url: application.address }] },
    axiosConfigDefaults: { headers: { Authorization: `Bearer ${token}` }, validateStatus: () => true },
  });
  const client: OpenAPIClient = await api.init();
  const ajv = new Ajv({ strict: false, validateFormats: false });
  ajv.addSchema(definition, 'described');
  return async (name, parameters = null, body, headers = {}) => {
    const answer = (await (client as never as Record<string, (...args: unknown[]) => Promise<Answered>>)[name]!(parameters, body, { headers })) as Answered; // oxfmt-ignore
    const { path, method } = api.getOperation(name)!;
    const at = ['paths', path, method, 'responses', String(answer.status)].map((part) =>
      part.replaceAll('~', '~0').replaceAll('/', '~1'),
    );
    const [media] = String(answer.headers['content-type'] ?? '').split(';');
    const told = (api.getOperation(name)!.responses as Record<string, { content?: Record<string, object> } | undefined>)[answer.status]; // oxfmt-ignore
    if (!told) throw new Error(`${name} answers ${answer.status}, of which the description says nothing`);
    if (told.content && answer.status !== 304)
      expect([name, Object.keys(told.content)]).toEqual([name, expect.arrayContaining([media])]);
    if (told.content && media?.endsWith('json')) {
      const check = ajv.compile({ $ref: `described#/${[...at, 'content', media.replaceAll('/', '~1'), 'schema'].join('/')}` });
      expect([name, answer.data, check(answer.data) ? [] : check.errors]).toEqual([name, answer.data, []]);
    }
    return answer;
  };
}

const put = (list: string, entry: object) => ({ type: 'put', list, entry });
/** A beam of 6 m under 5 kN/m. */
const beam = {
  type: 'batch',
  label: 'A beam',
  intents: [
    put('materials', { id: 'steel', E: 210e9, G: 81e9, density: 7850 }),
    put('sections', { id: 's', A: 5e-3, Iz: 8e-5 }),
    put('nodes', { id: '1', x: 0, y: 0 }),
    put('nodes', { id: '2', x: 6, y: 0 }),
    put('members', { id: 'b', start: '1', end: '2', section: 's', material: 'steel' }),
    put('supports', { node: '1', ux: 'fixed', uy: 'fixed' }),
    put('supports', { node: '2', uy: 'fixed' }),
    put('cases', { id: 'Q', category: 'imposed' }),
    put('loads', { case: 'Q', type: 'line', member: 'b', from: { wy: -5000 }, to: { wy: -5000 } }),
  ],
};

describe('a program of the user', () => {
  test('does a whole job by HTTP alone: a project, a model, edits, results, tables, a drawing, a report', async () => {
    const ask = await clientWith(await command('token', 'make', 'trial'));
    const { id: project } = (await ask('createProject', null, { name: 'Rain-tank tower', number: '7' })).data as { id: string };
    const { id } = (await ask('createModel', null, { project, title: 'Bearer' })).data as { id: string };
    const of = { id };

    // An edit on the revision that is known, sent twice: it is done once.
    const { headers } = await ask('readModel', of);
    expect(headers['etag']).toBe('"0"');
    const once = { 'If-Match': headers['etag']!, 'Idempotency-Key': 'trial-beam-1' };
    const first = await ask('edit', of, { intent: beam }, once);
    const again = await ask('edit', of, { intent: beam }, once);
    expect([first.status, again.status, first.data, again.data]).toEqual([201, 201, { revision: 1 }, { revision: 1 }]);
    const late = await ask('edit', of, { intent: { type: 'set', settings: { title: 'Late' } } }, { ...once, 'Idempotency-Key': 'trial-late-1' }); // oxfmt-ignore
    expect([late.status, late.data]).toEqual([
      412,
      expect.objectContaining({ revision: 1, since: [{ number: 1, label: 'A beam' }] }),
    ]);
    const bad = await ask('edit', of, { base: 1, edit: 'trial-bad-1', intent: put('nodes', { id: '3', x: 'far' }) });
    expect([bad.status, (bad.data as { detail: string }).detail]).toEqual([400, expect.stringMatching(/“far”/)]);
    expect((await ask('edit', of, { base: 1, edit: 'trial-bad-2', intent: { type: 'explode' } })).status).toBe(400);

    // On a busy machine a file takes longer than an answer waits by itself.
    const patient = { Prefer: 'wait=60' };
    const solved = await ask('solve', { ...of, case: 'Q', stations: 3 }, undefined, patient);
    expect(solved.data).toMatchObject({ format: 'rigid-beam/results', status: 'solved' });
    const results = (solved.data as { results: { Q: { reactions: Record<string, number[] | Record<string, number>> } } }).results;
    expect(JSON.stringify(results.Q.reactions)).toMatch(/15000/);
    expect((await ask('solve', { ...of, case: 'Q', stations: 3 }, undefined, { 'If-None-Match': '"1"' })).status).toBe(304);
    expect((await ask('solve', { ...of, case: 'W' })).status).toBe(422);
    const table = (await ask('readTables', { ...of, name: 'reactions', case: 'Q' }, undefined, patient)).data as { rows: unknown[][]; columns: { unit?: string }[] }; // oxfmt-ignore
    expect([table.columns[2]!.unit, table.rows[0]![2]]).toEqual(['kN', expect.closeTo(15, 9)]);
    const csv = await ask(
      'readTables',
      { ...of, name: 'reactions', case: 'Q', format: 'csv', decimal: 'comma' },
      undefined,
      patient,
    );
    expect(String(csv.data)).toMatch(/^Node;X \(kN\);Y \(kN\)/);
    const exchange = String((await ask('readModelFile', { ...of, format: 'ifc' }, undefined, patient)).data);
    expect(exchange).toMatch(/FILE_SCHEMA\(\('IFC4X3_ADD2'\)\)[^]*IFCSTRUCTURALRESULTGROUP/);
    expect(String((await ask('draw', { ...of, quantity: 'M', case: 'Q', format: 'svg' }, undefined, patient)).data)).toMatch(
      /^<svg/,
    );

    // What is not waited for is a job.
    const begun = await ask('report', { ...of, number: 'J-1' }, undefined, { Prefer: 'wait=0' });
    expect([begun.status, begun.headers['location']]).toEqual([202, `/api/jobs/${(begun.data as { id: string }).id}`]);
    const job = { id: (begun.data as { id: string }).id };
    let told: { state: string; bytes: number };
    do told = (await ask('readJob', job)).data;
    while (['waiting', 'running'].includes(told.state));
    expect(told).toMatchObject({ state: 'done', result: `/api/jobs/${job.id}/result`, mediaType: 'application/pdf' });
    expect(told.bytes).toBeGreaterThan(10_000);
    const pdf = await application.ask(`/api/jobs/${job.id}/result`);
    expect([pdf.headers.get('content-disposition'), (await pdf.text()).slice(0, 5)]).toEqual(['attachment; filename="bearer.pdf"', '%PDF-']); // oxfmt-ignore
    expect((await ask('cancelJob', job)).status).toBe(200);
    expect((await ask('readJob', job)).status).toBe(404);
    await ask('removeModel', of);
    await ask('removeModel', of);
    expect((await ask('removeProject', { id: project })).status).toBe(200);
  });

  test('cancels a job that waits behind a long one', async () => {
    const ask = await clientWith(await command('token', 'make', 'canceller'));
    const { projects } = (await ask('listProjects')).data as { projects: { models: { id: string }[] }[] };
    const of = { id: projects[0]!.models[0]!.id };
    const now = { Prefer: 'wait=0' };
    const long = (await ask('report', { ...of, number: '1' }, undefined, now)).data as { id: string };
    const behind = (await ask('report', { ...of, number: '2' }, undefined, now)).data as { id: string; state: string };
    expect(behind.state).toBe('waiting');
    for (const job of [behind, long]) {
      expect((await ask('cancelJob', { id: job.id })).status).toBe(200);
      expect((await ask('readJob', { id: job.id })).data).toMatchObject({ state: 'cancelled' });
      expect((await ask('readJobResult', { id: job.id })).status).toBe(404);
    }
    // The thread that was ended is followed by another.
    expect((await ask('report', { ...of, format: 'html' }, undefined, { Prefer: 'wait=60' })).status).toBe(200);
  });

  test('is refused without a token, with one that was revoked, and from a page of another origin', async () => {
    const at = `${application.address}/api/projects`;
    const statusWith = async (headers: Record<string, string>): Promise<number> => (await fetch(at, { headers })).status;
    const token = await command('token', 'make', 'short');
    const own = { Authorization: `Bearer ${token}` };
    expect(await Promise.all([{}, own, { Authorization: `Bearer ${token}0` }, { 'Sec-Fetch-Site': 'cross-site' }].map((headers) => statusWith(headers as never)))).toEqual([401, 200, 401, 401]); // oxfmt-ignore
    expect((await fetch(at, { method: 'POST', headers: { ...own, Origin: 'http://garden.example' }, body: '{}' })).status).toBe(
      403,
    );
    expect(await command('token', 'list')).toMatch(/short\t\d{4}-/);
    await command('token', 'revoke', 'short');
    expect(await statusWith(own)).toBe(401);
    await expect(command('token', 'revoke', 'short')).rejects.toThrow(/no token “short”/);
    expect((await fetch(`${application.address}/api/ready`)).status).toBe(200);
  });

  test('finds a page that says it all to people', async () => {
    const page = await application.page();
    await page.goto(`${application.address}/api-reference`, { waitUntil: 'load' });
    const text = await page.$eval('main', (main) => (main as HTMLElement).innerText);
    for (const said of [
      '/api/models/{id}/results',
      'Idempotency-Key',
      'PutEdit',
      'a whole number from 2 to 10000',
      'Changed meanwhile',
    ])
      expect(text).toContain(said);
    await keepsRules('the reference', page);
  });
});
