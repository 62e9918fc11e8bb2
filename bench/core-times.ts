import { readFileSync } from 'node:fs';
import { readModelFile } from '@rigid-beam/core/formats/model-file';
import type { Model } from '@rigid-beam/core/model/model';
import { solve } from '@rigid-beam/core/results/solve';
import { placeLabels, roughMeasure } from '@rigid-beam/drawing/place-labels';
import { sheetItems } from '@rigid-beam/drawing/sheet-items';
import { boundsOf, fit } from '@rigid-beam/drawing/camera';
import { plainView, type View } from '@rigid-beam/drawing/view';
import { building } from './structures';

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

function draw(model: Model): unknown {
  const solution = solve(model).solution!;
  const box = boundsOf(model.nodes)!;
  const camera = fit(box, 900, 640, { left: 150, right: 60, top: 80, bottom: 200 });
  const view: View = {
    ...plainView, quantity: 'Mz', values: true, deflected: true, reactions: true, loads: true, dimensions: true, scale: camera.scale,
  }; // prettier-ignore
  return () => placeLabels(sheetItems(model, solution, view), camera, roughMeasure);
}

const rib = readModelFile(readFileSync('examples/glasshouse-rib.rbm.json', 'utf8')).model!;
const models: [string, Model, number][] = [
  ['glasshouse rib, 13 members, 3 cases', rib, 200],
  ['building of 200 members, 10 cases', building(9, 10, 10), 40],
  ['building of 1,000 members, 10 cases', building(20, 24, 10), 9],
  ['building of 10,000 members, 1 case', building(70, 70, 1), 3],
];
const rows = models.map(([name, model, runs]) => {
  const picture = draw(model) as () => unknown;
  return {
    name,
    members: model.members.length,
    solve: median(runs, () => solve(model)),
    list: median(Math.max(3, runs / 4), picture),
  };
});
console.log(JSON.stringify(rows));
