import type { Random } from '../../core/test/random';
import type { Tortured } from './server';
import { spoiled } from './spoil';

const intents: readonly object[] = [
  { type: 'put', list: 'nodes', entry: { id: '1', x: 0, y: 0 } },
  { type: 'draw', nodes: [{ id: '1', x: 0, y: 0 }], members: [{ id: 'a', start: '1', end: '2', section: 's', material: 'm' }] },
  { type: 'moveNodes', moves: [{ id: '1', x: 1, y: 2 }] },
  { type: 'stretch', axis: 'x', beyond: 1, by: 2 },
  { type: 'remove', list: 'members', keys: ['a'] },
  { type: 'set', settings: { title: 'x', gravity: 9.81, grid: null } },
  { type: 'patch', patches: [{ op: 'replace', path: ['nodes', 0, 'x'], value: 3 }] },
  { type: 'transform', nodes: ['1'], motion: { kind: 'turn', about: [0, 0, 0], axis: 'z', degrees: 30 } },
  {
    type: 'repeat',
    nodes: ['1'],
    members: ['a'],
    motion: { kind: 'move', by: [1e10, 0, 0] },
    times: 9,
    supports: 'copied',
    loads: 'left',
  },
  { type: 'batch', intents: [{ type: 'split', cuts: [{ member: 'a', at: [0.5] }] }, { type: 'removeDoubled' }], label: 'x' },
  { type: 'insert', part: { nodes: [{ id: '1', x: 0, y: 0 }], members: [] }, at: [0, 0, 0] },
  { type: 'rename', list: 'nodes', names: { '1': 'constructor' } },
  { type: 'merge', pairs: [['1', '2']] },
  { type: 'joints', members: ['a'] },
  { type: 'underlay', change: { image: 'data:image/png;base64,AAAA', width: 1, height: 1, x: 0, y: 0, metresPerPixel: 1 } },
];

const paths = [
  '/api/models/%00',
  '/api/models/..%2f',
  '/models/%00',
  '/models/nothing',
  '/api/models/x/file?format=../..',
  '/api/nothing',
  '/icon.svgfoo',
  '/%ff',
  '/api/models/%',
  '/api/models/a%2',
  '/models/%zz',
  '/api/projects/%c0%80',
  '//x/api/models',
];
const methods = ['GET', 'PUT', 'PATCH', 'DELETE', 'POST', 'OPTIONS', 'PURGE', 'PROPFIND', 'BREW'];

/** One request that no page of ours would send, to a model that may be spoiled. */
export async function hostileRequest(server: Tortured, random: Random, model: string): Promise<void> {
  const kind = random.below(10);
  const headers = { 'Content-Type': 'application/json' };
  if (kind === 0) return void (await server.ask(random.of(paths), { method: random.of(methods) }));
  if (kind === 1) {
    const body = random.of([
      '',
      '{',
      '[]',
      'null',
      '"x"',
      '{"a":'.repeat(60),
      '\u0000',
      '{"base":1e999}',
      '{"base":null}',
      '{"number":null}',
    ]);
    return void (await server.ask(`/api/models/${model}/revisions`, { method: 'POST', headers, body }));
  }
  if (kind === 2) {
    const body = JSON.stringify(
      spoiled(random, { format: 'rigid-beam/model', version: 1, space: 'plane', nodes: [{ id: '1', x: 0, y: 0 }] }),
    );
    return void (await server.ask(`/api/models?project=x&fileName=a.json`, { method: 'POST', body }));
  }
  const answer = await server.ask(`/api/models/${model}`);
  const { revision } = (answer?.body ?? {}) as { revision?: number };
  let request: unknown = {
    base: revision ?? 0,
    edit: `hostile-${random.below(1e9)}`,
    kind: 'edit',
    label: 'x',
    intent: random.of(intents),
  };
  for (let times = 1 + random.below(3); times > 0; times--) request = spoiled(random, request);
  await server.ask(`/api/models/${model}/revisions`, { method: 'POST', headers, body: JSON.stringify(request) });
}
