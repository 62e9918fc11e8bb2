import type { Member, Model, ModelNode } from '@rigid-beam/core/model/model';

/** A plane building of `bays` × `storeys`, fixed at the feet, with `cases` load cases on its beams: big models for measuring. */
export function building(bays: number, storeys: number, cases: number): Model {
  const nodes: ModelNode[] = [];
  const members: Member[] = [];
  const id = (i: number, j: number): string => `${i}.${j}`;
  const add = (name: string, start: string, end: string): void =>
    void members.push({ id: name, start, end, section: 'beam', material: 'steel' });
  for (let i = 0; i <= bays; i++)
    for (let j = 0; j <= storeys; j++) {
      nodes.push({ id: id(i, j), x: 6 * i, y: 3.5 * j });
      if (j > 0) add(`c${id(i, j)}`, id(i, j - 1), id(i, j));
      if (i > 0 && j > 0) add(`b${id(i, j)}`, id(i - 1, j), id(i, j));
    }
  const beams = members.filter(({ id: name }) => name.startsWith('b'));
  return {
    format: 'rigid-beam/model',
    version: 1,
    title: `${bays} bays, ${storeys} storeys`,
    space: 'plane',
    materials: [{ id: 'steel', E: 210e9, density: 7850 }],
    sections: [{ id: 'beam', A: 0.0053, Iz: 8.36e-5 }],
    nodes,
    members,
    supports: nodes.filter(({ y }) => y === 0).map(({ id: node }) => ({ node, ux: 'fixed', uy: 'fixed', rz: 'fixed' })),
    cases: Array.from({ length: cases }, (_, c) => ({ id: `Q${c}`, category: 'imposed', selfWeight: c === 0 ? 1 : 0 })),
    loads: Array.from({ length: cases }, (_, c) => c).flatMap((c) =>
      beams
        .filter((_, i) => i % cases === c || c === 0)
        .map(({ id: member }) => ({ type: 'line', case: `Q${c}`, member, from: { wy: -1e4 - c }, to: { wy: -1e4 } }) as const),
    ),
    combinations: [],
  };
}
