import type { Member, Model, ModelNode } from '../model/model';
import { AnalysisSession } from './session';

/** Enough for the platform to compile what an analysis runs through. */
const RUNS = 12;

/** A portal, in the plane or with a third leg in space. */
export function portal(space: Model['space'], lean: number): Model {
  const nodes: ModelNode[] = [
    { id: '1', x: 0, y: 0 },
    { id: '2', x: lean, y: 3 },
    { id: '3', x: 5, y: 3 },
    { id: '4', x: 5, y: 0 },
    { id: '5', x: 5, y: 0, z: space === 'space' ? 4 : 0 },
  ];
  const legs = space === 'space' ? ['12', '23', '43', '53'] : ['12', '23', '43'];
  const feet = space === 'space' ? ['1', '4', '5'] : ['1', '4'];
  return {
    format: 'rigid-beam/model',
    version: 1,
    title: '',
    space,
    materials: [{ id: 'm', E: 210e9, G: 81e9, density: 7850, alpha: 1.2e-5 }],
    sections: [{ id: 's', A: 5e-3, Iz: 8e-5, Iy: 6e-6, J: 2e-7 }],
    nodes: space === 'space' ? nodes : nodes.slice(0, 4),
    members: legs.map(([start, end], i): Member => ({
      id: `${i}`,
      start: start!,
      end: end!,
      section: 's',
      material: 'm',
      ...(i === 2 && { releases: { start: { mz: 'free' } } }),
    })),
    supports: feet.map((node) => ({ node, ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' })),
    cases: [
      { id: 'G', category: 'permanent', selfWeight: 1 },
      { id: 'Q', category: 'imposed' },
    ],
    loads: [
      { id: '1', case: 'Q', type: 'line', member: '1', from: { wy: -1e3 }, to: { wy: -2e3 } },
      { id: '2', case: 'Q', type: 'point', member: '1', at: 0.4, fy: -1e3 },
      { id: '3', case: 'Q', type: 'node', node: '2', fx: 1e3 },
    ],
    combinations: [{ id: 'U', type: 'sum', factors: { G: 1.35, Q: 1.5 } }],
  };
}

/** Runs small analyses, so that the first one that somebody waits for is as quick as the next. */
export function warmUp(): void {
  for (const space of ['plane', 'space'] as const) {
    const session = new AnalysisSession();
    for (let run = 0; run < RUNS; run++) session.update(portal(space, run / 100));
    session.close();
  }
}
