import { formatOfName } from '@rigid-beam/core/formats/registry';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { eq, sql } from 'drizzle-orm';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { checkModel } from '@rigid-beam/core/model/check';
import lintel from '../../examples/lintel.rbm.json';
import {
  applyRevision,
  changeModel,
  createModel,
  duplicateModel,
  openModel,
  openRevision,
  removeModel,
  withoutPictures,
} from '../server/models';
import { changeProject, createProject, removeProject } from '../server/projects';
import { bringLine, type Brought } from '../server/restoring';
import { projectTiles } from '../server/tiles';
import { backupOf, restoreEntry, type BackupEntry } from './backup';
import { closeDatabase, database } from './database';
import { storeRevision } from './model-repository';
import { insertProject } from './project-repository';
import { models, pictures, revisions } from './schema';

const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-db-'));
const migrations = path.join(__dirname, 'migrations');

describe('models in the database', () => {
  const { model } = checkModel(lintel);
  let id = '';
  const edit = (name: string) => ({
    edit: `edit-${name}`,
    kind: 'edit' as const,
    label: name,
    intent: { type: 'set' as const, settings: { title: name } },
  });

  beforeAll(async () => {
    process.env.RIGID_BEAM_DATA = path.join(folder, 'data');
    process.chdir(path.join(migrations, '..', '..'));
    await insertProject(await database(), 'p', 'Garden');
  }, 60_000);
  // Each test has a model of its own, so that none needs another one before it.
  beforeEach(async () => {
    const created = await createModel('p', { name: '', file: Buffer.from(JSON.stringify(lintel)), format: formatOfName('') });
    if (!created.ok) throw new Error(created.faults[0]!.message);
    id = created.id;
  });
  afterEach(async () => {
    for (let twice = 0; twice < 2; twice++) await removeModel(id);
  });
  const edited = async (...names: readonly string[]): Promise<void> => {
    for (const [n, name] of names.entries())
      expect(await applyRevision(id, n, edit(name))).toEqual({ outcome: 'stored', revision: n + 1 });
  };
  afterAll(async () => {
    await closeDatabase();
    rmSync(folder, { recursive: true, force: true });
  });

  test('a file is stored as it is, key order too', async () => {
    const opened = await openModel(id);
    expect(opened).toMatchObject({ projectName: 'Garden', revision: 0, history: [] });
    expect(JSON.stringify(opened!.model)).toBe(JSON.stringify(model));
  });

  test('edits are stored in order, with what undoes them', async () => {
    await edited('first', 'second');
    const opened = await openModel(id);
    expect(opened!.model.title).toBe('second');
    expect(opened!.history.map(({ label, inverse }) => [label, inverse![0]!.value])).toEqual([
      ['first', model!.title],
      ['second', 'first'],
    ]);
  });

  test('an edit on an older state is told what came in between, and changes nothing', async () => {
    await edited('first', 'second');
    expect(await applyRevision(id, 0, edit('late'))).toEqual({
      outcome: 'conflict',
      revision: 2,
      since: [
        { number: 1, label: 'first' },
        { number: 2, label: 'second' },
      ],
    });
    expect((await openModel(id))!.model.title).toBe('second');
  });

  test('an edit whose answer was lost is recognised, not doubled', async () => {
    await edited('first', 'second');
    expect(await applyRevision(id, 1, edit('second'))).toEqual({ outcome: 'stored', revision: 2 });
    expect((await openModel(id))!.revision).toBe(2);
  });

  test('two edits on one state at the same time: one is stored, the other told', async () => {
    const outcomes = await Promise.all([applyRevision(id, 0, edit('left')), applyRevision(id, 0, edit('right'))]);
    expect(outcomes.map(({ outcome }) => outcome).sort()).toEqual(['conflict', 'stored']);
    expect(
      await storeRevision(await database(), id, 0, {
        ...{ edit: 'edit-x', kind: 'edit', label: 'x', patches: [], inverse: [], content: model! },
      }),
    ).toBe(false);
  });

  test('a faulty edit stores nothing', async () => {
    await edited('first');
    const before = await openModel(id);
    expect(
      await applyRevision(id, before!.revision, {
        ...edit('bad'),
        intent: { type: 'put', list: 'nodes', entry: { id: '1', x: 'here', y: 0 } },
      }),
    ).toMatchObject({ outcome: 'faults', faults: [{ path: 'nodes[0].x' }] });
    expect(await openModel(id)).toEqual(before);
  });

  test('storage grows with the edit and not with the model, which is read back as it was', async () => {
    const db = await database();
    const bytes = async (): Promise<number> =>
      (
        await db
          .select({ size: sql<number>`sum(length(${revisions.patches}::text) + length(${revisions.inverse}::text))` })
          .from(revisions)
      )[0]!.size;
    const before = Number(await bytes());
    let { revision } = (await openModel(id))!;
    for (let n = 0; n < 60; n++)
      expect(await applyRevision(id, revision, edit(`title ${n}`))).toEqual({ outcome: 'stored', revision: ++revision });
    expect((Number(await bytes()) - before) / 60).toBeLessThan(400);
    const [row] = await db.select().from(models).where(eq(models.id, id));
    // Kept anew once, and since then only the patches.
    expect(revision - row!.contentRevision).toBeLessThan(50);
    expect(row!.content.title).not.toBe('title 59');
    const opened = await openModel(id);
    await closeDatabase();
    const again = await import('./model-repository');
    again.forgetContents();
    expect(await openModel(id)).toEqual(opened);
    expect(opened!.model.title).toBe('title 59');
  });

  test('whoever reads while edits are stored, and the content is kept anew, reads one state: the page, and a backup', async () => {
    const copy = (await duplicateModel(id))!;
    const begun = (await openModel(copy))!.model.nodes.length;
    const repository = await import('./model-repository');
    const read: { readonly revision: number; readonly nodes: number }[] = [];
    let isWriting = true;
    const writing = (async () => {
      for (let n = 0; n < 110; n++) {
        const node = { type: 'put', list: 'nodes', entry: { id: `new ${n}`, x: n, y: 50 } } as const;
        expect(await applyRevision(copy, n, { ...edit(`node ${n}`), intent: node })).toMatchObject({ outcome: 'stored' });
      }
      isWriting = false;
    })();
    const reading = async (): Promise<void> => {
      while (isWriting) {
        repository.forgetContents();
        const { revision, model: content, history } = (await openModel(copy))!;
        read.push({ revision, nodes: content.nodes.length });
        expect(history.at(-1)?.number ?? 0).toBe(revision);
        const entries: BackupEntry[] = [];
        for await (const entry of backupOf(await database())) entries.push(entry);
        for (const entry of entries)
          if (entry.kind === 'model' && entry.id === copy)
            read.push({ revision: entry.revision, nodes: entry.content.nodes.length });
      }
    };
    await Promise.all([writing, reading(), reading()]);
    expect(read.length).toBeGreaterThan(10);
    expect(read.filter(({ revision, nodes }) => nodes !== begun + revision)).toEqual([]);
    await removeModel(copy);
    await removeModel(copy);
  }, 60_000);

  test('a backup that is newer than a model leaves it as it is, and what can be edited', async () => {
    await edited('first', 'second', 'third');
    const db = await database();
    const entries: BackupEntry[] = [];
    for await (const entry of backupOf(db)) entries.push(entry);
    const older = {
      ...(entries.find(({ kind }) => kind === 'model') as Extract<BackupEntry, { kind: 'model' }>),
      id: 'old',
      revision: 1,
    };
    expect(await restoreEntry(db, older)).toBe('restored');
    const outcomes: string[] = [];
    for (const entry of entries)
      if (entry.kind === 'revisions') outcomes.push(await restoreEntry(db, { ...entry, model: 'old' }));
    expect(outcomes).toContain('restored');
    expect((await openModel('old'))!.history.map(({ number }) => number)).toEqual([1]);
    expect(await applyRevision('old', 1, edit('goes on'))).toEqual({ outcome: 'stored', revision: 2 });
    for (let twice = 0; twice < 2; twice++) await removeModel('old');
  });

  describe('a backup that is brought line by line', () => {
    const head = { kind: 'head', format: 'rigid-beam/backup', version: 1, at: '2026-01-01T00:00:00.000Z' } as const;
    const project = { kind: 'project', id: 'new-project', name: 'Brought' } as const;
    const at = '2026-01-02T00:00:00.000Z';
    const content = model!;
    const whole = (more: object = {}): BackupEntry =>
      ({ kind: 'model', id: 'brought', project: 'new-project', revision: 1, content, createdAt: at, ...more }) as never;
    const steps = (...numbers: number[]): BackupEntry => ({
      kind: 'revisions',
      model: 'brought',
      list: numbers.map((number) => ({ modelId: 'brought', number, edit: `brought-${number}`, kind: 'edit', label: 'x', patches: [], inverse: [], createdAt: at })),
    }); // oxfmt-ignore
    const bring = async (entries: readonly BackupEntry[], ofRemoved: 'leave' | 'bring back' = 'leave') => {
      let last: Brought | undefined;
      for (const [i, entry] of entries.entries()) {
        const restore = last?.outcome === 'ready' ? { restore: last.restore } : {};
        last = await bringLine({ ...restore, line: i + 1, entry, ofRemoved });
        if (last.outcome === 'refused') return last.faults[0]!.message;
      }
      return last;
    };
    const end = (count: number): BackupEntry => ({ kind: 'end', models: count });

    test.each<[string, BackupEntry[], RegExp]>([
      ['does not begin with a head', [project], /Line 1 .* not the beginning/],
      ['is of another kind', [{ ...head, version: 2 as never }], /Line 1 .* cannot read a backup of this kind/],
      ['begins twice', [head, head], /Line 2 .* begins a second time/],
      ['has a damaged picture', [head, { kind: 'picture', hash: '0'.repeat(64), image: 'data:image/png;base64,AA' }], /Line 2 .* picture is damaged/],
      ['has a model without its project', [head, whole()], /Line 2 .* no project “new-project”/],
      ['has a faulty model', [head, project, whole({ content: { ...content, nodes: [{ id: '1', x: 'here', y: 0 }] } })], /Line 3 .* its model is at fault\. .*node 1, x/],
      ['has a model twice', [head, project, whole(), whole()], /Line 4 .* comes a second time/],
      ['lacks a picture', [head, project, whole({ content: { ...content, underlay: { image: `picture:sha256:${'1'.repeat(64)}`, width: 1, height: 1, x: 0, y: 0, metresPerPixel: 1 } } })], /Line 3 .* a picture of its model/],
      ['has revisions of no model', [head, steps(1)], /Line 2 .* model did not come before/],
      ['has revisions beyond its model', [head, project, whole(), steps(1, 2)], /Line 4 .* revision 2 of its model/],
      ['has revisions out of order', [head, project, whole({ revision: 3 }), steps(2, 1)], /Line 4 .* revision 1 of its model/],
      ['counts otherwise', [head, project, whole(), end(2)], /Line 4 .* counts 2 models, and 1 came/],
    ])('that %s is refused by its line, and nothing of it is put in', async (_, entries, words) => {
      expect(await bring(entries)).toMatch(words);
      expect(await openModel('brought')).toBeUndefined();
      expect((await projectTiles()).some(({ id: own }) => own === 'new-project')).toBe(false);
      expect(readdirSync(process.env.RIGID_BEAM_DATA!).filter((name) => name.startsWith('restoring-'))).toEqual([]);
    }); // oxfmt-ignore

    test('is put in at its end; what was removed since is told, and brought back where that is asked for', async () => {
      const entries = [head, project, whole(), steps(1), end(1)];
      expect(await bring(entries.slice(0, 4))).toMatchObject({ outcome: 'ready' });
      expect(await openModel('brought')).toBeUndefined();
      const nothing = { restored: 0, 'there already': 0, 'among the removed': 0 };
      expect(await bring(entries)).toEqual({ outcome: 'restored', models: { ...nothing, restored: 1 }, removed: [] });
      expect((await openModel('brought'))!.history).toHaveLength(1);
      expect(await bring(entries)).toMatchObject({ models: { ...nothing, 'there already': 1 } });
      await removeModel('brought');
      expect(await bring(entries)).toMatchObject({ models: { ...nothing, 'among the removed': 1 }, removed: [content.title] });
      expect(await openModel('brought')).toBeUndefined();
      expect(await bring(entries, 'bring back')).toMatchObject({ models: { ...nothing, restored: 1 }, removed: [] });
      expect((await openModel('brought'))!.revision).toBe(1);
      for (let twice = 0; twice < 2; twice++) await removeModel('brought');
      await removeProject('new-project');
    });

    test('and goes wrong while it is put in, leaves everything as it was', async () => {
      const broken = { ...steps(1), list: [{ ...(steps(1) as unknown as { list: object[] }).list[0], label: null }] } as never;
      await expect(bring([head, project, whole(), broken, end(1)])).rejects.toThrow();
      expect(await openModel('brought')).toBeUndefined();
      expect((await projectTiles()).some(({ id: own }) => own === 'new-project')).toBe(false);
    });
  });

  test('a picture is stored once, however often it comes, and only pages that ask for it get it', async () => {
    const image = (letter: string): string => `data:image/png;base64,${letter.repeat(40_000)}`;
    const underlay = { width: 10, height: 10, x: 0, y: 0, metresPerPixel: 0.01 };
    let { revision } = (await openModel(id))!;
    for (const letter of ['A', 'B', 'A', 'B', 'A']) {
      const intent = { type: 'underlay' as const, change: { ...underlay, image: image(letter) } };
      expect(await applyRevision(id, revision, { ...edit(letter.repeat(8)), edit: `picture-${revision}`, intent })).toMatchObject(
        {
          outcome: 'stored',
        },
      );
      revision++;
    }
    const db = await database();
    expect((await db.select().from(pictures)).map((one) => one.image.length)).toEqual([40_022, 40_022]);
    // One of a report is stored as one under the drawing is.
    const chapter = { chapter: 'text', text: 'See:', pictures: [{ image: image('B'), width: 10, height: 10 }] } as const;
    const intent = { type: 'set' as const, settings: { report: { chapters: [chapter] } } };
    await applyRevision(id, revision, { ...edit('report-1'), edit: 'picture-report', intent });
    revision++;
    expect(await db.select().from(pictures)).toHaveLength(2);
    const again = (await duplicateModel(id))!;
    const [row] = await db.select().from(models).where(eq(models.id, again));
    expect(JSON.stringify(row!.content)).not.toContain(image('B').slice(0, 200));
    expect((await openModel(again))!.model.report).toEqual({ chapters: [chapter] });
    const sent = withoutPictures((await openModel(again))!.model);
    expect([sent.pictures.length, JSON.stringify(sent.model).length < 20_000]).toEqual([2, true]);
    for (let twice = 0; twice < 2; twice++) await removeModel(again);
    const opened = await openModel(id);
    expect(opened!.model.underlay!.image).toBe(image('A'));
    expect(JSON.stringify(opened!.history).length).toBeLessThan(100_000);
    expect(opened!.history.at(-1)!.patches).toBeNull();
    expect(JSON.stringify((await openRevision(id, revision - 1))!.inverse)).toContain(image('B'));
    expect(await openRevision(id, revision + 1)).toBeUndefined();
    // Removed, it can be brought back as it was, with its history; removed once more, it goes for good.
    expect([await removeModel(id), await openModel(id)]).toEqual([true, undefined]);
    expect((await applyRevision(id, revision, edit('x'))).outcome).toBe('missing');
    expect(await changeModel(id, { removed: false })).toEqual([]);
    expect((await openModel(id))!.history).toEqual(opened!.history);
    const copy = (await duplicateModel(id))!;
    expect((await openModel(copy))!).toMatchObject({ revision: 0, model: { title: expect.stringMatching(/, copy$/) } });
    for (const gone of [id, copy]) for (let twice = 0; twice < 2; twice++) expect(await removeModel(gone)).toBe(true);
    expect([await removeModel(id), await changeModel(id, { removed: false })]).toEqual([false, [expect.anything()]]);
    expect(await db.select().from(pictures)).toEqual([]);
  });

  test('a project is named and numbered, takes a model, and goes only when it is empty', async () => {
    const project = await createProject('Orangery', '26-014');
    const made = await createModel(project, { title: 'Arch', space: 'plane' });
    const model = made.ok ? made.id : '';
    expect(await changeProject(project, { name: 'Old orangery' })).toBe(true);
    expect(await removeProject(project)).toHaveLength(1);
    const listed = async () => (await projectTiles()).find(({ id }) => id === project);
    expect(await listed()).toMatchObject({ name: 'Old orangery', number: '26-014', models: [{ title: 'Arch' }], removed: [] });
    const other = await createProject('Fernery');
    expect(await changeModel(model, { project: other, title: 'Vault' })).toEqual([]);
    expect((await openModel(model))!).toMatchObject({ projectName: 'Fernery', revision: 1, model: { title: 'Vault' } });
    expect(await changeModel(model, { project: 'nowhere' })).toHaveLength(1);
    expect(await removeProject(project)).toEqual([]);
    expect(await listed()).toBeUndefined();
    for (let twice = 0; twice < 2; twice++) await removeModel(model);
    expect(await removeProject(other)).toEqual([]);
  });

  test('a new model begins with the units, the names of axes and the chapters of a report of its project, and of no other', async () => {
    const [one, other] = [await createProject('Arboretum'), await createProject('Rockery')];
    const begun = async (where: string) => {
      const made = await createModel(where, { title: 'Bay', space: 'space' });
      return made.ok ? made.id : '';
    };
    const first = await begun(one);
    const display = { up: 'Z', strong: 'y', length: 'mm' } as const;
    const report = { chapters: [{ chapter: 'text', title: 'Basis', text: 'EN 1990' }, { chapter: 'loads' }] } as const;
    const said = { ...edit('axes'), intent: { type: 'set', settings: { display, report } } } as const;
    expect((await applyRevision(first, 0, said)).outcome).toBe('stored');
    const [next, elsewhere] = [await begun(one), await begun(other)];
    expect((await openModel(next))!.model).toMatchObject({ display, report });
    expect(Object.keys((await openModel(elsewhere))!.model)).not.toEqual(expect.arrayContaining(['report']));
    expect((await openModel(elsewhere))!.model.display).toBeUndefined();
    for (const id of [first, next, elsewhere]) for (let twice = 0; twice < 2; twice++) await removeModel(id);
    expect([await removeProject(one), await removeProject(other)]).toEqual([[], []]);
  });

  test('what does not exist is said so', async () => {
    expect(await applyRevision('nothing', 0, edit('x'))).toEqual({ outcome: 'missing' });
    expect(await openModel('nothing')).toBeUndefined();
    expect(await createModel('nowhere', { title: 'x', space: 'plane' })).toMatchObject({
      ok: false,
      faults: [{ path: 'project' }],
    });
    expect(await createModel('p', { name: '', file: Buffer.from('{'), format: formatOfName('') })).toMatchObject({
      ok: false,
      faults: [{ code: 'not-json' }],
    });
  });
});
