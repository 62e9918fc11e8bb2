import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { findBrowser, NO_BROWSER } from './browser.mjs';
import { scratchFolder } from './scratch.mjs';
import { install, root, run } from './steps.mjs';

// `npm test`: every check on a fresh clone, in one command. What is independent runs side by side; each check's output comes in one piece
// when it ends. The last line says how many passed and failed.

const scratch = scratchFolder();
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1));

let passed = 0;
let failed = 0;
const troubles = [];

function count(name, good, bad) {
  passed += good;
  failed += bad;
  if (bad > 0) troubles.push(`${name}: ${bad} failed`);
}

/** Runs a program; resolves to its exit code and all that it wrote. */
const started = (args) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, args, {
      cwd: root,
      env: { ...process.env, ...(scratch && { TMPDIR: scratch }) },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    const chunks = [];
    child.stdout.on('data', (chunk) => chunks.push(chunk));
    child.stderr.on('data', (chunk) => chunks.push(chunk));
    child.on('close', (code) => resolve({ code, text: Buffer.concat(chunks).toString('utf8') }));
  });

function tell(name, begun, text) {
  console.log(`\n── ${name} (${((performance.now() - begun) / 1000).toFixed(0)} s)`);
  if (text.trim()) console.log(text.trim());
}

/** One check that passes or fails as a whole, made of programs that run one after the other. */
async function check(name, ...programs) {
  const begun = performance.now();
  let [good, text] = [true, ''];
  for (const args of programs) {
    const ended = await started(args);
    text += ended.text;
    good &&= ended.code === 0;
    if (!good) break;
  }
  tell(name, begun, text);
  count(name, good ? 1 : 0, good ? 0 : 1);
  return good;
}

/** Jest counts its own tests; a run that ends without a report counts as one failure. */
async function jest(name, args) {
  const begun = performance.now();
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-tests-'));
  const report = path.join(folder, 'report.json');
  const flags = ['--no-warnings', '--experimental-vm-modules', 'node_modules/jest/bin/jest.js'];
  const { text } = await started([...flags, ...args, '--json', `--outputFile=${report}`, '--silent']);
  try {
    const result = JSON.parse(readFileSync(report, 'utf8'));
    const brokenFiles = result.numRuntimeErrorTestSuites;
    count(name, result.numPassedTests, result.numFailedTests + result.numPendingTests + brokenFiles);
    // The report itself stands in the output as well.
    tell(name, begun, text.replace(/^\{"num.*$/m, ''));
  } catch {
    count(name, 0, 1);
    tell(name, begun, text);
  }
  rmSync(folder, { recursive: true, force: true });
}

/** Journeys need a browser; on Debian it is installed when it is missing. */
function ensureBrowser() {
  if (findBrowser()) return true;
  const apt = spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0;
  if (apt) {
    console.log('Installing chromium …');
    const quiet = { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
    run('apt-get', ['update', '-qq'], quiet);
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], quiet);
  }
  if (findBrowser()) return true;
  console.error(NO_BROWSER);
  return false;
}

const module = (...parts) => path.join('node_modules', ...parts);
const tsc = (project) => [module('typescript-native', 'bin', 'tsc'), '-p', project];

/** What reads the sources only; resolves when all of it has ended. */
async function ofSources() {
  await check('formatting', [module('oxfmt', 'bin', 'oxfmt'), '--check']);
  await check('import directions', [
    module('dependency-cruiser', 'bin', 'dependency-cruise.mjs'),
    ...['--config', '.dependency-cruiser.cjs', 'core', 'drawing', 'cli', 'web'],
  ]);
  await check('compiled kernels', ['scripts/build-kernels.mjs', '--check']);
  await jest('unit tests', ['--maxWorkers=1']);
  await check('lint', [module('eslint', 'bin', 'eslint.js'), '.']);
}

/** What uses the built application. The journeys wait more than they compute: one more runs beside those that two cores can carry. */
async function ofApplication(built) {
  if (built && ensureBrowser()) await jest('journeys', ['--config', 'e2e/jest.config.mjs', '--maxWorkers=3']);
  else count('journeys', 0, 1);
  if (built) await check('torture of half a minute', ['scripts/torture.mjs', '--minutes', '0.5', '--seed', '1']);
}

/** Both at once. The build writes types of its own, which are looked at too. */
async function everything() {
  const sources = ofSources();
  const built = await check('build', ['scripts/build.mjs']);
  await Promise.all([
    ofApplication(built),
    sources
      .then(() => check('types', ...['core', 'drawing', 'tsconfig.json', 'web'].map(tsc)))
      .then(() => check('extending', ['scripts/try-extending.mjs'])),
  ]);
}

try {
  install();
  count('install', 1, 0);
  await everything();
} catch (error) {
  console.error(error.message);
  count('install', 0, 1);
}
process.chdir(root);
console.log('');
for (const trouble of troubles) console.log(trouble);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
