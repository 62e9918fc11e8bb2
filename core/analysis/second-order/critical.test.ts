import { describe, expect, test } from '@jest/globals';
import { takeKernels } from '../../linear-algebra/kernel-pool';
import type { Model } from '../../model/model';
import { clamp, clamp3, EI, EIY, G, pin, sketch, type Sketch } from '../../test/build';
import type { Support } from '../../model/model';
import { AnalysisSession } from '../session';
import { criticalLoads, type Critical } from './critical';

function critical(model: Model, modes = 1): readonly Critical[] {
  const session = new AnalysisSession();
  const { solution } = session.update(model).now;
  const found = criticalLoads(session.system!, solution!.supported, takeKernels(), { first: solution!.responses[0]!, modes });
  return found;
}
const L = 6;
/** A strut of n members, its foot and head held as said, under 1 N. */
function strut(foot: Omit<Support, 'node'>, head: Omit<Support, 'node'>, n = 1, rest: Partial<Sketch> = {}): Model {
  const ids = Array.from({ length: n + 1 }, (_, i) => `${i}`);
  return sketch({
    nodes: ids.map((id, i) => [id, 0, (L * i) / n] as const),
    members: ids.slice(1).map((id, i) => [`m${i}`, `${i}`, id] as const),
    supports: [{ node: '0', ...foot }, { node: `${n}`, ...head }],
    loads: [{ type: 'node', node: `${n}`, fy: -1 }],
    ...rest,
  }); // oxfmt-ignore
}
const HELD = { ux: 'fixed', uy: 'fixed' } as const;
const CLAMPED = { ...HELD, rz: 'fixed' } as const;
const euler = (factor: number): number => (factor * Math.PI ** 2 * EI) / L ** 2;
const near = (value: number, exact: number, digits = 8): void => expect(Math.abs(value / exact - 1)).toBeLessThan(10 ** -digits);

/** The first root of a function that goes from one sign to the other between two places. */
function root(f: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to];
  for (let i = 0; i < 200; i++) {
    const middle = (low + high) / 2;
    if (f(low) * f(middle) <= 0) high = middle;
    else low = middle;
  }
  return low;
}

describe('critical loads', () => {
  test.each([
    ['free', CLAMPED, {}, 0.25],
    ['pinned', HELD, { ux: 'fixed' } as const, 1],
    ['clamped and pinned', CLAMPED, { ux: 'fixed' } as const, (root((x) => Math.tan(x) - x, 4, 4.6) / Math.PI) ** 2],
    ['clamped', CLAMPED, { ux: 'fixed', rz: 'fixed' } as const, 4],
    ['guided', CLAMPED, { rz: 'fixed' } as const, 1],
  ])('the column %s, in one member and in three', (_, foot, head, factor) => {
    near(critical(strut(foot, head))[0]!.factor, euler(factor));
    near(critical(strut(foot, head, 3))[0]!.factor, euler(factor));
  });

  test('higher ones of the pinned column are squares, none passed over, and their shapes have as many waves', () => {
    const found = critical(strut(HELD, { ux: 'fixed' }, 1), 5);
    // At 4 and 16 the member between clamped ends buckles too, which costs digits.
    expect(found.map(({ factor }) => factor / euler(1))).toEqual([1, 4, 9, 16, 25].map((square) => expect.closeTo(square, 5)));
    for (const [i, { shape }] of found.entries()) {
      const { pieces, coefficients, pieceWidth } = shape;
      const mid =
        pieces.from
          .map((from, k) => (Math.abs(from - L / 2) < 1e-9 ? coefficients[pieceWidth * k + 14]! : 0))
          .find((v) => v !== 0) ?? 0;
      expect(Math.abs(mid)).toBeCloseTo(i % 2 === 0 ? 1 : 0, 3);
    }
  });

  test('with shear deformation, Engesser: P = Pₑ/(1 + Pₑ/GA)', () => {
    const section = { A: 0.005, Ay: 2e-4 };
    const model = strut(HELD, { ux: 'fixed' }, 1, { section, extra: { analysis: { shearDeformation: true } } });
    near(critical(model)[0]!.factor, euler(1) / (1 + euler(1) / (G * 2e-4)));
  });

  test('a column under its own weight: q·L³/EI = 7.8373', () => {
    const model = strut(CLAMPED, {}, 1, { loads: [{ type: 'line', member: 'm0', from: { wy: -1 }, to: { wy: -1 } }] });
    // The first zero of J₋⅓: (9/4)·1.866350859²
    near((critical(model)[0]!.factor * L ** 3) / EI, 2.25 * 1.8663508587 ** 2, 7);
  });

  test.each([
    ['pinned', pin],
    ['fixed', clamp],
  ] as const)('portal on %s feet sways', (kind, foot) => {
    const [h, b] = [4, 6];
    const model = sketch({ nodes: [['1', 0, 0], ['2', 0, h], ['3', b, h], ['4', b, 0]], members: [['l', '1', '2'], ['t', '2', '3'], ['r', '4', '3']],
      supports: [foot('1'), foot('4')], loads: [{ type: 'node', node: '2', fy: -1 }, { type: 'node', node: '3', fy: -1 }], section: { A: 50 } }); // oxfmt-ignore
    // Timoshenko and Gere (1961), section 2.5: kh·tan kh = 6h/b, and tan(kh)/kh = −b/(6h).
    const u =
      kind === 'pinned'
        ? root((x) => x * Math.tan(x) - (6 * h) / b, 0.1, 1.5)
        : root((x) => Math.tan(x) * 6 * h + x * b, 1.6, 3.1);
    near(critical(model)[0]!.factor, (u * u * EI) / h ** 2, 6);
  });

  test('two spans on a spring: first with it, then over it', () => {
    const c = 5e4;
    const model = (spring: number): Model =>
      sketch({ nodes: [['1', 0, 0], ['2', L / 2, 0], ['3', L, 0]], members: [['a', '1', '2'], ['b', '2', '3']],
        supports: [pin('1'), { node: '2', uy: spring }, { node: '3', uy: 'fixed' }], loads: [{ type: 'node', node: '3', fx: -1 }] }); // oxfmt-ignore
    // Half of it: EI·v″ = −P·v + (c·δ/2)·x.
    const u = root((x) => { const P = (4 * x * x * EI) / L ** 2; return Math.tan(x) / x - 1 + (4 * P) / (c * L); }, 1.6, 3.1); // oxfmt-ignore
    near(critical(model(c))[0]!.factor, (4 * u * u * EI) / L ** 2, 7);
    near(critical(model(1e9))[0]!.factor, euler(4), 7);
  });

  test('in space a mast buckles about its weak axis first, and a square one in two ways at once', () => {
    const mast = (Iy: number): Model =>
      sketch({ nodes: [['1', 0, 0, 0], ['2', 0, L, 0]], members: [['m', '1', '2']], supports: [clamp3('1')], loads: [{ type: 'node', node: '2', fy: -1 }], section: { Iy } }); // oxfmt-ignore
    near(critical(mast(4e-6))[0]!.factor, ((EIY / EI) * euler(1)) / 4);
    const [one, two] = critical(mast(1e-5), 2);
    near(one!.factor, euler(0.25));
    near(two!.factor, euler(0.25));
    const [a, b] = [one!, two!].map(({ shape }) => shape.displacements.subarray(6));
    expect(a![0]! * b![0]! + a![2]! * b![2]!).toBeCloseTo(0, 5);
  });

  test('a column that hangs in its upper half and stands in its lower one buckles, however small the load', () => {
    const held = (q: number, n: number): Model => strut(HELD, HELD, n, { loads: Array.from({ length: n }, (_, i) => ({ type: 'line', member: `m${i}`, from: { wy: -q }, to: { wy: -q } })) }); // oxfmt-ignore
    const [first, second] = critical(held(1, 1), 2);
    near(critical(held(1, 8))[0]!.factor, first!.factor);
    const small = critical(held(1e-6, 1), 2);
    near(small[0]!.factor, 1e6 * first!.factor);
    near(small[1]!.factor, 1e6 * second!.factor);
  });

  test('a truss buckles where its struts do, and what hangs does not buckle at all', () => {
    const model = (fy: number): Model =>
      sketch({ nodes: [['1', -3, 0], ['2', 3, 0], ['3', 0, 4]], members: [['a', '1', '3', { behaviour: 'truss' }], ['b', '2', '3', { behaviour: 'truss' }]],
        supports: [pin('1'), pin('2')], loads: [{ type: 'node', node: '3', fy }] }); // oxfmt-ignore
    const [a, b] = critical(model(-1), 2);
    near(a!.factor * (5 / 8), (Math.PI ** 2 * EI) / 25);
    near(b!.factor, a!.factor);
    expect(critical(model(1))).toEqual([]);
  });
});
