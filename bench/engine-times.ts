import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { symmetricMatrixMarket } from '@rigid-beam/core/formats/matrix-market';
import { factorize } from '@rigid-beam/core/linear-algebra/factor';
import { takeKernels } from '@rigid-beam/core/linear-algebra/kernel-pool';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Model } from '@rigid-beam/core/model/model';
import { extremes } from '@rigid-beam/core/results/extremes';
import { AnalysisSession, solve } from '@rigid-beam/core/analysis/session';
import { influenceOf, isFound } from '@rigid-beam/core/influence/asked';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { lineQuantities } from '@rigid-beam/core/results/quantities';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import { arrangedNow } from '@rigid-beam/core/tables/arranged';
import { readConditions } from '@rigid-beam/core/tables/conditions';
import { resultTable } from '@rigid-beam/core/tables/results/lists';
import { readGoverningSums } from '@rigid-beam/core/results/governs';
import { readExtremes } from '@rigid-beam/core/results/read-extremes';
import { ended } from '@rigid-beam/core/results/read-now';
import { responseOf } from '@rigid-beam/core/results/sums';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import { emptyModel } from '@rigid-beam/core/model/model';
import { typicals } from '@rigid-beam/core/model/typical/all';
import { setting } from '@rigid-beam/core/model/parameters/set-parameters';
import { readMeasure, type Measure } from '@rigid-beam/core/study/measure';
import { studied } from '@rigid-beam/core/study/study';
import { workingsIn } from '@rigid-beam/core/workings/ask';
import { workingsStepsOf } from '@rigid-beam/core/workings/steps';
import type { Worked } from '@rigid-beam/core/workings/worked';
import { compile } from '@rigid-beam/core/stiffness/compile';
import { assembleStiffness } from '@rigid-beam/core/stiffness/assemble';
import { memberMatrices } from '@rigid-beam/core/stiffness/member-matrices';
import { numberFreedoms } from '@rigid-beam/core/stiffness/numbering';
import { reducedSystem } from '@rigid-beam/core/stiffness/reduced-system';
import { building, lattice, spaceBuilding, bracedBuilding, leaningBuilding } from './structures';

// Measures one thing, named by the first argument, in a process of its own, and prints it as JSON: what one measurement leaves in
// memory must not burden the next. `matrix NAME FOLDER` writes the matrix of a structure instead.

const structures: Record<string, () => Model> = {
  'space building of 1,056 members': () => spaceBuilding(5, 5, 11, 10),
  'space building of 36,450 freedoms': () => spaceBuilding(14, 14, 27, 20),
  'space building of 100,800 freedoms': () => spaceBuilding(19, 19, 42, 1),
  'lattice of 35,838 freedoms': () => lattice(1500, 1),
};

const median = (runs: number, work: (run: number) => void): number => {
  const times = Array.from({ length: runs }, (_, run) => {
    const begun = performance.now();
    work(run);
    return performance.now() - begun;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)]!;
};

/** One edit after the other, each solved with what the last one left. */
function edits(model: Model, runs: number, edit: (model: Model, run: number) => Model): number {
  const session = new AnalysisSession();
  for (let run = 0; run < runs; run++) session.update(edit(model, run));
  const models = Array.from({ length: runs }, (_, run) => edit(model, run));
  return median(runs, (run) => void session.update(models[run]!));
}

const nodeMoved = (model: Model, run: number): Model => ({
  ...model,
  nodes: model.nodes.map((node, i) => (i === model.nodes.length - 1 ? { ...node, x: node.x + 1e-3 * (run + 1) } : node)),
});
const loadsChanged = (model: Model, run: number): Model => ({
  ...model,
  loads: model.loads.map((load) => (load.type === 'line' ? { ...load, from: { wy: -1e4 - run }, to: { wy: -1e4 - run } } : load)),
});

const oneLoadChanged = (model: Model, run: number): Model => ({
  ...model,
  loads: model.loads.map((load, i) =>
    i === model.loads.length - 1 && load.type === 'line' ? { ...load, to: { wy: -1e4 - run } } : load,
  ),
});

function factorization(name: string): object {
  const s = compile(structures[name]!());
  const matrices = memberMatrices(s);
  const begun = performance.now();
  const numbering = numberFreedoms(s, new Uint8Array(6 * s.names.nodes.length));
  const ordering = performance.now() - begun;
  const K = assembleStiffness(s, matrices, numbering, []);
  const runs = numbering.size > 5e4 ? 1 : numbering.size > 2e4 ? 3 : 30;
  const kernels = takeKernels();
  factorize(numbering.analysis, K, kernels);
  const time = median(runs, () => factorize(numbering.analysis, K, kernels));
  const { factorLength, work } = numbering.analysis;
  return { size: numbering.size, time, ordering, entries: factorLength, work };
}

const measurements: Record<string, () => object> = {
  'plane, node moved': () => ({ time: edits(building(9, 10, 10), 1000, nodeMoved) }),
  'space, node moved': () => ({ time: edits(structures['space building of 1,056 members']!(), 60, nodeMoved) }),
  'space, loads changed': () => ({ time: edits(structures['space building of 1,056 members']!(), 60, loadsChanged) }),
  'space, one load changed': () => ({ time: edits(structures['space building of 1,056 members']!(), 300, oneLoadChanged) }),
  'all results': () => {
    const text = JSON.stringify(structures['space building of 36,450 freedoms']!());
    const file: unknown = JSON.parse(text);
    const begun = performance.now();
    const { model } = checkModel(file);
    const { status } = solve(model!);
    return { time: performance.now() - begun, status };
  },
  'large solve': () => {
    const model = structures['space building of 100,800 freedoms']!();
    const begun = performance.now();
    const { status } = solve(model);
    return { time: performance.now() - begun, status, memory: process.resourceUsage().maxRSS * 1024 };
  },
  'many sums': () => {
    const base = spaceBuilding(12, 12, 22, 10);
    const sums = Array.from({ length: 500 }, (_, i) => ({
      id: `U${i}`,
      type: 'sum' as const,
      factors: Object.fromEntries(base.cases.map(({ id }, k) => [id, ((i * 7919 + k * 6007 + i * k * 31) % 1009) / 600])),
    }));
    const envelope = { id: 'worst', type: 'envelope' as const, of: sums.map(({ id }) => id) };
    const solution = solve({ ...base, combinations: [...sums, envelope] }).solution!;
    const last = solution.outcomes.length - 1;
    const opening = median(5, (run) => void responseOf(solution, base.cases.length + run));
    const begun = performance.now();
    const stream = readExtremes(solution, last);
    let [steps, longest, before] = [0, 0, begun];
    for (let step = stream.next(); !step.done; step = stream.next()) {
      steps++;
      longest = Math.max(longest, performance.now() - before);
      before = performance.now();
    }
    const envelopeTime = performance.now() - begun;
    const asked = performance.now();
    const reading = readGoverningSums({ combinations: sums }, solution);
    while (!reading.next().done);
    const governing = performance.now() - asked;
    return {
      members: base.members.length,
      opening,
      envelope: envelopeTime,
      governing,
      steps,
      longest,
      memory: process.resourceUsage().maxRSS * 1024,
    };
  },
  'one-sided': () => {
    const model = bracedBuilding(10);
    const whole = median(5, () => solve(structuredClone(model)));
    const session = new AnalysisSession();
    session.update(model);
    const edit = median(
      9,
      (run) =>
      session.update({ ...model, loads: model.loads.map((one, i) => (i === 0 && one.type === 'line' ? { ...one, from: { wy: -run }, to: { wy: -run } } : one)) }), // oxfmt-ignore
    );
    return { members: model.members.length, whole, edit };
  },
  'second order': () => {
    const model = leaningBuilding();
    const whole = median(5, () => solve(structuredClone(model)));
    const session = new AnalysisSession();
    session.update(model);
    const edit = median(5, (run) =>
      session.update({
        ...model,
        loads: model.loads.map((one, i) =>
          i === 0 && one.type === 'line' ? { ...one, from: { wy: -run }, to: { wy: -run } } : one,
        ),
      }),
    );
    return { members: model.members.length, whole, edit };
  },
  buckling: () => {
    const model = spaceBuilding(5, 5, 11, 1);
    const of = (modes: number): number => {
      const asked: Model = { ...model, analysis: { buckling: { of: [model.cases[0]!.id], modes } } };
      return median(3, () => solve(structuredClone(asked)));
    };
    return { members: model.members.length, first: of(1), six: of(6) };
  },
  'natural modes': () => {
    const of = (model: Model, runs: number): number => {
      const asked: Model = { ...model, analysis: { naturalModes: { modes: 10, cases: { [model.cases[0]!.id]: 1 } } } };
      return median(runs, () => solve(structuredClone(asked)));
    };
    const [thousand, tenThousand] = [spaceBuilding(5, 5, 11, 1), spaceBuilding(12, 12, 22, 1)];
    const spectrum = { shape: 'type 1', ground: 'C', acceleration: 1, behaviour: 1.5 } as const;
    const { solution } = solve({ ...thousand, analysis: { naturalModes: { modes: 10, spectrum } } });
    const together = solution!.outcomes.findIndex(({ id }) => id === 'Earthquake');
    const earthquake = median(3, () => ended(readExtremes(solution!, together)));
    return { members: tenThousand.members.length, ten: of(thousand, 7), tenOfMany: of(tenThousand, 3), earthquake };
  },
  workings: () => {
    const model = building(2, 8, 1);
    const { solution } = solve(model);
    const found = (): Worked => workingsIn(model, solution!, model.cases[0]!.id) as Worked;
    return { members: model.members.length, time: median(7, () => workingsStepsOf(found(), defaultDisplay)) };
  },
  parameters: () => {
    const base = spaceBuilding(5, 5, 11, 10);
    const bays = [...base.nodes].map(({ id, x }) => ({ of: `nodes/${id}/x`, is: `${x / 6} bay` }));
    const model: Model = { ...base, parameters: [{ id: 'bay', unit: 'm', value: 6 }], formulas: bays };
    const session = new AnalysisSession();
    session.update(model);
    const slide = median(7, (run) => {
      const moved = applyIntent(model, setting(model, model.parameters![0]!, 6 + 0.1 * (run + 1)));
      if (!moved.ok) throw new Error(moved.faults[0]!.message);
      session.update(moved.model);
    });
    const follow = median(7, (run) => applyIntent(model, setting(model, model.parameters![0]!, 6 + 0.1 * (run + 1))));
    const rib = checkModel(JSON.parse(readFileSync('examples/glasshouse-rib.rbm.json', 'utf8'))).model!;
    const measures = ['M.largest', 'movement'].map((text) => readMeasure(text, rib) as Measure);
    const values = Array.from({ length: 200 }, (_, i) => 2 + i / 50);
    const study = median(3, () => [...studied(rib, { parameter: 'rise', values, measures, outcome: 'U1' })]);
    return { members: base.members.length, numbers: bays.length, follow, slide, study };
  },
  influence: () => {
    const model = spaceBuilding(12, 12, 22, 1);
    const session = new AnalysisSession();
    session.update(model);
    const beams = model.members.filter(({ id }) => !id.startsWith('c'));
    const time = median(7, (run) => {
      const found = influenceOf(model, session.system!, { effect: `${beams[(run * 97) % beams.length]!.id}:Mz@40%` });
      if (!isFound(found)) throw new Error(found.map(({ message }) => message).join(' '));
    });
    return { members: model.members.length, time };
  },
  'kept lengths': () => {
    const base = spaceBuilding(5, 5, 11, 10);
    const model: Model = { ...base, analysis: { ...base.analysis, axialDeformation: false } };
    const whole = median(5, () => solve(structuredClone(model)));
    return { members: model.members.length, whole, edit: edits(model, 20, nodeMoved) };
  },
  structures: () => {
    const empty: Model = { ...emptyModel('building'), space: 'space', materials: [{ id: 'm', E: 2.1e11, G: 8.1e10 }], sections: [{ id: 's', A: 5e-3, Iz: 1e-5, Iy: 4e-6, J: 5e-6 }] }; // oxfmt-ignore
    const type = typicals.find(({ id }) => id === 'building')!;
    const spans = (count: number): readonly number[] => Array.from({ length: count }, () => 5);
    const values = { bays: spans(5), deep: spans(5), storeys: spans(11), base: 'fixed' };
    const part = type.build(values, { section: 's', material: 'm' });
    const placed = applyIntent(empty, { type: 'insert', part, at: [0, 0, 0], structure: { id: 'It', type: type.id, values } });
    if (!placed.ok) throw new Error('The building cannot be placed');
    const [structure] = placed.model.structures!;
    const time = median(
      7,
      (run) =>
      applyIntent(placed.model, { type: 'put', list: 'structures', entry: { ...structure!, values: { ...values, storeys: spans(12 + (run % 2)) } } }), // oxfmt-ignore
    );
    return { members: placed.model.members.length, time };
  },
  travelling: () => {
    const base = building(20, 4, 2);
    const run = base.members.map(({ id }) => id).filter((id) => /^b\d+\.2$/.test(id));
    const train = {
      id: 'train',
      case: 'T',
      type: 'train' as const,
      members: run,
      stands: 9,
      axles: [3e4, 9e4, 9e4, 6e4],
      spacings: [3, 1.2, 4],
    };
    const model: Model = {
      ...base,
      cases: [...base.cases, { id: 'T', category: 'traffic' }],
      loads: [...base.loads, train],
      actions: [{ id: 'T travelling', type: 'travelling', of: ['T'] }],
      combinations: [{ id: 'U', type: 'sum', factors: { Q0: 1.35, 'T travelling': 1.5 } }],
    };
    const { solution } = solve(model);
    const outcome = solution!.outcomes.findIndex(({ id }) => id === 'U');
    const begun = performance.now();
    const reading = readExtremes(solution!, outcome);
    while (!reading.next().done);
    return { members: base.members.length, run: run.length, time: performance.now() - begun };
  },
  reading: () => {
    const base = spaceBuilding(5, 5, 11, 10);
    // No two of them alike: of equal ones only the first could govern.
    const sums = Array.from({ length: 50 }, (_, i) => ({
      id: `U${i}`,
      type: 'sum' as const,
      factors: Object.fromEntries(base.cases.map(({ id }, k) => [id, 1 + (((i + 1) * (k + 3) * 37) % 97) / 200])),
    }));
    const envelope = { id: 'U', type: 'envelope' as const, of: sums.map(({ id }) => id) };
    const model = { ...base, combinations: [...sums, envelope] };
    const solution = solve(model).solution!;
    const outcome = solution.outcomes.length - 1;
    const members = base.members.map((_, m) => m);
    const governs = median(3, () => {
      for (const m of members)
        for (const side of ['max', 'min'] as const) memberReader(solution, outcome, m).governed('Mz', side);
    });
    const asked = { outcome, of: 'each of its parts', places: 5 } as const;
    const table = resultTable(solution, 'endForces', asked, defaultDisplay)!;
    const ordered = median(3, (run) => {
      const read = readConditions(`|Mz| > ${run}`, table.columns);
      if (!read.ok) throw new Error(read.reason);
      arrangedNow(table, { holds: read.holds, sorted: { key: 'Mz', way: -1 } });
    });
    const beams = base.members
      .filter(({ id }) => !id.startsWith('c'))
      .slice(0, 12)
      .map(({ id }) => id);
    const line = beams.map((id) => memberReader(solution, outcome, solution.structure.names.members.indexOf(id)));
    const step = median(200, (run) => {
      for (const quantity of lineQuantities) line[run % line.length]!.at(quantity, 0.37 * (run % 7));
    });
    return { members: members.length, rows: table.rows.length, governs, ordered, step };
  },
  combinations: () => {
    const base = building(70, 70, 10);
    const factors = (i: number): Record<string, number> =>
      Object.fromEntries(base.cases.map(({ id }, k) => [id, 1 + ((i * 7 + k * 3) % 5) / 10]));
    const sums = Array.from({ length: 50 }, (_, i) => ({ id: `U${i}`, type: 'sum' as const, factors: factors(i) }));
    const solution = solve({ ...base, combinations: sums }).solution!;
    const outcomes = sums.map((_, i) => base.cases.length + i);
    const times = { sums: [] as number[], extremes: [] as number[] };
    for (let run = 0; run < 3; run++) {
      // Another solution keeps none of the sums.
      const fresh = { ...solution };
      let [sums, found] = [0, 0];
      for (const outcome of outcomes) {
        const begun = performance.now();
        responseOf(fresh, outcome);
        const added = performance.now();
        for (let m = 0; m < base.members.length; m++)
          for (const quantity of ['N', 'Vy', 'Mz'] as const) extremes(fresh, outcome, m, quantity);
        sums += added - begun;
        found += performance.now() - added;
      }
      times.sums.push(sums);
      times.extremes.push(found);
    }
    const middle = (all: number[]): number => all.sort((a, b) => a - b)[1]!;
    return { members: base.members.length, sums: middle(times.sums), extremes: middle(times.extremes) };
  },
};

const [what = '', name = '', folder = ''] = process.argv.slice(2);
if (what === 'matrix') {
  const { matrix } = reducedSystem(structures[name]!());
  writeFileSync(path.join(folder, 'matrix.mtx'), symmetricMatrixMarket(matrix, [name]));
} else console.log(JSON.stringify(what === 'factorization' ? factorization(name) : measurements[what]!()));
