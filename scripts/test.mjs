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

/** One run of Jest: what it wrote, and its report where it came to one. */
async function ranJest(args) {
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-tests-'));
  const report = path.join(folder, 'report.json');
  const flags = ['--no-warnings', '--experimental-vm-modules', 'node_modules/jest/bin/jest.js'];
  const { text } = await started([...flags, ...args, '--json', `--outputFile=${report}`, '--silent']);
  try {
    // The report itself stands in the output as well.
    return { text: text.replace(/^\{"num.*$/m, ''), result: JSON.parse(readFileSync(report, 'utf8')) };
  } catch {
    return { text };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const badOf = ({ numFailedTests, numPendingTests, numRuntimeErrorTestSuites }) =>
  numFailedTests + numPendingTests + numRuntimeErrorTestSuites;

/** Jest counts its own tests; a run that ends without a report counts as one failure. */
async function jest(name, args) {
  const begun = performance.now();
  const { text, result } = await ranJest(args);
  if (result) count(name, result.numPassedTests, badOf(result));
  else count(name, 0, 1);
  tell(name, begun, text);
}

/**
 * Journeys run beside each other and beside other checks, in a browser that has to keep up with all of them. A file that fails there is run
 * once more, by itself when nothing else runs, and that counts; the first failure is printed in full and named at the end, as it still has
 * a cause. What fails twice has failed.
 */
async function journeys(quiet) {
  const begun = performance.now();
  const args = ['--config', 'e2e/jest.config.mjs'];
  const first = await ranJest([...args, '--maxWorkers=3']);
  tell('journeys', begun, first.text);
  if (!first.result) return count('journeys', 0, 1);
  const again = first.result.testResults.filter(({ status }) => status === 'failed');
  if (again.length === 0) return count('journeys', first.result.numPassedTests, badOf(first.result));
  await unitTests();
  await quiet;
  const retried = performance.now();
  const second = await ranJest([...args, '--maxWorkers=1', '--runTestsByPath', ...again.map((file) => file.name)]);
  tell('journeys once more, alone', retried, second.text);
  if (!second.result) return count('journeys', 0, 1);
  const tests = again.flatMap(({ name, assertionResults }) => assertionResults.map((test) => ({ ...test, file: name })));
  const countedAgain = tests.filter(({ status }) => status === 'passed').length;
  count('journeys', first.result.numPassedTests - countedAgain + second.result.numPassedTests, badOf(second.result));
  for (const { file, title } of tests.filter(({ status }) => status === 'failed'))
    troubles.push(`journeys: “${title}” of ${path.relative(root, file)} failed beside others and was tried again alone`);
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

/** Unit tests in parts, each of them run by whoever comes next. */
const UNIT_PARTS = 8;
let part = 0;
async function unitTests() {
  while (part < UNIT_PARTS) {
    part++;
    await jest(`unit tests, part ${part} of ${UNIT_PARTS}`, ['--maxWorkers=1', `--shard=${part}/${UNIT_PARTS}`]);
  }
}

/** What reads the sources only; resolves when all of it has ended. */
async function ofSources() {
  await check('formatting', [module('oxfmt', 'bin', 'oxfmt'), '--check']);
  await check('import directions', [
    module('dependency-cruiser', 'bin', 'dependency-cruise.mjs'),
    ...['--config', '.dependency-cruiser.cjs', 'core', 'drawing', 'machine', 'cli', 'web'],
  ]);
  await check('compiled kernels', ['scripts/build-kernels.mjs', '--check']);
  await check('formulas in type', ['scripts/build-formulas.mjs', '--check']);
  await check('lint', [module('eslint', 'bin', 'eslint.js'), '.']);
  await unitTests();
}

/**
 * What uses the built application. The journeys wait more than they compute: one more runs beside those that two cores can carry. Then it lends a
 * hand with the unit tests.
 */
async function ofApplication(built, others) {
  if (built && ensureBrowser()) await journeys(others);
  else count('journeys', 0, 1);
  if (built) await check('torture of half a minute', ['scripts/torture.mjs', '--minutes', '0.5', '--seed', '1']);
  await unitTests();
}

/** Both at once. The build writes types of its own, which are looked at too. */
async function everything() {
  const sources = ofSources();
  const built = await check('build', ['scripts/build.mjs']);
  const others = sources
    .then(() => check('types', ...['core', 'drawing', 'tsconfig.json', 'web'].map(tsc)))
    .then(() => check('extending', ['scripts/try-extending.mjs']));
  await Promise.all([ofApplication(built, others), others]);
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
