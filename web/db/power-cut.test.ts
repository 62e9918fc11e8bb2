import { afterAll, expect, jest, test } from '@jest/globals';
import fs from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { checkModel } from '@rigid-beam/core/model/check';
import lintel from '../../examples/lintel.rbm.json';
import { findModel, forgetContents, insertModel, storeRevision } from './model-repository';
import { insertProject } from './project-repository';
import { openDatabase } from './open';

const folder = fs.mkdtempSync(path.join(tmpdir(), 'rigid-beam-cut-'));
const beginnings = {
  migrations: path.join(__dirname, 'migrations'),
  template: path.join(__dirname, '../../.cache/empty-database'),
};
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

/**
 * What a disk holds after a power cut: every file as it was when it was flushed last. The names in a folder are those of its last flush;
 * a file that was never flushed is there, and empty.
 */
class FlushedDisk {
  private readonly flush = fs.fsyncSync;

  constructor(
    private readonly from: string,
    private readonly to: string,
  ) {
    jest.spyOn(fs, 'fsyncSync').mockImplementation((handle) => {
      this.flush(handle);
      this.keep(fs.readlinkSync(`/proc/self/fd/${handle}`));
    });
  }

  private keep(file: string): void {
    if (!file.startsWith(this.from) || !fs.existsSync(file)) return;
    const kept = this.to + file.slice(this.from.length);
    if (!fs.statSync(file).isDirectory()) {
      fs.mkdirSync(path.dirname(kept), { recursive: true });
      fs.copyFileSync(file, kept);
      return;
    }
    fs.mkdirSync(kept, { recursive: true });
    const names = new Set(fs.readdirSync(file));
    for (const name of fs.readdirSync(kept)) if (!names.has(name)) fs.rmSync(path.join(kept, name), { recursive: true });
    for (const name of names) {
      const own = path.join(kept, name);
      if (fs.existsSync(own)) continue;
      if (fs.statSync(path.join(file, name)).isDirectory()) fs.mkdirSync(own);
      else fs.writeFileSync(own, '');
    }
  }
}

test('a power cut takes nothing that was acknowledged', async () => {
  const [live, cut] = [path.join(folder, 'live'), path.join(folder, 'cut')];
  process.env.RIGID_BEAM_DATA = live;
  new FlushedDisk(path.join(live, 'database'), path.join(cut, 'database'));
  const { database: db, close } = await openDatabase(live, beginnings);
  const { model } = checkModel(lintel);
  await insertProject(db, 'p', 'Garden');
  await insertModel(db, 'm', 'p', model!);
  for (let n = 0; n < 60; n++) {
    const content = { ...model!, title: `title ${n}` };
    const patches = [{ op: 'replace' as const, path: ['title'], value: content.title }];
    const stored = { edit: `edit-${n}`, kind: 'edit' as const, label: 'x', patches, inverse: patches, content };
    expect(await storeRevision(db, 'm', n, stored)).toBe(true);
  }
  const flushes = jest.mocked(fs.fsyncSync).mock.calls.length;
  expect(flushes).toBeGreaterThan(60);
  // Nothing more reaches the disk.
  jest.restoreAllMocks();
  forgetContents();
  const after = await openDatabase(cut, beginnings);
  expect(await findModel(after.database, 'm')).toMatchObject({ revision: 60, content: { title: 'title 59' } });
  await after.close();
  await close();
}, 60_000);
