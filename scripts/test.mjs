import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { findBrowser, NO_BROWSER } from './browser.mjs';
import { build, install, root, run } from './steps.mjs';

// `npm test`: every check on a fresh clone, in one command. Its last line says how many passed and failed.

let passed = 0;
let failed = 0;
const troubles = [];

function count(name, good, bad) {
  passed += good;
  failed += bad;
  if (bad > 0) troubles.push(`${name}: ${bad} failed`);
}

/** One check that passes or fails as a whole. */
function check(name, action) {
  console.log(`\n── ${name}`);
  let good = false;
  try {
    good = action();
  } catch (error) {
    console.error(error.message);
  }
  count(name, good ? 1 : 0, good ? 0 : 1);
  return good;
}

const npm = (script) => run('npm', ['run', '--silent', script]) === 0;

/** Jest counts its own tests; a run that ends without a report counts as one failure. */
function jest(name, args) {
  console.log(`\n── ${name}`);
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-tests-'));
  const report = path.join(folder, 'report.json');
  run(
    process.execPath,
    ['--no-warnings', '--experimental-vm-modules', 'node_modules/jest/bin/jest.js', ...args, '--json', `--outputFile=${report}`],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
  try {
    const result = JSON.parse(readFileSync(report, 'utf8'));
    const brokenFiles = result.numRuntimeErrorTestSuites;
    count(name, result.numPassedTests, result.numFailedTests + result.numPendingTests + brokenFiles);
  } catch {
    count(name, 0, 1);
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
  if (!findBrowser()) throw new Error(NO_BROWSER);
  return true;
}

const installed = check('install', () => {
  install();
  return true;
});
if (installed) {
  check('formatting', () => npm('test:format'));
  check('lint', () => npm('test:lint'));
  const built = check('build', () => {
    build();
    return true;
  });
  check('types', () => npm('test:types'));
  check('import directions', () => npm('test:directions'));
  check('compiled kernels', () => npm('test:kernels'));
  if (built) {
    jest('unit tests', []);
    if (check('browser', ensureBrowser)) jest('journeys', ['--config', 'e2e/jest.config.mjs', '--runInBand']);
  }
}
process.chdir(root);
console.log('');
for (const trouble of troubles) console.log(trouble);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
