import { writeFileSync } from 'node:fs';
import { build } from '@rigid-beam/core/library/build';
import { picture } from '@rigid-beam/drawing/picture';

// A truss over the canopy walk: npm run script -- examples/truss.ts 8

const panels = Number(process.argv[2] ?? 8);
const truss = build({ title: `Truss of ${panels} panels`, space: 'plane' })
  .parameter({ id: 'panel', value: '2 m' })
  .parameter({ id: 'depth', value: '1.5 m' })
  .material({ id: 'steel', E: '210 GPa' })
  .section({ id: 'bar', A: '12 cm2' })
  .case({ id: 'snow', category: 'snow' });
const bar = (start: string, end: string): unknown =>
  truss.member({ id: `${start}-${end}`, start, end, section: 'bar', material: 'steel', behaviour: 'truss' });
for (let i = 0; i <= panels; i++) {
  truss.node({ id: `b${i}`, x: `${i} panel`, y: 0 }).node({ id: `t${i}`, x: `${i} panel`, y: 'depth' });
  truss.load({ case: 'snow', type: 'node', node: `t${i}`, fy: i % panels === 0 ? '-5 kN' : '-10 kN' });
  bar(`b${i}`, `t${i}`);
  if (i === 0) continue;
  for (const chord of ['b', 't']) bar(`${chord}${i - 1}`, `${chord}${i}`);
  if (i <= panels / 2) bar(`t${i - 1}`, `b${i}`);
  else bar(`b${i - 1}`, `t${i}`);
}
truss.support({ node: 'b0', ux: 'fixed', uy: 'fixed' }).support({ node: `b${panels}`, uy: 'fixed' });

const solved = truss.solve();
for (const { id } of solved.model.members) console.log(`${id}\t${(solved.at('snow', id, 'N') / 1e3).toFixed(3)} kN`);
writeFileSync('truss.svg', picture(solved.model, solved.solution, { outcome: 'snow', quantity: 'N' }));
