import { solve } from '../../core/analysis/session';
import { readModelFile } from '../../core/formats/model-file';
import { resultsFile } from '../../core/formats/results-file';
import { readSection } from '../../core/sections/built/read-section';
import { filled } from '../../core/sections/catalogue/fill';
import type { Random } from '../../core/test/random';
import { spoiled } from './spoil';

const outline = [[0, 0], [0.2, 0], [0.2, 0.02], [0.02, 0.02, 0.01], [0.02, 0.15], [0, 0.15]]; // oxfmt-ignore
const hole = [[0.05, 0.005], [0.06, 0.005], [0.06, 0.01]]; // oxfmt-ignore
const sections: readonly object[] = [
  { parts: [{ outline, holes: [hole] }] },
  { parts: [{ catalogue: 'IPE 200' }, { shape: { type: 'rectangle', h: 0.012, b: 0.12 }, at: [0, 0.106] }] },
  {
    parts: [
      { shape: { type: 'chs', d: 0.1, t: 0.005 } },
      { shape: { type: 'angle', h: 0.1, b: 0.08, t: 0.01, r: 0.012, rt: 0.006 }, at: [0.2, 0], angle: 30, mirrored: true },
    ],
  },
].map((section) => ({ format: 'rigid-beam/section', version: 1, ...section }));

const held = { ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' };
const places = [[0, 0], [6, 0], [6, 4], [0, 4], [0, 2], [6, 2], [2, 1], [3, 1], [3, 1.5]]; // oxfmt-ignore
const bars = [['a', '1', '2'], ['b', '2', '6'], ['c', '6', '3'], ['d', '3', '4'], ['e', '4', '5'], ['f', '5', '1'], ['j', '5', '6']]; // oxfmt-ignore

/** A roof over the potting shed, with every kind of load. */
const shed = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Roof of the potting shed', space: 'space' },
  materials: [{ id: 'm', E: 2e11, nu: 0.3, density: 7850, alpha: 12e-6 }],
  sections: [
    { id: 's', shape: { type: 'rhs', h: 0.2, b: 0.1, t: 0.008, ro: 0.016 } },
    { id: 'g', shape: { type: 'built', parts: [{ outline, holes: [hole] }] } },
    { id: 'i', catalogue: 'HEAA 260' },
  ],
  nodes: places.map(([x, z], i) => ({ id: String(i + 1), x, y: 3, z })),
  members: bars.map(([id, start, end], i) => ({ id, start, end, section: 'sgi'[i % 3], material: 'm', offset: { start: [0, 0.1, 0] } })),
  supports: [{ node: '1', ...held }, { node: '3', ...held }, { node: '4', uy: 'fixed' }],
  cases: [{ id: 'G', category: 'permanent', selfWeight: 1 }, { id: 'Q', category: 'imposed' }],
  loads: [
    { type: 'area', pressure: 2000, nodes: ['1', '2', '3', '4'] },
    { type: 'area', pressure: 2000, nodes: ['1', '2', '3', '4'], spread: 'oneWay', to: ['a', 'j', 'd'], openings: [['7', '8', '9']] },
    { type: 'chain', members: ['b', 'c'], from: { wy: -1000 }, to: { wy: -2000 } },
    { type: 'thermal', member: 'a', uniform: 20 },
    { type: 'point', member: 'j', at: 0.3, fy: -5000 },
    { type: 'settlement', node: '4', uy: -0.01 },
  ].map((load, i) => ({ id: String(i), case: 'Q', ...load })),
  combinations: [
    { id: 'S', type: 'sum', factors: { G: 1.35, Q: 1.5 } },
    { id: 'E', type: 'envelope', of: ['S', 'G'] },
  ],
}; // oxfmt-ignore

/** Reads a file as a stranger may send it, solves what is sound and writes its results. */
function readAndSolve(text: string): void {
  const { model, notices } = filled(readModelFile(text));
  if (model) for (const part of resultsFile(solve(model, notices), { stations: 3 })) void part;
}

/** Reads `count` spoiled files of `models` and of sections; returns what failed otherwise than in words, or took longer than `most` ms. */
export function tortureFiles(random: Random, count: number, models: readonly string[], most: number): string[] {
  const troubles: string[] = [];
  const whole = [...models.map((text) => JSON.parse(text) as object), shed, shed];
  for (let n = 0; n < count && troubles.length < 5; n++) {
    const isSection = random.below(4) === 0;
    let value: unknown = random.of(isSection ? sections : whole);
    for (let times = 1 + random.below(3); times > 0; times--) value = spoiled(random, value);
    const text = JSON.stringify(value);
    const begun = performance.now();
    try {
      if (isSection) readSection(JSON.parse(text));
      else readAndSolve(text);
    } catch (fault) {
      troubles.push(
        `${String((fault as Error).stack)
          .split('\n')
          .slice(0, 3)
          .join(' ')} for ${text.slice(0, 2000)}`,
      );
    }
    const took = performance.now() - begun;
    if (took > most) troubles.push(`${took.toFixed(0)} ms to read and solve ${text.slice(0, 2000)}`);
  }
  return troubles;
}
