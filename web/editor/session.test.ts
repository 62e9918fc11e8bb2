import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { sketch } from '@rigid-beam/core/test/build';
import { afterRevision, emptyHistory, historyOf, type Step } from './history';
import { revisionReached, StorageQueue, type UnsentEdit, type StorageState } from './storage';
import { addressOfPlace, placeOfAddress } from './view-state';

const step = (label: string): Step => ({ label, patches: [{ op: 'replace', path: ['title'], value: label }], inverse: [] });

describe('undo and redo', () => {
  test('move one step between two piles; a new edit clears what could be redone', () => {
    let history = ['a', 'b', 'c'].reduce((before, label) => afterRevision(before, 'edit', step(label)), emptyHistory);
    history = afterRevision(history, 'undo', step('c'));
    history = afterRevision(history, 'undo', step('b'));
    expect([history.undo.map(({ label }) => label), history.redo.map(({ label }) => label)]).toEqual([['a'], ['c', 'b']]);
    history = afterRevision(history, 'redo', step('b'));
    expect([history.undo.map(({ label }) => label), history.redo.map(({ label }) => label)]).toEqual([['a', 'b'], ['c']]);
    expect(afterRevision(history, 'edit', step('d')).redo).toEqual([]);
  });

  test('an undo older than what was loaded can be redone', () => {
    const undone = historyOf([
      { kind: 'undo', label: 'old', patches: [{ op: 'add', path: ['x'], value: 1 }], inverse: [{ op: 'remove', path: ['x'] }] },
    ]);
    expect(undone.undo).toEqual([]);
    expect(undone.redo[0]).toMatchObject({ label: 'old', patches: [{ op: 'remove' }], inverse: [{ op: 'add' }] });
  });

  test('is the same when it is rebuilt from stored revisions', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('edit', 'undo', 'redo'), { maxLength: 30 }), (kinds) => {
        let history = emptyHistory;
        const stored: (Step & { kind: 'edit' | 'undo' | 'redo' })[] = [];
        kinds.forEach((kind, i) => {
          if ((kind === 'undo' && history.undo.length === 0) || (kind === 'redo' && history.redo.length === 0)) return;
          const revision = { ...step(String(i)), kind: kind as 'edit' };
          stored.push(revision);
          history = afterRevision(history, revision.kind, revision);
        });
        expect(historyOf(stored)).toEqual(history);
      }),
    );
  });
});

describe('the address', () => {
  test('holds stage, acting case, quantity and what is switched, and reads back', () => {
    const switches = { diagram: true, loads: false };
    const place = { stage: 'loads', acting: 'Q 1&2', quantity: 'Vy' as const, switches, beside: undefined };
    expect(placeOfAddress(addressOfPlace(place))).toEqual(place);
    const pane = { acting: 'G', quantity: 'Mz' as const, also: ['N', 'v'] as const, switches: { names: true } };
    const two = { ...place, beside: { where: 'below' as const, panes: [pane] } };
    const four = { ...place, beside: { where: 'right' as const, panes: [pane, { ...pane, acting: undefined, switches: {} }, { ...pane, less: true as const }] } }; // oxfmt-ignore
    for (const several of [two, four]) expect(placeOfAddress(addressOfPlace(several))).toEqual(several);
    expect(placeOfAddress('?beside=right&panes=9').beside?.panes).toHaveLength(3);
  });

  test('what it does not know becomes the beginning', () =>
    expect(placeOfAddress('?quantity=heat&show=smoke')).toEqual({
      stage: 'geometry',
      acting: undefined,
      quantity: undefined,
      switches: {},
      beside: undefined,
    }));
});

describe('storing edits', () => {
  const answers: (() => Promise<Response>)[] = [];
  const sent: { base: number; label: string; keepalive: boolean }[] = [];
  const original = globalThis.fetch;
  beforeEach(() => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate'] });
    globalThis.fetch = ((_: string, { body, keepalive }: { body: string; keepalive: boolean }) => {
      sent.push({ ...(JSON.parse(body) as { base: number; label: string }), keepalive });
      return answers.shift()!();
    }) as never;
  });
  afterEach(() => {
    jest.useRealTimers();
    globalThis.fetch = original;
    answers.length = sent.length = 0;
  });
  const answer = (status: number, body: unknown = {}): void =>
    void answers.push(() => Promise.resolve(Response.json(body, { status })));
  const away = (): void => void answers.push(() => Promise.reject(new Error('refused')));
  const model = sketch({ nodes: [], members: [], supports: [] });
  const edit = (label: string): UnsentEdit => ({
    edit: `edit-${label}`,
    kind: 'edit',
    label,
    intent: { type: 'set', settings: { title: label } },
    before: model,
    after: { ...model, title: label },
  });
  const settled = async (): Promise<void> => {
    for (let i = 0; i < 12; i++) await new Promise((resolve) => setImmediate(resolve));
  };
  const begin = (): { queue: StorageQueue; states: StorageState[] } => {
    const states: StorageState[] = [];
    return { queue: new StorageQueue('m', 7, (state) => states.push(state)), states };
  };

  test('one after the other, each on top of the one before', async () => {
    const { queue, states } = begin();
    answer(201);
    answer(201);
    queue.add(edit('a'));
    queue.add(edit('b'));
    await settled();
    expect(sent.map(({ base, label }) => [base, label])).toEqual([
      [7, 'a'],
      [8, 'b'],
    ]);
    expect(states.map(({ status }) => status)).toEqual(['storing', 'stored']);
  });

  test('tries again while the server is away or failing, and loses nothing', async () => {
    const { queue, states } = begin();
    away();
    answer(503, { faults: [{ message: 'The disk is full' }] });
    answer(201);
    queue.add(edit('a'));
    await settled();
    expect(states.at(-1)).toEqual({ status: 'unreachable' });
    await jest.advanceTimersByTimeAsync(2000);
    await settled();
    expect(states.at(-1)).toEqual({ status: 'failing', message: 'The disk is full' });
    await jest.advanceTimersByTimeAsync(2000);
    await settled();
    expect(sent.map(({ base }) => base)).toEqual([7, 7, 7]);
    expect(states.at(-1)).toEqual({ status: 'stored' });
  });

  test('what is long in bytes, or was not sent the last time, does not ask to go on when the page is closed', async () => {
    const { queue } = begin();
    for (let i = 0; i < 2; i++) answer(201);
    away();
    for (let i = 0; i < 2; i++) answer(201);
    for (const label of ['short', 'ä'.repeat(30_000), 'lost', 'next']) queue.add(edit(label));
    await settled();
    await jest.advanceTimersByTimeAsync(2000);
    await settled();
    expect(sent.map(({ keepalive }) => keepalive)).toEqual([true, false, true, false, true]);
  });

  test('another page that follows is told how far it is, and goes on with what waits', async () => {
    const { queue, states } = begin();
    away();
    answer(201);
    queue.add(edit('a'));
    await settled();
    const later: StorageState[] = [];
    queue.follow((state) => later.push(state));
    await jest.advanceTimersByTimeAsync(2000);
    await settled();
    expect([states.at(-1), later.map(({ status }) => status)]).toEqual([{ status: 'unreachable' }, ['unreachable', 'stored']]);
    expect(revisionReached('m')).toBeGreaterThanOrEqual(8);
  });

  test('stops at a conflict, keeps what was not stored, and begins again from the newer state', async () => {
    const { queue, states } = begin();
    answer(409, { revision: 9, since: [{ number: 8, label: 'elsewhere' }] });
    queue.add(edit('a'));
    queue.add(edit('b'));
    await settled();
    expect(states.at(-1)).toMatchObject({ status: 'conflict', revision: 9, since: [{ label: 'elsewhere' }] });
    expect(queue.unsent.map(({ label }) => label)).toEqual(['a', 'b']);
    queue.restart(9);
    answer(201);
    queue.add(edit('c'));
    await settled();
    expect(sent.at(-1)).toMatchObject({ base: 9, label: 'c' });
  });

  test('a refused edit stops with its reasons', async () => {
    const { queue, states } = begin();
    answer(400, { faults: [{ message: 'no' }] });
    queue.add(edit('a'));
    await settled();
    expect(states.at(-1)).toMatchObject({ status: 'refused', faults: [{ message: 'no' }] });
  });
});
