import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { readModelFile } from '@rigid-beam/core/formats/model-file';
import type { Model } from '@rigid-beam/core/model/model';
import { solve } from '@rigid-beam/core/analysis/session';
import { placeLabels, roughMeasure } from '@rigid-beam/drawing/place-labels';
import { sheetItems } from '@rigid-beam/drawing/sheet-items';
import { boundsOf, fit } from '@rigid-beam/drawing/camera';
import { plainView, type View } from '@rigid-beam/drawing/view';
import { weightAt } from '@rigid-beam/drawing/level-of-detail';
import { hitTest } from '@rigid-beam/drawing/hit-test';
import { lookFrom, LOOKS } from '@rigid-beam/drawing/projection';
import { quickItems } from '@rigid-beam/drawing/quick-items';
import { drawnNodes, NOTHING_HIDDEN } from '@rigid-beam/drawing/geometry';
import { building, spaceBuilding } from './structures';

/** The median of some runs in milliseconds, after a few to warm up. */
function median(runs: number, action: () => unknown): number {
  for (let i = 0; i < Math.min(runs, 5); i++) action();
  const times = Array.from({ length: runs }, () => {
    const begun = performance.now();
    action();
    return performance.now() - begun;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}

const corner = lookFrom(LOOKS.corner.round, LOOKS.corner.height);

/** One display list with placed labels, the list of a turning look, and one question for what lies under the pointer. */
function draw(model: Model): { list: () => unknown; quick: () => unknown; hover: () => unknown } {
  const solution = solve(model).solution!;
  const seen = { projection: model.space === 'plane' ? plainView.projection : corner, hidden: NOTHING_HIDDEN };
  const box = boundsOf(drawnNodes(model, seen).values())!;
  const camera = fit(box, 900, 640, { left: 150, right: 60, top: 80, bottom: 200 });
  const view: View = {
    ...plainView,
    ...seen,
    quantity: 'Mz',
    values: 'that matter',
    deflected: true,
    reactions: true,
    loads: 'said',
    dimensions: 'plain',
    scale: camera.scale,
    weight: weightAt(model, seen, camera.scale),
  };
  const items = sheetItems(model, solution, view);
  const placed = placeLabels(items, camera, roughMeasure);
  let turn = 0;
  return {
    // The model is a new one after each edit: nothing that was found for the last one helps.
    list: () => placeLabels(sheetItems({ ...model }, solution, view), camera, roughMeasure),
    quick: () => quickItems(model, { ...seen, projection: lookFrom(turn++, 20) }),
    hover: () => hitTest(items, placed, camera, [450, 300], 7),
  };
}

const rib = readModelFile(readFileSync('examples/glasshouse-rib.rbm.json', 'utf8')).model!;
const models: [string, Model, number][] = [
  ['glasshouse rib, 13 members, 3 cases', rib, 200],
  ['building of 200 members, 10 cases', building(9, 10, 10), 40],
  ['building of 1,000 members, 10 cases', building(20, 24, 10), 9],
  ['building of 10,000 members, 1 case', building(70, 70, 1), 3],
  ['space building of 1,056 members, 3 cases', spaceBuilding(5, 5, 11, 3), 9],
  ['space building of 10,582 members, 1 case', spaceBuilding(12, 12, 22, 1), 3],
];
/** A building of six cases, six sums of all of them and two envelopes of these sums: more of each than a drawing keeps. */
function combined(base: Model): Model {
  const factors = (i: number): Record<string, number> =>
    Object.fromEntries(base.cases.map(({ id }, c) => [id, ((i * 7 + c * 3) % 5) / 2 + 0.1]));
  const sums = Array.from({ length: 6 }, (_, i) => ({ id: `U${i}`, type: 'sum' as const, factors: factors(i) }));
  const of = sums.map(({ id }) => id);
  const envelopes = ['E0', 'E1'].map((id) => ({ id, type: 'envelope' as const, of }));
  return { ...base, combinations: [...sums, ...envelopes] };
}

// `models FOLDER` writes the two space buildings as files, for their pages, and with cases and combinations, for the sheet.
const [what, folder = ''] = process.argv.slice(2);
if (what === 'models') {
  const combinedOnes = [spaceBuilding(5, 5, 11, 6), spaceBuilding(12, 12, 22, 6)].map(combined);
  const written = [...models.slice(-2).map(([, model]) => model), ...combinedOnes];
  written.forEach((model, i) => writeFileSync(path.join(folder, `${i}.json`), JSON.stringify(model)));
  process.exit(0);
}
const rows = models.map(([name, model, runs]) => {
  const { list, quick, hover } = draw(model);
  return {
    name,
    members: model.members.length,
    solve: median(runs, () => solve(model)),
    list: median(Math.max(3, runs / 4), list),
    quick: median(20, quick),
    hover: median(20, hover),
  };
});
console.log(JSON.stringify(rows));
