import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { homedir, tmpdir } from 'node:os';
import path from 'node:path';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { asFullDisk, ensureRoom } from './disk';
import { lockDirectory, LockedError } from './lock';
import { openDatabase, UnusableDataError } from './open';
import { models } from './schema';

const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-db-'));
const migrations = path.join(__dirname, 'migrations');
/** Kept from run to run. */
const template = path.join(__dirname, '..', '..', '.cache', 'empty-database');
const beginnings = { migrations, template };
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('the data directory', () => {
  test.each<[Record<string, string>, string, string]>([
    [{ RIGID_BEAM_DATA: '/data/x' }, 'linux', '/data/x'],
    [{}, 'linux', path.join(homedir(), '.local', 'share', 'rigid-beam')],
    [{ XDG_DATA_HOME: '/xdg' }, 'linux', '/xdg/rigid-beam'],
    [{}, 'darwin', path.join(homedir(), 'Library', 'Application Support', 'rigid-beam')],
    [{ LOCALAPPDATA: '/local' }, 'win32', '/local/rigid-beam'],
  ])('%j on %s', (environment, platform, expected) => expect(dataDirectory(environment, platform)).toBe(expected));
});

describe('the lock', () => {
  const fresh = (): string => mkdtempSync(path.join(folder, 'lock-'));

  test('is given back, and taken again', () => {
    const directory = fresh();
    const unlock = lockDirectory(directory);
    expect(() => lockDirectory(directory)).toThrow(LockedError);
    unlock();
    lockDirectory(directory)();
  });

  test('refuses while another process lives, and is taken over when it was killed', async () => {
    const directory = fresh();
    const other = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)']);
    await new Promise((resolve) => setTimeout(resolve, 100));
    const started = readFileSync(`/proc/${other.pid}/stat`, 'utf8').split(') ')[1]!.split(' ')[19];
    writeFileSync(path.join(directory, 'lock.json'), JSON.stringify({ pid: other.pid, started }));
    try {
      expect(() => lockDirectory(directory)).toThrow(new RegExp(`already open in another Rigid Beam \\(process ${other.pid}\\)`));
    } finally {
      const gone = new Promise((resolve) => other.once('exit', resolve));
      other.kill('SIGKILL');
      await gone;
    }
    lockDirectory(directory)();
  });

  test('takes no zombie for a process that lives', async () => {
    const directory = fresh();
    // Its child ends when it is another program already, which does not ask how.
    const parent = spawn('sh', ['-c', 'sleep 2 & echo $!; exec sleep 60']);
    const [said] = (await once(parent.stdout, 'data')) as [Buffer];
    const pid = Number(String(said));
    const stat = (): string[] => readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
    while (stat()[0] !== 'Z') await new Promise((resolve) => setTimeout(resolve, 5));
    writeFileSync(path.join(directory, 'lock.json'), JSON.stringify({ pid, started: stat()[19] }));
    lockDirectory(directory)();
    parent.kill('SIGKILL');
  });

  test('is not fooled by a later process of the same number, nor by a torn file', () => {
    const directory = fresh();
    writeFileSync(path.join(directory, 'lock.json'), JSON.stringify({ pid: process.pid, started: '1' }));
    lockDirectory(directory)();
    writeFileSync(path.join(directory, 'lock.json'), '{"pi');
    lockDirectory(directory)();
  });

  test('an arbiter left by a crash holds nobody up for long', () => {
    const directory = fresh();
    writeFileSync(path.join(directory, 'lock.json'), '{}');
    writeFileSync(path.join(directory, 'lock.arbiter'), '{}');
    expect(() => lockDirectory(directory)).toThrow(LockedError);
    const old = new Date(Date.now() - 60_000);
    utimesSync(path.join(directory, 'lock.arbiter'), old, old);
    lockDirectory(directory)();
  });
});

describe('data that cannot be used', () => {
  const fresh = (): string => mkdtempSync(path.join(folder, 'data-'));
  /** A complete database, made once and copied. */
  const whole = path.join(folder, 'whole');
  beforeAll(async () => (await openDatabase(whole, beginnings)).close(), 60_000);
  const copy = (): string => {
    const directory = fresh();
    cpSync(whole, directory, { recursive: true });
    return directory;
  };
  const stateOf = (directory: string): string =>
    readdirSync(directory, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => `${entry.parentPath}/${entry.name} ${statSync(path.join(entry.parentPath, entry.name)).size}`)
      .sort()
      .join();

  test.each([
    ['its version', 'PG_VERSION'],
    ['its control file', 'global/pg_control'],
    ['its tables', 'base'],
    ['its log', 'pg_wal'],
  ])('a database without %s is told, and left as it is', async (_, part) => {
    const directory = copy();
    rmSync(path.join(directory, 'database', part), { recursive: true });
    const before = stateOf(path.join(directory, 'database'));
    await expect(openDatabase(directory, beginnings)).rejects.toThrow(
      new RegExp(`is damaged: .*${part}.* missing.*Nothing was written.*npx rigid-beam restore`),
    );
    expect(stateOf(path.join(directory, 'database'))).toBe(before);
    lockDirectory(directory)();
  });

  test('a folder with something else in it is not written to', async () => {
    const directory = fresh();
    mkdirSync(path.join(directory, 'database'));
    writeFileSync(path.join(directory, 'database', 'letter.txt'), 'Dear …');
    await expect(openDatabase(directory, beginnings)).rejects.toThrow(UnusableDataError);
    expect(readdirSync(path.join(directory, 'database'))).toEqual(['letter.txt']);
  });

  test('data of a newer version are refused', async () => {
    const older = fresh();
    cpSync(migrations, older, { recursive: true });
    const journal = path.join(older, 'meta', '_journal.json');
    const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8')) as { entries: object[] };
    writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.slice(0, 1) }));
    await expect(openDatabase(copy(), { ...beginnings, migrations: older })).rejects.toThrow(/written by a newer Rigid Beam/);
  });

  test('nobody else can read it', () => {
    expect(statSync(whole).mode & 0o777).toBe(0o700);
    const files = readdirSync(path.join(whole, 'database'), { recursive: true, withFileTypes: true });
    expect(files.filter((entry) => (statSync(path.join(entry.parentPath, entry.name)).mode & 0o077) !== 0)).toEqual([]);
  });

  test('what has no room on the disk is refused before it is written', () => {
    expect(() => ensureRoom(whole, 0)).not.toThrow();
    expect(() => ensureRoom(whole, 1e18)).toThrow(/The disk is full: .* Nothing of yours is lost/);
    const failure = new Error('Failed query', { cause: new Error('could not extend file: No space left on device') });
    expect(asFullDisk(failure, whole)?.message).toMatch(/The disk is full/);
    expect(asFullDisk(new Error('syntax error'), whole)).toBeUndefined();
    // After that a probe must have been written.
    expect(() => ensureRoom(whole, 0)).not.toThrow();
    expect(existsSync(path.join(whole, 'probe'))).toBe(false);
  });
});

describe('a first start', () => {
  const fresh = (): string => mkdtempSync(path.join(folder, 'first-'));
  const tablesOf = async (directory: string, from: string): Promise<unknown> => {
    const { database, close } = await openDatabase(directory, { migrations, template: from });
    const tables = await database.select().from(models);
    await close();
    return tables;
  };

  test('copies the empty database that was made once', async () => {
    const [directory, marked] = [fresh(), path.join(folder, 'marked')];
    cpSync(template, marked, { recursive: true });
    writeFileSync(path.join(marked, 'mark'), '');
    expect(await tablesOf(directory, marked)).toEqual([]);
    expect(existsSync(path.join(directory, 'database', 'mark'))).toBe(true);
  });

  test('goes on where one before it was cut off', async () => {
    const directory = fresh();
    mkdirSync(path.join(directory, 'database.new-x1'));
    writeFileSync(path.join(directory, 'database.new-x1', 'PG_VERSION'), '17');
    expect(await tablesOf(directory, template)).toEqual([]);
    expect(readdirSync(directory).filter((name) => name.startsWith('database'))).toEqual(['database']);
  });

  test('makes its own where what was kept is damaged, or nothing can be kept', async () => {
    const damaged = path.join(folder, 'damaged');
    mkdirSync(path.join(damaged, 'base'), { recursive: true });
    expect(await tablesOf(fresh(), damaged)).toEqual([]);
    expect(readdirSync(damaged)).toEqual(['base']);
    const file = path.join(folder, 'no-folder');
    writeFileSync(file, '');
    expect(await tablesOf(fresh(), path.join(file, 'empty'))).toEqual([]);
  });
});
