import { describe, expect, test } from '@jest/globals';
import { hostFault, originFault } from './guard';
import { readRequest, readText } from './read-request';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { makeToken, ownKey } from '@rigid-beam/machine/access-keys';
import { accessFault } from './access';
import { CreateModelRequest, RevisionRequest } from './requests';

const request = (body: string): Request => new Request('http://localhost/api', { method: 'POST', body });
const good = { base: 0, edit: 'edit-0001', kind: 'edit', label: 'x', intent: { type: 'set', settings: { title: 'x' } } };

async function faults(body: unknown): Promise<string[]> {
  const read = await readRequest(request(typeof body === 'string' ? body : JSON.stringify(body)), RevisionRequest);
  if (read.ok) return [];
  expect(read.response.status).toBe(400);
  const answer = (await read.response.json()) as { faults: { path: string; message: string }[] };
  return answer.faults.map(({ path, message }) => `${path}: ${message}`);
}

describe('requests', () => {
  test.each<[string, object]>([
    ['put', { type: 'put', list: 'nodes', entry: { id: '1' } }],
    ['draw', { type: 'draw', nodes: [{ id: '1', x: 0, y: 0 }], members: [] }],
    ['moveNodes', { type: 'moveNodes', moves: [{ id: '1', x: 0, y: 0 }] }],
    ['stretch', { type: 'stretch', axis: 'x', beyond: 1, by: 2 }],
    ['remove', { type: 'remove', list: 'members', keys: ['a'] }],
    ['remove', { type: 'remove', list: 'loads', keys: ['3'] }],
    ['set', { type: 'set', settings: {} }],
    ['patch', { type: 'patch', patches: [] }],
    ['transform', { type: 'transform', nodes: ['1'], motion: { kind: 'turn', about: [0, 0, 0], axis: 'z', degrees: 30 } }],
    [
      'repeat',
      {
        type: 'repeat',
        nodes: [],
        members: ['a'],
        motion: { kind: 'move', by: [0, 0, 5] },
        times: 3,
        link: { section: 's', material: 'm' },
        supports: 'copied',
        loads: 'left',
      },
    ],
    [
      'batch',
      {
        type: 'batch',
        intents: [
          { type: 'split', cuts: [{ member: 'a', at: [0.5] }] },
          { type: 'join', members: ['a', 'b'] },
          { type: 'merge', pairs: [['1', '2']] },
          { type: 'removeDoubled' },
          { type: 'rename', list: 'nodes', names: { '1': '2' } },
          { type: 'insert', part: { nodes: [{ id: '1', x: 0, y: 0 }], members: [] }, at: [0, 0, 0] },
          { type: 'underlay', change: null },
        ],
        label: 'Mend',
      },
    ],
  ])('an intent to %s passes as it is', async (_, intent) => {
    const read = await readRequest(request(JSON.stringify({ ...good, intent })), RevisionRequest);
    expect(read.ok && JSON.parse(JSON.stringify(read.value.intent))).toEqual(intent);
  });

  test.each<[string, unknown, RegExp]>([
    ['no JSON', '{', /not valid JSON/],
    ['a list', '[]', /not an object/],
    ['a wrong base', { ...good, base: 1.5 }, /^base:/],
    ['a wrong kind', { ...good, kind: 'wish' }, /^kind:/],
    ['an unknown key', { ...good, admin: true }, /admin/],
    ['an unknown intent', { ...good, intent: { type: 'explode' } }, /^intent\.type:/],
    ['no intent', { ...good, intent: null }, /^intent:/],
    [
      'a move to nowhere',
      { ...good, intent: { type: 'moveNodes', moves: [{ id: '1', x: 'a', y: 1 }] } },
      /^intent\.moves\[0\]\.x:/,
    ],
    ['a list that does not exist', { ...good, intent: { type: 'remove', list: 'walls', keys: ['1'] } }, /^intent\.list:/],
    ['an axis that does not exist', { ...good, intent: { type: 'stretch', axis: 'w', beyond: 0, by: 1 } }, /^intent\.axis:/],
    [
      'a turn about nothing',
      { ...good, intent: { type: 'transform', nodes: ['1'], motion: { kind: 'turn', degrees: 3 } } },
      /^intent\.motion\.about:/,
    ],
    [
      'a faulty edit in a batch',
      { ...good, intent: { type: 'batch', intents: [{ type: 'explode' }] } },
      /^intent\.intents\[0\]\.type:/,
    ],
    ['nothing to remove', { ...good, intent: { type: 'remove', list: 'nodes', keys: [] } }, /^intent\.keys:/],
  ])('%s is refused with where and why', async (_, body, words) => expect((await faults(body)).join('\n')).toMatch(words));

  test('all faults come together', async () =>
    expect((await faults({ base: -1, kind: 1, edit: '', label: 2, intent: good.intent })).length).toBeGreaterThanOrEqual(4));

  test.each<[string, object, RegExp]>([
    ['a base that no counter holds', { base: 2147483648 }, /^base: /],
    ['a label with a character that nothing stores', { label: 'a\u0000b' }, /character NUL/],
    ['no edit', { intent: null }, /./],
    ['an edit in a list', { intent: [null] }, /./],
    ['a batch of nothing', { intent: { type: 'batch', intents: [null], label: 'x' } }, /./],
    ['a batch of texts', { intent: { type: 'batch', intents: ['put'], label: 'x' } }, /./],
    ['an empty part to insert', { intent: { type: 'insert', part: {}, at: [0, 0, 0] } }, /part/],
    ['no part to insert', { intent: { type: 'insert', part: null, at: [0, 0, 0] } }, /part/],
    ['a motion that is none', { intent: { type: 'transform', nodes: ['1'], motion: null } }, /motion/],
    ['a key that every object has', JSON.parse('{"intent":{"type":"set","settings":{"__proto__":1}}}') as object, /__proto__/],
  ])('%s is refused with reasons', async (_, change, words) =>
    expect((await faults({ ...good, ...change })).join('; ')).toMatch(words),
  );

  test.each(['constructor', 'toString', 'hasOwnProperty', 'then'])('a node may be called %s', async (name) => {
    const intents = [
      { type: 'rename', list: 'nodes', names: { [name]: '2' } },
      { type: 'rename', list: 'nodes', names: { '2': name } },
      { type: 'put', list: 'nodes', entry: { id: name, x: 0, y: 0, [name]: 1 }, key: name },
    ];
    for (const intent of intents) {
      const read = await readRequest(request(JSON.stringify({ ...good, intent })), RevisionRequest);
      expect(read.ok && JSON.parse(JSON.stringify(read.value.intent))).toEqual(intent);
    }
  });

  test('size and depth are bounded', async () => {
    expect(await readText(request('x'.repeat(101)), 100)).toBeUndefined();
    expect(await readText(request('x'.repeat(100)), 100)).toHaveLength(100);
    const read = await readRequest(request(JSON.stringify({ project: 'x'.repeat(200) })), CreateModelRequest, { limit: 50 });
    expect(!read.ok && read.response.status).toBe(413);
    let deep: unknown = 1;
    for (let i = 0; i < 40; i++) deep = { deep };
    expect((await faults({ ...good, intent: { type: 'set', settings: deep } })).join()).toMatch(/nested deeper than 24 levels/);
  });
});

describe('the guard', () => {
  test.each([
    ['127.0.0.1:3000', true],
    ['localhost:3000', true],
    ['LOCALHOST', true],
    ['[::1]:3000', true],
    ['evil.example:3000', false],
    ['127.0.0.1.evil.example', false],
    [null, false],
  ])('host %p', (host, fine) => expect(hostFault(host) === undefined).toBe(fine));

  test.each<[Record<string, string>, boolean]>([
    [{ host: 'localhost:3000' }, true],
    [{ host: 'localhost:3000', origin: 'http://localhost:3000', 'sec-fetch-site': 'same-origin' }, true],
    [{ host: 'localhost:3000', origin: 'http://localhost:4000' }, false],
    [{ host: 'localhost:3000', origin: 'null' }, false],
    [{ host: 'localhost:3000', 'sec-fetch-site': 'cross-site' }, false],
  ])('a write with %j', (headers, fine) => expect(originFault(new Headers(headers)) === undefined).toBe(fine));

  test('lets the interface be asked by its own page and by a token, and tells others how', () => {
    const data = mkdtempSync(path.join(tmpdir(), 'rigid-beam-access-'));
    const made = makeToken(data, 'trial') as { readonly token: string };
    const by = (headers: Record<string, string>, at = '/api/models') => accessFault(at, new Headers(headers), data);
    const bearer = (secret: string): Record<string, string> => ({ authorization: `Bearer ${secret}` });
    try {
      expect(by({})).toMatch(/token make NAME/);
      expect(by({}, '/api/ready')).toBeUndefined();
      expect([by({ 'sec-fetch-site': 'same-origin' }), by({ 'sec-fetch-site': 'none' })]).toEqual([undefined, undefined]);
      expect([by(bearer(made.token)), by(bearer(ownKey(data)))]).toEqual([undefined, undefined]);
      for (const site of ['cross-site', 'same-site']) expect(by({ 'sec-fetch-site': site })).toMatch(/token/);
      // A wrong token is none, wherever it comes from.
      expect(by({ ...bearer('rb-wrong'), 'sec-fetch-site': 'same-origin' })).toMatch(/not known here/);
    } finally {
      rmSync(data, { recursive: true });
    }
  });
});
