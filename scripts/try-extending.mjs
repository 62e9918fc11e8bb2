import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { root } from './steps.mjs';

// Tries what `docs/extending.md` promises: each patch beside it adds one new thing of a kind. It must apply, touch no more files than the table
// says, and compile in every room.

/** By patch: how its row of the table begins. Those of one list are tried together, so that there is little to compile. */
const TRIES = [
  {
    'shape': 'section shape',
    'category': 'kind of case',
    'compound-load': 'load made of several',
    'format-that-reads': 'file format',
    'run': 'run: a kind of analysis',
    'stage': 'stage of work',
    'derived-quantity': 'derived quantity',
  },
  { 'format-of-bytes': 'file format' },
]; // oxfmt-ignore
const PROJECTS = ['core', 'drawing', 'tsconfig.json', 'web'];

const table = readFileSync(path.join(root, 'docs', 'extending.md'), 'utf8');
const promised = (row) => Number(new RegExp(`^\\| ${row} \\(\\*\\*(\\d+) files?\\*\\*`, 'm').exec(table)?.[1] ?? NaN);

const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-extending-'));
process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
const run = (program, args, cwd = folder) => spawnSync(program, args, { cwd, encoding: 'utf8' });

for (const file of run(
  'git',
  ['ls-files', 'core', 'drawing', 'machine', 'cli', 'web', 'e2e', 'bench', 'scripts', 'examples', '*.json'],
  root,
)
  .stdout.trim()
  .split('\n')) {
  mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
  cpSync(path.join(root, file), path.join(folder, file));
}
const modules = path.join(folder, 'node_modules');
mkdirSync(path.join(modules, '@rigid-beam'), { recursive: true });
for (const name of readdirSync(path.join(root, 'node_modules')))
  if (name !== '@rigid-beam') symlinkSync(path.join(root, 'node_modules', name), path.join(modules, name));
for (const room of ['core', 'drawing', 'machine', 'web']) {
  symlinkSync(path.join(folder, room), path.join(modules, '@rigid-beam', room));
  // Packages that a room has in another version than all.
  const own = path.join(root, room, 'node_modules');
  if (existsSync(own)) symlinkSync(own, path.join(folder, room, 'node_modules'));
}

const compiled = () =>
  PROJECTS.map((project) => run(process.execPath, [path.join(root, 'node_modules/typescript-native/bin/tsc'), '-p', project]))
    .filter(({ status }) => status !== 0)
    .map(({ stdout }) => stdout.trim())
    .join('\n');

const faults = [];
for (const tried of TRIES) {
  const patches = Object.keys(tried).map((name) => path.join(root, 'docs', 'extending', `${name}.patch`));
  for (const [i, [name, row]] of Object.entries(tried).entries()) {
    const files = readFileSync(patches[i], 'utf8').match(/^diff --git/gm)?.length ?? 0;
    if (!(files <= promised(row))) faults.push(`${name}: ${files} files, and ${promised(row)} are promised`);
    const { status, stderr } = run('git', ['apply', '--whitespace=nowarn', patches[i]]);
    if (status !== 0) faults.push(`${name} does not apply: ${stderr.trim()}`);
  }
  const wrong = compiled();
  if (wrong !== '') faults.push(`${Object.keys(tried).join(', ')} do not compile:\n${wrong}`);
  for (const patch of patches) run('git', ['apply', '-R', '--whitespace=nowarn', patch]);
}
const count = TRIES.flatMap(Object.keys).length;
console.log(
  faults.length > 0 ? faults.join('\n') : `${count} new things tried: each in as many files as promised, and all compile`,
);
process.exitCode = faults.length > 0 ? 1 : 0;
