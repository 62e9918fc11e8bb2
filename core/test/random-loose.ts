import fc from 'fast-check';
import { checkModel } from '../model/check';
import type { EndReleases, Member, Model, Support } from '../model/model';
import { sketch, type Sketch } from './build';

/** Numbers from 0 to 1 that follow from a seed (mulberry32). */
function numbersFrom(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A heap of bars on a lattice, straight or crooked: trusses and frame members, ends of every kind, supports that hold too little. */
export function looseModel(seed: number): Model {
  const next = numbersFrom(seed);
  const isSpace = next() < 0.5;
  const crooked = next() < 0.4 ? 0.5 : 0;
  const size = [2 + Math.floor(3 * next()), 2 + Math.floor(2 * next()), isSpace ? 1 + Math.floor(2 * next()) : 1] as const;
  const ids: (readonly [number, number, number])[] = [];
  for (let i = 0; i < size[0]; i++) for (let j = 0; j < size[1]; j++) for (let k = 0; k < size[2]; k++) ids.push([i, j, k]);
  const nodes = ids.map((place): Sketch['nodes'][number] => {
    const [x, y, z] = place.map((at, k) => [4, 3, 3][k]! * at + crooked * next()) as [number, number, number];
    return isSpace ? [place.join('.'), x, y, z] : [place.join('.'), x, y];
  });
  const releases = (): EndReleases => {
    const keys = isSpace ? (['ux', 'uy', 'uz', 'rx', 'my', 'mz'] as const) : (['ux', 'uy', 'mz'] as const);
    const freed = keys.filter((key) => next() < (key.startsWith('m') ? 0.5 : 0.07));
    return Object.fromEntries(freed.map((key) => [key, next() < 0.85 ? 'free' : 1e6]));
  };
  const kind = (): Partial<Member> => {
    const choice = next();
    if (choice < 0.4) return { behaviour: 'truss' };
    return choice < 0.6 ? {} : { releases: { start: releases(), end: releases() } };
  };
  const members: [string, string, string, Partial<Member>][] = [];
  ids.forEach((a, p) =>
    ids.slice(p + 1).forEach((b) => {
      const steps = a.map((at, k) => Math.abs(at - b[k]!));
      const likely = [0, 0.75, 0.3, 0.1][steps.reduce((sum, step) => sum + step, 0)] ?? 0;
      if (Math.max(...steps) <= 1 && next() < likely) members.push([`m${members.length}`, a.join('.'), b.join('.'), kind()]);
    }),
  );
  const supports = ids
    .filter(([, j]) => j === 0 && next() < 0.8)
    .map((place): Support => {
      const keys = isSpace ? (['ux', 'uy', 'uz', 'rx', 'ry', 'rz'] as const) : (['ux', 'uy', 'rz'] as const);
      const held = keys.filter((key) => next() < (key.startsWith('u') ? 0.6 : 0.2));
      const turned = next() < 0.2;
      return {
        node: place.join('.'),
        ...Object.fromEntries(held.map((key) => [key, next() < 0.9 ? 'fixed' : 1e7])),
        ...(turned && (isSpace ? { axes: { x: [1, next(), next()], y: [0, 1, next()] } } : { angle: 90 * next() })),
      };
    });
  return sketch({ nodes, members, supports, extra: { space: isSpace ? 'space' : 'plane' } });
}

/** Structures that mostly can move; sound ones, without loads. */
export const randomLoose: fc.Arbitrary<Model> = fc
  .integer({ min: 0, max: 2 ** 31 - 1 })
  .map((seed) => checkModel(looseModel(seed)).model)
  .filter((model) => model !== undefined && model.members.length > 0) as fc.Arbitrary<Model>;
