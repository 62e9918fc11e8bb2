import type { Load, Member, Model, ModelNode, Support } from '@rigid-beam/core/model/model';

type Cases = Pick<Model, 'cases' | 'loads'>;

/** `count` cases of uniform loads: the first with self weight and on all beams, the others each on a share of them. */
function loadsOn(beams: readonly string[], count: number): Cases {
  return {
    cases: Array.from({ length: count }, (_, c) => ({ id: `Q${c}`, category: 'imposed', selfWeight: c === 0 ? 1 : 0 })),
    loads: Array.from({ length: count }, (_, c) => c).flatMap((c) =>
      beams
        .filter((_, i) => i % count === c || c === 0)
        .map((member, i): Load => ({
          id: `${c}.${i}`,
          type: 'line',
          case: `Q${c}`,
          member,
          from: { wy: -1e4 - c },
          to: { wy: -1e4 },
        })),
    ),
  };
}

interface Structure {
  readonly nodes: readonly ModelNode[];
  readonly members: readonly Member[];
  readonly supports: readonly Support[];
}

const model = (title: string, space: Model['space'], structure: Structure, cases: Cases): Model => ({
  format: 'rigid-beam/model',
  version: 1,
  title,
  space,
  materials: [{ id: 'steel', E: 210e9, G: 81e9, density: 7850 }],
  sections: [{ id: 'beam', A: 0.0053, Iz: 8.36e-5, Iy: 6.04e-6, J: 2e-7 }],
  ...structure,
  ...cases,
  combinations: [],
});

const clamp = { ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' } as const;

/** A plane building of `bays` × `storeys`, fixed at the feet, with `cases` load cases on its beams. */
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
  const feet = nodes.filter(({ y }) => y === 0).map(({ id: node }): Support => ({ node, ux: 'fixed', uy: 'fixed', rz: 'fixed' }));
  const beams = members.map(({ id: name }) => name).filter((name) => name.startsWith('b'));
  return model(`${bays} bays, ${storeys} storeys`, 'plane', { nodes, members, supports: feet }, loadsOn(beams, cases));
}

/** A building in space of `bays` × `deep` bays and `storeys` storeys, fixed at the feet: columns, and beams in both directions. */
export function spaceBuilding(bays: number, deep: number, storeys: number, cases: number): Model {
  const nodes: ModelNode[] = [];
  const members: Member[] = [];
  const id = (i: number, j: number, k: number): string => `${i}.${j}.${k}`;
  const add = (name: string, start: string, end: string): void =>
    void members.push({ id: name, start, end, section: 'beam', material: 'steel' });
  for (let i = 0; i <= bays; i++)
    for (let k = 0; k <= deep; k++)
      for (let j = 0; j <= storeys; j++) {
        nodes.push({ id: id(i, j, k), x: 6 * i, y: 3.5 * j, z: 5 * k });
        if (j === 0) continue;
        add(`c${id(i, j, k)}`, id(i, j - 1, k), id(i, j, k));
        if (i > 0) add(`b${id(i, j, k)}`, id(i - 1, j, k), id(i, j, k));
        if (k > 0) add(`d${id(i, j, k)}`, id(i, j, k - 1), id(i, j, k));
      }
  const feet = nodes.filter(({ y }) => y === 0).map(({ id: node }): Support => ({ node, ...clamp }));
  const beams = members.map(({ id: name }) => name).filter((name) => !name.startsWith('c'));
  return model(`${bays} × ${deep} bays, ${storeys} storeys`, 'space', { nodes, members, supports: feet }, loadsOn(beams, cases));
}

/** The building of 1,056 members with 96 crossed ties in its outer walls, and 30 sums of its cases. */
export function bracedBuilding(cases: number): Model {
  const base = spaceBuilding(5, 5, 11, cases);
  const bays = [0, 2, 4].flatMap((i) => [0, 5].flatMap((k) => Array.from({ length: 8 }, (_, j) => [i, j, k] as const)));
  const ties = bays.flatMap(
    ([i, j, k]): Member[] =>
    ([[i, i + 1], [i + 1, i]] as const).map(([from, to]) => ({ id: `t${from}.${to}.${j}.${k}`, start: `${from}.${j}.${k}`, end: `${to}.${j + 1}.${k}`, section: 'beam', material: 'steel', behaviour: 'tensionOnly' })), // oxfmt-ignore
  );
  const factors = (i: number): Record<string, number> =>
    Object.fromEntries(base.cases.map(({ id }, c) => [id, c === 0 ? 1.35 : ((i * 7 + c * 3) % 5) / 2 - 1]));
  const combinations = Array.from({ length: 30 }, (_, i) => ({ id: `U${i}`, type: 'sum' as const, factors: factors(i) }));
  return { ...base, members: [...base.members, ...ties], combinations };
}

/** The building of 1,056 members under so little of the other loads that it can bear it, with 10 sums that are asked for in second order, leaning and bowed. */
export function leaningBuilding(): Model {
  const base = spaceBuilding(5, 5, 11, 10);
  const factors = (i: number): Record<string, number> =>
    Object.fromEntries(base.cases.map(({ id }, c) => [id, 0.12 * (c === 0 ? 1.35 : ((i * 7 + c * 3) % 5) / 2 - 1)]));
  const combinations = Array.from({ length: 10 }, (_, i) => ({
    id: `U${i}`,
    type: 'sum' as const,
    limitState: 'strength' as const,
    factors: factors(i),
  }));
  return {
    ...base,
    combinations,
    analysis: { secondOrder: { of: 'strength', sway: { angle: 1 / 200 }, bow: { ratio: 1 / 250 } } },
  };
}

/** A lattice girder in space of `panels` panels: four chords, posts, rails and diagonals on all sides, rigid joints; on two feet every 50 panels. */
export function lattice(panels: number, cases: number): Model {
  const nodes: ModelNode[] = [];
  const members: Member[] = [];
  const id = (i: number, corner: number): string => `${i}.${corner}`;
  const add = (name: string, start: string, end: string): void =>
    void members.push({ id: `${name}${members.length}`, start, end, section: 'beam', material: 'steel' });
  for (let i = 0; i <= panels; i++) {
    for (let c = 0; c < 4; c++) {
      nodes.push({ id: id(i, c), x: 2 * i, y: c < 2 ? 0 : 2, z: c === 0 || c === 3 ? 0 : 2 });
      if (i > 0) add('chord', id(i - 1, c), id(i, c));
      if (i > 0) add('diagonal', id(i - 1, c), id(i, (c + 1) % 4));
    }
    for (let c = 0; c < 4; c++) add('frame', id(i, c), id(i, (c + 1) % 4));
  }
  const feet = nodes
    .filter(({ x, y }) => y === 0 && (x / 2) % 50 === 0)
    .map(({ id: node }): Support => ({ node, ux: 'fixed', uy: 'fixed', uz: 'fixed' }));
  const chords = members.map(({ id: name }) => name).filter((name) => name.startsWith('chord'));
  return model(`lattice of ${panels} panels`, 'space', { nodes, members, supports: feet }, loadsOn(chords, cases));
}
