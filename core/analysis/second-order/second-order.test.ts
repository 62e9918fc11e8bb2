import { describe, expect, test } from '@jest/globals';
import type { Member, Model } from '../../model/model';
import { clamp, clamp3, EI, EIY, G, I, IY, pin, Reading, roller, sketch, type Sketch } from '../../test/build';
import { solve } from '../session';

const second = (model: Model): Reading => new Reading(solve(model, [], ['second-order']).others!.get('second-order')!);
const near = (value: number, exact: number, digits = 9): void => expect(Math.abs(value / exact - 1)).toBeLessThan(10 ** -digits);

const L = 5;
const pinned = (P: number, rest: Partial<Sketch> = {}): Model =>
  sketch({ nodes: [['1', 0, 0], ['2', L, 0]], members: [['m', '1', '2']], supports: [pin('1'), roller('2')],
    loads: [{ type: 'node', node: '2', fx: -P }, { type: 'line', member: 'm', from: { wy: -6e3 }, to: { wy: -6e3 } }], ...rest }); // oxfmt-ignore

describe('a beam-column in one member', () => {
  test.each([0.1, 0.5, 0.9, 0.99])('pinned under uniform load at %d of its critical load', (part) => {
    const P = (part * Math.PI ** 2 * EI) / L ** 2;
    const [q, k] = [6e3, Math.sqrt(P / EI)];
    const u = (k * L) / 2;
    const r = second(pinned(P));
    near(r.at('m', 'Mz', L / 2), (q / k ** 2) * (1 / Math.cos(u) - 1));
    near(r.max('m', 'Mz').value, (q / k ** 2) * (1 / Math.cos(u) - 1));
    near(r.at('m', 'v', L / 2), -((q / (k ** 4 * EI)) * (1 / Math.cos(u) - 1) - (q * L * L) / (8 * P)));
    // Everywhere along it, to a millionth of the largest.
    for (let i = 1; i < 40; i++) {
      const x = (L * i) / 40;
      const M = (q / k ** 2) * (Math.cos(k * (L / 2 - x)) / Math.cos(u) - 1);
      expect(Math.abs(r.at('m', 'Mz', x) - M) / r.max('m', 'Mz').value).toBeLessThan(1e-6);
    }
  });

  test.each([1, 100, 1e4])('taut %d times as much, where the middle hangs like a rope', (times) => {
    const N = (times * Math.PI ** 2 * EI) / L ** 2;
    const [q, k] = [6e3, Math.sqrt(N / EI)];
    near(second(pinned(-N)).at('m', 'Mz', L / 2), (q / k ** 2) * (1 - 1 / Math.cosh((k * L) / 2)), times < 1e3 ? 8 : 5);
  });

  test.each([0, 1])('a cantilever with shear deformation (%d), base moment and tip', (sheared) => {
    const section = { A: 0.005, Ay: 0.002 };
    const GA = G * 0.002;
    const H = 1e3;
    const P = (0.8 * Math.PI ** 2 * EI) / (4 * L * L);
    const soft = sheared ? 1 - P / GA : 1;
    const k = Math.sqrt(P / (EI * soft));
    const r = second(sketch({ nodes: [['1', 0, 0], ['2', L, 0]], members: [['m', '1', '2']], supports: [clamp('1')], section,
      loads: [{ type: 'node', node: '2', fx: -P, fy: -H }], extra: { analysis: { shearDeformation: sheared === 1 } } })); // oxfmt-ignore
    const M = (H * Math.tan(k * L)) / (k * soft);
    near(r.reaction('1')[2]!, M);
    near(-r.displacement('2')[1]!, (M - H * L) / P);
  });

  test('where sections couple the planes, it is as in the principal axes', () => {
    const roll = 25;
    const [c, s] = [Math.cos((roll * Math.PI) / 180), Math.sin((roll * Math.PI) / 180)];
    const mast = (member: Partial<Member>, section: object): Model =>
      sketch({ nodes: [['1', 0, 0, 0], ['2', L, 0, 0]], members: [['m', '1', '2', member]], supports: [clamp3('1')], section,
        loads: [{ type: 'node', node: '2', fx: (-0.8 * Math.PI ** 2 * EIY) / (4 * L * L), fy: 1e3, fz: -2e3 }] }); // oxfmt-ignore
    const turned = second(mast({ roll }, {}));
    const Iyz = (I - IY) * s * c;
    for (const sign of [1, -1]) {
      const coupled = second(mast({}, { Iz: I * c * c + IY * s * s, Iy: I * s * s + IY * c * c, Iyz: sign * Iyz }));
      const off = Math.abs(coupled.displacements('2')[1]! / turned.displacements('2')[1]! - 1);
      if (off < 1e-9) return near(coupled.displacements('2')[2]!, turned.displacements('2')[2]!);
    }
    throw new Error('neither sign of Iyz is that of the turned section');
  });

  const column = (n: number): Model => {
    const ids = Array.from({ length: n + 1 }, (_, i) => `${i}`);
    const place = (id: string): string => (id === '0' ? 'foot' : id === `${n}` ? 'head' : id);
    const of = (i: number): string => `m${i}`;
    return sketch({
      nodes: ids.map((id, i) => [place(id), 0, (L * i) / n] as const),
      members: ids.slice(1).map((id, i) => [of(i), place(`${i}`), place(id)] as const),
      supports: [clamp('foot'), { node: 'head', ux: 4e5 }],
      loads: [
        // Hanging on all of it, more below; a wind on the upper half; a couple and a force at a third.
        ...ids.slice(1).map((_, i) => ({ type: 'line' as const, member: of(i), from: { wx: 0, wy: -2e5 * (2 - i / n) }, to: { wx: 0, wy: -2e5 * (2 - (i + 1) / n) } })),
        ...ids.slice(1).flatMap((_, i) => (2 * i >= n ? [{ type: 'line' as const, member: of(i), from: { wx: 4e3, wy: 0 }, to: { wx: 4e3, wy: 0 } }] : [])),
        ...(n === 1 ? [{ type: 'line' as const, member: 'm0', from: { wx: 4e3, wy: 0, at: 0.5 }, to: { wx: 4e3, wy: 0, at: 1 } }] : []),
        n === 1 ? { type: 'point', member: 'm0', at: 0.25, fx: 2e3, mz: 3e3 } : { type: 'node', node: `${n / 4}`, fx: 2e3, mz: 3e3 },
      ] as Sketch['loads'] & object,
    }); // oxfmt-ignore
  };
  test('whatever stands on it, one member does what sixty-four do', () => {
    const [one, many] = [second(column(1)), second(column(64))];
    for (const i of [0, 1, 2]) near(one.displacement('head')[i]!, many.displacement('head')[i]!);
    near(one.reaction('foot')[2]!, many.reaction('foot')[2]!);
    const most = Math.abs(one.reaction('foot')[2]!);
    for (let i = 0; i < 64; i++)
      expect(Math.abs(one.at('m0', 'Mz', (L * (i + 0.5)) / 64) - many.at(`m${i}`, 'Mz', L / 128)) / most).toBeLessThan(1e-6);
  });

  test('an axial force that begins with nothing and grows with the square of the way', () => {
    const mast = (n: number): Model =>
      sketch({ nodes: Array.from({ length: n + 1 }, (_, i) => [`${i}`, (L * i) / n, 0] as const),
        members: Array.from({ length: n }, (_, i) => [`m${i}`, `${i}`, `${i + 1}`] as const), supports: [clamp(`${n}`)],
        loads: Array.from({ length: n }, (_, i) => ({ type: 'line' as const, member: `m${i}`, from: { wx: (9e4 * i) / n, wy: -2e3 }, to: { wx: (9e4 * (i + 1)) / n, wy: -2e3 } })) }); // oxfmt-ignore
    const [one, many] = [second(mast(1)), second(mast(16))];
    for (const i of [1, 2]) near(one.displacement('0')[i]!, many.displacement('0')[i]!);
    near(one.reaction('1')[2]!, many.reaction('16')[2]!);
  });
});
