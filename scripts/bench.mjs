import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import path from 'node:path';
import { bundle } from './bundle.mjs';
import { findBrowser, NO_BROWSER } from './browser.mjs';
import { editToDiagram } from './bench-edit.mjs';
import { pageTimes } from './bench-page.mjs';
import { sheetTimes } from './bench-sheet.mjs';
import { startServer } from './server.mjs';
import { build, install, root } from './steps.mjs';

// `npm run bench`: measures, and writes docs/performance.md. `-- --cold` also times a first start on a fresh clone.

const PORT = 3221;
const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;
const milliseconds = (ms) => `${ms < 10 ? ms.toFixed(2) : ms.toFixed(0)} ms`;
const temporary = (name) => mkdtempSync(path.join(tmpdir(), `rigid-beam-${name}-`));

install();
build();

async function coreTimes() {
  const outfile = path.join(temporary('bench'), 'core-times.mjs');
  await bundle('bench/core-times.ts', outfile);
  const result = spawnSync(process.execPath, [outfile], { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'inherit'] });
  const folder = temporary('models');
  spawnSync(process.execPath, [outfile, 'models', folder], { cwd: root, stdio: 'inherit' });
  const [thousand, tenThousand, ...sixCases] = [0, 1, 2, 3].map((i) =>
    JSON.parse(readFileSync(path.join(folder, `${i}.json`), 'utf8')),
  );
  rmSync(folder, { recursive: true, force: true });
  return { core: JSON.parse(result.stdout), thousand, tenThousand, sixCases };
}

/** Sections: a keystroke of the search, and an outline with its mesh. */
async function sectionTimes() {
  const outfile = path.join(temporary('sections'), 'section-times.mjs');
  await bundle('bench/section-times.ts', outfile);
  return JSON.parse(
    spawnSync(process.execPath, [outfile], { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'inherit'] }).stdout,
  );
}

/** Files of IFC. The package that knows the syntax is found from within the repository. */
async function exchangeTimes() {
  const outfile = path.join(root, '.cache', 'exchange-times.mjs');
  await bundle('bench/exchange-times.ts', outfile);
  return JSON.parse(
    spawnSync(process.execPath, [outfile], { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'inherit'] }).stdout,
  );
}

/** The engine's own measurements, each in a process of its own; the entry point is bundled once. */
async function engine() {
  const outfile = path.join(temporary('engine'), 'engine-times.mjs');
  await bundle('bench/engine-times.ts', outfile);
  const run = (...args) => {
    const result = spawnSync(process.execPath, [outfile, ...args], {
      cwd: root,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    return result.stdout.trim() ? JSON.parse(result.stdout) : undefined;
  };
  const systems = [
    'space building of 1,056 members',
    'space building of 36,450 freedoms',
    'lattice of 35,838 freedoms',
    'space building of 100,800 freedoms',
  ];
  // A machine that others use as well changes its pace: what is short is measured again and again between what is long.
  const short = {
    'plane, node moved': [],
    'space, node moved': [],
    'space, loads changed': [],
    'space, one load changed': [],
  };
  const again = () => {
    for (const [what, times] of Object.entries(short)) times.push(run(what).time);
  };
  const other = process.argv.includes('--cholmod') ? cholmod() : undefined;
  const factors = systems.map((name) => {
    again();
    const ours = run('factorization', name);
    if (!other) return { name, ...ours };
    const folder = temporary('matrix');
    run('matrix', name, folder);
    const theirs = other(path.join(folder, 'matrix.mtx'));
    rmSync(folder, { recursive: true, force: true });
    return { name, ...ours, theirs };
  });
  again();
  const [all, large, combinations] = [run('all results').time, run('large solve'), run('combinations')];
  const manySums = run('many sums');
  const influence = run('influence');
  const reading = run('reading');
  const travelling = run('travelling');
  const oneSided = run('one-sided');
  const [secondOrder, buckling] = [run('second order'), run('buckling')];
  const naturalModes = run('natural modes');
  const workings = run('workings');
  const parameters = run('parameters');
  const keptLengths = run('kept lengths');
  const placed = run('structures');
  again();
  return {
    short,
    all,
    large,
    combinations,
    manySums,
    influence,
    reading,
    travelling,
    oneSided,
    secondOrder,
    buckling,
    naturalModes,
    workings,
    parameters,
    keptLengths,
    placed,
    factors,
  };
}

/** The shortest and the longest of some times. */
const fromTo = (times) => `${milliseconds(Math.min(...times))} to ${milliseconds(Math.max(...times))}`;

/** Builds bench/cholmod.c against the system's SuiteSparse; returns what runs it on a matrix, on one thread. */
function cholmod() {
  const program = path.join(temporary('cholmod'), 'cholmod');
  const built = spawnSync('cc', ['-O2', 'bench/cholmod.c', '-lcholmod', '-o', program], { cwd: root, stdio: 'inherit' });
  if (built.status !== 0) throw new Error('bench/cholmod.c cannot be built: install libsuitesparse-dev and a C compiler.');
  // Beside the reference BLAS, which is ten times slower, anything looks good.
  const { stdout: libraries } = spawnSync('ldd', [program], { encoding: 'utf8' });
  if (!libraries.includes('libopenblas'))
    throw new Error('CHOLMOD would run on a slow BLAS, which is no comparison: install libopenblas0-pthread.');
  const oneThread = { ...process.env, OPENBLAS_NUM_THREADS: '1', OMP_NUM_THREADS: '1' };
  return (file) => JSON.parse(spawnSync(program, [file], { encoding: 'utf8', env: oneThread }).stdout);
}

/** The factorization table: ours, and beside it the other library's where it was measured in the same run. */
function factorTable(factors) {
  const measured = factors.some(({ theirs }) => theirs);
  const head = ['matrix', 'unknowns', 'entries of L', 'operations', 'ordering', 'factorization'];
  if (measured) head.push('CHOLMOD supernodal', 'ratio', 'CHOLMOD simplicial', 'ratio');
  const rows = factors.map(({ name, size, entries, work, ordering, time, theirs }) => {
    const row = [
      name,
      size,
      `${(entries / 1e6).toFixed(2)} M`,
      `${(work / 1e9).toFixed(2)} G`,
      milliseconds(ordering),
      milliseconds(time),
    ];
    if (theirs)
      for (const kind of ['supernodal', 'simplicial'])
        row.push(...(theirs[kind] > 0 ? [milliseconds(1e3 * theirs[kind]), (time / 1e3 / theirs[kind]).toFixed(2)] : ['', '']));
    return row;
  });
  return [head, head.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`).join('\n');
}

/** From `npm start` on a fresh clone to the address, in milliseconds. */
function coldStart() {
  const clone = temporary('clone');
  spawnSync('git', ['clone', '-q', root, clone]);
  const begun = performance.now();
  const script = `timeout 600 npm start --silent | while read -r line; do case "$line" in *"is ready"*) pkill -P $$ timeout; break;; esac; done`;
  spawnSync('bash', ['-c', script], {
    cwd: clone,
    env: { ...process.env, PORT: String(PORT + 1), RIGID_BEAM_DATA: temporary('cold') },
    stdio: 'ignore',
  });
  const took = performance.now() - begun;
  rmSync(clone, { recursive: true, force: true });
  return took;
}

/** Starts the built application: on an empty data directory, then again on the same. */
async function warmStarts() {
  const data = temporary('data');
  const times = [];
  for (let i = 0; i < 3; i++) {
    const begun = performance.now();
    const server = await startServer(PORT, { RIGID_BEAM_DATA: data });
    times.push(performance.now() - begun);
    server.child.kill('SIGTERM');
    await server.exited;
  }
  rmSync(data, { recursive: true, force: true });
  return { first: times[0], second: Math.min(times[1], times[2]) };
}

if (!findBrowser()) throw new Error(NO_BROWSER);
const cold = process.argv.includes('--cold') ? coldStart() : undefined;
const warm = await warmStarts();
const edit = await editToDiagram(PORT);
const { core, thousand, tenThousand, sixCases } = await coreTimes();
const sheet = await sheetTimes(PORT, [
  ['space building of 1,056 members, 6 cases', sixCases[0], 'and drags'],
  ['space building of 10,582 members, 6 cases', sixCases[1]],
]);
const pages = await pageTimes(PORT, [
  ['Glasshouse rib', JSON.parse(readFileSync(path.join(root, 'examples', 'glasshouse-rib.rbm.json'), 'utf8'))],
  ['space building of 1,056 members, 3 cases', thousand],
  ['space building of 10,582 members, 1 case', tenThousand],
]);
const sectionsTimes = await sectionTimes();
const exchange = await exchangeTimes();
const engineTimes = await engine();

const file = path.join(root, 'docs', 'performance.md');
let before = '';
try {
  before = readFileSync(file, 'utf8');
} catch {
  // The first measurement.
}
const coldLine =
  cold === undefined
    ? (/\| Cold start.*\n/.exec(before)?.[0] ?? '')
    : `| Cold start: \`npm start\` on a fresh clone, with installing and building | ${seconds(cold)} |\n`;
writeFileSync(
  file,
  `# Performance

Written by \`npm run bench\` (cold start: \`npm run bench -- --cold\`). These are measurements, not promises; no test fails on a time.
Machine: ${cpus().length} cores, ${cpus()[0].model.trim()}, Node ${process.version}, Chromium without a GPU.

## Starting and editing

| what | time |
|---|---|
${coldLine}| First start of the built application, with a new database and the demo | ${seconds(warm.first)} |
| Warm start | ${seconds(warm.second)} |
| Glasshouse rib: from Enter in a load's field to the painted diagram, median | ${milliseconds(edit.few.median)} |
| the same, slowest of 25 | ${milliseconds(edit.few.worst)} |
| the same with ${edit.many.sums} combinations made by rules, median (as with five) | ${milliseconds(edit.many.median)} |

The time of an edit includes the check of the whole model, the way to the worker and back, the solution, the drawing and the frame in which
the browser paints it: measured from the key to behind that frame, on the text that was typed.

The page of a model on a warm server, from asking for it, median of five visits:

| model | something to look at (0.5 s) | solved and drawn (1.5 s) |
|---|---|---|
${pages.map(({ name, seen, solved }) => `| ${name} | ${seconds(seen)} | ${seconds(solved)} |`).join('\n')}

## Solving and drawing, one thread, warm

From the model as plain objects to all results (compile, assemble, factor, solve every case, recover), and from results to a display
list with placed labels.

| model | members | solve | display list | of it per 1,000 members | list of a turning look | what lies under the pointer |
|---|---|---|---|---|---|---|
${core
  .map(
    ({ name, members, solve, list, quick, hover }) =>
      `| ${name} | ${members} | ${milliseconds(solve)} | ${milliseconds(list)} | ${milliseconds((1000 * list) / members)} | ${milliseconds(quick)} | ${milliseconds(hover)} |`,
  )
  .join('\n')}

## The sheet under the pointer

Medians of the time between frames in the real browser (which paints without a GPU here; 16.7 ms is its own pace). While the paper
moves, what was painted is only laid elsewhere; while a look turns, only members are drawn; while a node is dragged, every step is
solved and drawn with its diagrams, of a large structure as outlines and without loads and figures (docs/decisions/018). Another
quantity that is chosen has diagrams, places of texts and paint of its own, beside what stays, and another case, or a sum of six, loads and
a deflected line too (33 ms for 1,056 members, 100 ms for 10,582, from the choice to the picture). The last few of them are only painted, and so is what was drawn ahead: twelve cases, sums and envelopes
about the one that acts, the other quantities, and what the pointer is over (docs/decisions/079).

| model | hover | pan | turn | drag a node | another quantity | one of the last few again | one that is derived | the next case | the next sum | one six places away | an envelope |
|---|---|---|---|---|---|---|---|---|---|---|---|---|
${sheet
  .map(({ name, hover, pan, turn, drag, first, again, derived, other, sum, far, envelope }) => {
    const times = [hover, pan, turn, drag, first, again, derived, other, sum, far, envelope];
    return `| ${name} | ${times.map((time) => (time === undefined ? '' : milliseconds(time))).join(' | ')} |`;
  })
  .join('\n')}

Members as solid bodies, of ${sheet.at(-1).members.toLocaleString('en')} members: built in ${milliseconds(sheet.at(-1).built)} (1 s); script of a frame while the look turns ${milliseconds(sheet.at(-1).script)} (8 ms
on a graphics processor; here the browser paints them in software).

## The engine, one thread, warm

The goals stand in brackets. Structures come from \`bench/structures.ts\`; each line is a process of its own; the first four were measured
six times, spread over the run: shortest and longest median. A shared machine changes its pace from hour to hour, by up to a factor of two; ratios to
what was measured in the same run vary less.

| work | time |
|---|---|
| plane frame of 190 members, a node moved: results of 10 cases (1 ms) | ${fromTo(engineTimes.short['plane, node moved'])} |
| space building of 1,056 members, a node moved: results of 10 cases (40 ms) | ${fromTo(engineTimes.short['space, node moved'])} |
| the same, one load changed: results of 10 cases (4 ms) | ${fromTo(engineTimes.short['space, one load changed'])} |
| the same, all loads of all 10 cases changed | ${fromTo(engineTimes.short['space, loads changed'])} |
| space building of 36,450 freedoms, 20 cases: from the parsed file to all results (5 s) | ${seconds(engineTimes.all)} |
| space building of 100,800 freedoms, 1 case: from the model to all results | ${seconds(engineTimes.large.time)} |
| the same: largest memory of the process (1.5 GB) | ${(engineTimes.large.memory / 1e9).toFixed(2)} GB |
| 9,870 members × 50 combinations of 10 cases: all end forces and diagrams, one after the other as they are looked at (1 s together with the next) | ${milliseconds(engineTimes.combinations.sums)} |
| exact extremes of N, V and M of all of them | ${milliseconds(engineTimes.combinations.extremes)} |
| ${engineTimes.manySums.members.toLocaleString('en')} members in space × 500 combinations of 10 cases: exact envelope of all quantities, derived ones included | ${seconds(engineTimes.manySums.envelope)} |
| the same: its longest step without a pause; opening one combination | ${milliseconds(engineTimes.manySums.longest)}; ${milliseconds(engineTimes.manySums.opening)} |
| the same: which of the sums govern anything | ${seconds(engineTimes.manySums.governing)} |
| ${engineTimes.oneSided.members.toLocaleString('en')} members in space, 96 of them crossed ties, 10 cases and 30 combinations, each by itself (1.5 s); one load changed | ${milliseconds(engineTimes.oneSided.whole)}; ${milliseconds(engineTimes.oneSided.edit)} |
| ${engineTimes.secondOrder.members.toLocaleString('en')} members in space, 10 cases and 10 combinations in second order, with sway and bow (2 s); one load changed (1 s) | ${milliseconds(engineTimes.secondOrder.whole)}; ${milliseconds(engineTimes.secondOrder.edit)} |
| ${engineTimes.buckling.members.toLocaleString('en')} members in space, first critical load of one case; the first six | ${milliseconds(engineTimes.buckling.first)}; ${milliseconds(engineTimes.buckling.six)} |
| 1,056 members in space, ten natural modes, with solving (1 s); ${engineTimes.naturalModes.members.toLocaleString('en')} members (15 s) | ${seconds(engineTimes.naturalModes.ten)}; ${seconds(engineTimes.naturalModes.tenOfMany)} |
| the same 1,056 in an earthquake of ten modes and two directions: extremes of all quantities on all members | ${seconds(engineTimes.naturalModes.earthquake)} |
| workings of ${engineTimes.workings.members} members in the plane, every step (100 ms) | ${milliseconds(engineTimes.workings.time)} |
| ${engineTimes.parameters.members.toLocaleString('en')} members in space × 10 cases, ${engineTimes.parameters.numbers} coordinates given by one parameter: all numbers follow it; with solving | ${milliseconds(engineTimes.parameters.follow)}; ${milliseconds(engineTimes.parameters.slide)} |
| a study of 200 steps of the glasshouse rib, moment and movement (1 s) | ${seconds(engineTimes.parameters.study)} |
| ${engineTimes.keptLengths.members.toLocaleString('en')} members in space × 10 cases that keep their lengths; one node moved | ${milliseconds(engineTimes.keptLengths.whole)}; ${milliseconds(engineTimes.keptLengths.edit)} |
| a placed building of ${engineTimes.placed.members.toLocaleString('en')} members takes a further storey or two, with the check | ${milliseconds(engineTimes.placed.time)} |
| an influence line of a moment in it, of one case | ${milliseconds(engineTimes.influence.time)} |
| a train of four axles that travels over ${engineTimes.travelling.run} of ${engineTimes.travelling.members} members in the plane, in a sum: extremes of all quantities on all members | ${seconds(engineTimes.travelling.time)} |
| the same 500: largest memory of the process | ${(engineTimes.manySums.memory / 1e9).toFixed(2)} GB |
| ${engineTimes.reading.members.toLocaleString('en')} members in space × 50 combinations: who governs the moment along every member (0.5 s) | ${milliseconds(engineTimes.reading.governs)} |
| the same: ${engineTimes.reading.rows.toLocaleString('en')} end forces narrowed and put in order | ${seconds(engineTimes.reading.ordered)} |
| the same: one step of the cursor along a run of 12 members: all quantities, and who governs (33 ms) | ${milliseconds(engineTimes.reading.step)} |

Sections: a keystroke in the search of the whole catalogue takes at most ${milliseconds(sectionsTimes.search)} (16 ms); all properties of an outline of 200 corners,
with torsion and shear on meshes until J has ${sectionsTimes.digits} digits (${sectionsTimes.triangles} triangles), ${milliseconds(sectionsTimes.outline)} (100 ms).

IFC, by the package that knows its syntax, at most ${(exchange.memory / 1e9).toFixed(2)} GB: ${exchange.times
    .map(
      ({ members, entities, bytes, written, read }) =>
        `${members.toLocaleString('en')} members (${entities.toLocaleString('en')} entities, ${(bytes / 1e6).toFixed(1)} MB) are written in ${seconds(written)} and read in ${seconds(read)}`,
    )
    .join('; ')}.

Numeric factorization, with the ordering beside it, which is kept while a structure keeps its pattern. ${
    engineTimes.factors.some(({ theirs }) => theirs)
      ? 'CHOLMOD (AMD ordering, one thread, OpenBLAS) factors the same matrices in the same run, by `npm run bench -- --cholmod`.'
      : '`npm run bench -- --cholmod` sets CHOLMOD beside it.'
  }

${factorTable(engineTimes.factors)}
`,
);
console.log(readFileSync(file, 'utf8'));
