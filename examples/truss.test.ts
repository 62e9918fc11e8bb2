import { expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const script = path.join(__dirname, '..', 'scripts', 'script.mjs');

test.each([2, 6, 9])('a truss of %d panels, from a script: each axial force is that by sections, and it is drawn', (panels) => {
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-script-'));
  const run = spawnSync(process.execPath, [script, path.join(__dirname, 'truss.ts'), String(panels)], {
    encoding: 'utf8',
    env: { ...process.env, INIT_CWD: folder },
  });
  expect([run.status, run.stderr]).toEqual([0, '']);
  const forces = new Map(run.stdout.trim().split('\n').map((line) => line.split('\t') as [string, string])); // oxfmt-ignore
  const [a, h, F] = [2, 1.5, 10];
  const half = (panels * F) / 2;
  /** Moment about a node of the other chord, and shear of a panel. */
  const moment = (i: number): number => (half - F / 2) * i * a - (F * a * i * (i - 1)) / 2;
  const shear = (i: number): number => half - F / 2 - F * (i - 1);
  const expected = new Map<string, number>();
  for (let i = 1; i <= panels; i++) {
    const isLeft = i <= panels / 2;
    expected.set(`b${i - 1}-b${i}`, moment(isLeft ? i - 1 : i) / h);
    expected.set(`t${i - 1}-t${i}`, -moment(isLeft ? i : i - 1) / h);
    expected.set(isLeft ? `t${i - 1}-b${i}` : `b${i - 1}-t${i}`, ((isLeft ? 1 : -1) * shear(i) * Math.hypot(a, h)) / h);
  }
  for (const [bar, force] of expected) expect(Number.parseFloat(forces.get(bar)!)).toBeCloseTo(force, 2);
  expect(readFileSync(path.join(folder, 'truss.svg'), 'utf8')).toMatch(/^<svg [^]*<path [^]*<\/svg>\n$/);
});
