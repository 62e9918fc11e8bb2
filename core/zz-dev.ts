import { AnalysisSession } from './analysis/session';
import { spaceBuilding } from '../bench/structures';
const m0 = spaceBuilding(5, 5, 11, 10);
for (const axial of [true, false]) {
  const m = { ...m0, analysis: { ...m0.analysis, axialDeformation: axial } };
  const s = new AnalysisSession();
  for (let i = 0; i < 4; i++) {
    const t = performance.now();
    const nodes = m.nodes.map((n, k) => (k === 50 ? { ...n, x: n.x + i / 100 } : n));
    const r = s.update({ ...m, nodes }).now;
    console.log(
      axial,
      r.status,
      r.notices.map((n) => n.message.slice(0, 200)),
      (performance.now() - t).toFixed(0),
      r.solution?.responses[0]?.equilibrium,
      r.solution?.sharing?.length,
    );
  }
  for (let i = 0; i < 3; i++) {
    const t = performance.now();
    const loads = m.loads.map((l, k) => (k === 5 ? ({ ...l, from: { wy: -1000 * i } } as never) : l));
    s.update({ ...m, loads });
    console.log('load', (performance.now() - t).toFixed(0));
  }
}
console.log((globalThis as any).STEPS);
