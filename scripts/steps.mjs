import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

// Only Node's own modules here: these steps run before anything is installed.

export const root = path.join(path.dirname(fileURLToPath(import.meta.url)), '..');
const cache = path.join(root, '.cache');

/** Runs a command in the repository; returns its exit code. On Windows npm is a batch file and needs the shell. */
export function run(command, args, options = {}) {
  const shell = process.platform === 'win32' && command === 'npm';
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', shell, ...options });
  if (result.error) throw result.error;
  return result.status ?? 1;
}

function remembered(name) {
  const file = path.join(cache, name);
  return existsSync(file) ? readFileSync(file, 'utf8') : '';
}

function remember(name, text) {
  mkdirSync(cache, { recursive: true });
  writeFileSync(path.join(cache, name), text);
}

function hashOf(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(path.relative(root, file)).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}

const SKIPPED = new Set(['node_modules', '.next', 'dist', 'build']);

function filesBelow(directory) {
  return readdirSync(directory, { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => {
      if (SKIPPED.has(entry.name) || entry.name === 'next-env.d.ts' || /\.(test\.tsx?|tsbuildinfo)$/.test(entry.name)) return [];
      const file = path.join(directory, entry.name);
      return entry.isDirectory() ? filesBelow(file) : [file];
    });
}

const readLock = (text) => JSON.parse(text).packages;

/** Whether a package of the lock is a binary for some platforms only, which npm leaves out where the registry does not have it. */
const isForOnePlatform = (entry) => entry.optional === true && (entry.os !== undefined || entry.cpu !== undefined);

/** The packages in which two locks differ, apart from binaries for some platforms that stand in one of them only. */
function differencesOf(before, after) {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].filter((name) => {
    const [former, latter] = [before[name], after[name]];
    if (former && latter) return JSON.stringify(former) !== JSON.stringify(latter);
    return !isForOnePlatform(former ?? latter);
  });
}

/** Installs the packages of the lock when they are not there or the lock has changed. The lock stays as it is. */
export function install() {
  const lockFile = path.join(root, 'package-lock.json');
  const lock = hashOf([lockFile]);
  if (existsSync(path.join(root, 'node_modules', '.package-lock.json')) && remembered('installed') === lock) return;
  console.log('Installing packages …');
  const text = readFileSync(lockFile, 'utf8');
  // Not `npm ci`: a lock made where other platforms' binaries are missing counts as out of step there.
  const code = run('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error']);
  if (code !== 0) throw new Error('npm install failed; its message stands above.');
  const different = differencesOf(readLock(text), readLock(readFileSync(lockFile, 'utf8')));
  if (different.length > 0)
    throw new Error(
      `npm install changed package-lock.json (${different.slice(0, 5).join(', ')}): the lock is out of step with the package.json files. Commit a lock that fits.`,
    );
  if (hashOf([lockFile]) !== lock) writeFileSync(lockFile, text);
  // Made by the database that was installed before.
  rmSync(path.join(cache, 'empty-database'), { recursive: true, force: true });
  remember('installed', lock);
}

/** Builds the command and the web application when any source has changed since the last build. */
export function build() {
  const sources = ['core', 'drawing', 'machine', 'cli', 'web', 'examples'].flatMap((room) => filesBelow(path.join(root, room)));
  const state = hashOf([...sources, path.join(root, 'package-lock.json')]);
  const results = [
    ['web', '.next', 'BUILD_ID'],
    ['web', 'dist', 'tile-worker.mjs'],
    ['cli', 'dist', 'rigid-beam.mjs'],
  ];
  const done = results.every((parts) => existsSync(path.join(root, ...parts)));
  if (done && remembered('built') === state) return;
  console.log('Building …');
  const environment = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' };
  const next = path.join(root, 'node_modules', 'next', 'dist', 'bin', 'next');
  if (run(process.execPath, ['scripts/build-command.mjs']) !== 0) throw new Error('The command could not be built.');
  if (run(process.execPath, [next, 'build'], { cwd: path.join(root, 'web'), env: environment }) !== 0)
    throw new Error('The web application could not be built.');
  remember('built', state);
}
