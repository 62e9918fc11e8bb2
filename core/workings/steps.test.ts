import { describe, expect, test } from '@jest/globals';
import { displayOf } from '../quantities/display';
import { clamp, clamp3, E, I, pin, sketch, type Sketch } from '../test/build';
import { workingsOf } from './of-model';
import { workingsSteps, type WorkingsBlock, type WorkingsStepId } from './blocks';
import { chainOf } from './chain';
import { sheetFreedoms } from './follow-words';
import { workingsStepsOf } from './steps';
import { workingsText } from './text';
import type { Worked } from './worked';

const EI = E * I;
/** A rail over four feet, spans of 4, 6 and 3 m: uniform, central and eccentric loads; only its joints 2 and 3 turn. */
const rail = (): Sketch => ({
  nodes: [['1', 0, 0], ['2', 4, 0], ['3', 10, 0], ['4', 13, 0]],
  members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
  supports: [clamp('1'), pin('2'), pin('3'), clamp('4')],
  loads: [
    { type: 'line', member: 'a', from: { wy: -12 }, to: { wy: -12 } },
    { type: 'point', member: 'b', at: 0.5, fy: -20 },
    { type: 'point', member: 'c', at: 1 / 3, fy: -9 },
  ],
}); // oxfmt-ignore

const found = (of: Sketch, caseId = 'Q'): Worked => {
  const one = workingsOf(sketch(of), caseId);
  if (typeof one === 'string' || 'notices' in one) throw new Error(JSON.stringify(one));
  return one;
};
const blocks = (of: Worked, step: WorkingsStepId): readonly WorkingsBlock[] =>
  workingsStepsOf(of, displayOf({ display: { force: 'N', length: 'm' } })).find(({ id }) => id === step)!.blocks;
const matrices = (of: Worked, step: WorkingsStepId) => blocks(of, step).flatMap((one) => (one.is === 'matrix' ? [one] : []));
const near = (ours: readonly (readonly number[])[], theirs: readonly (readonly number[])[]): void => {
  const size = Math.max(...theirs.flat().map(Math.abs));
  ours.forEach((row, i) => row.forEach((one, j) => expect(Math.abs(one - theirs[i]![j]!)).toBeLessThan(1e-12 * size)));
};

describe('a rail worked out by hand', () => {
  const of = found(rail());

  test('has two free freedoms, which come first', () => {
    expect(of.numbered.free).toBe(2);
    const [table] = blocks(of, 'freedoms').filter((one) => one.is === 'table');
    expect(table).toMatchObject({ columns: ['Node', 'uX', 'uY', 'θ'], rows: [['1', '3 held', '4 held', '5 held'], ['2', '6 held', '7 held', '1'], ['3', '8 held', '9 held', '2'], ['4', '10 held', '11 held', '12 held']] }); // oxfmt-ignore
  });
  test('K of these is EI·[5/3 1/3; 1/3 2], its inverse 9/29·[2 −1/3; −1/3 5/3]/EI', () => {
    near(matrices(of, 'partition')[0]!.values, [[(5 / 3) * EI, EI / 3], [EI / 3, 2 * EI]]); // oxfmt-ignore
    near(matrices(of, 'solution')[0]!.values, [[18 / 29 / EI, -3 / 29 / EI], [-3 / 29 / EI, 15 / 29 / EI]]); // oxfmt-ignore
  });

  test('in EI its fractions stand as they are worked out by hand', () => {
    const written = (step: WorkingsStepId): string =>
      workingsText(workingsStepsOf(of, displayOf({ display: { force: 'N', length: 'm' } }), undefined, 'in EI').filter(({ id }) => id === step)); // oxfmt-ignore
    expect(written('freedoms')).toContain('Stiffness and movement in EI of member a, which is ');
    expect(written('partition')).toMatch(/Kff\/EI +1 +2\n +1 +5\/3 +1\/3\n +2 +1\/3 +2\n/);
    expect(written('solution')).toMatch(/EI·Kff⁻¹ +1 +2\n +1 +18\/29 +−3\/29\n +2 +−3\/29 +15\/29\n/);
    expect(written('solution')).toMatch(/EI·d\n +1 +−15\/29\n +2 +162\/29\n/);
    expect(written('members')).toMatch(/θ₁ +0 +0.375 +1 /);
    const chain = chainOf(of, { kind: 'movement', node: 1, component: 5 }, displayOf({ display: { force: 'N', length: 'm' } }), 'in EI'); // oxfmt-ignore
    expect(JSON.stringify(chain)).toContain('18/29 · 1 (1)');
  });

  test('fixed-end moments: qL²/12 = 16, FL/8 = 15, Fab²/L² = 4 and Fa²b/L² = 2', () => {
    const moments = matrices(of, 'fixed-ends').map(({ rows, values }) => [
      values[rows.indexOf('θ₁')]!.at(-1)!,
      values[rows.indexOf('θ₂')]!.at(-1)!,
    ]);
    near(moments, [[16, -16], [15, -15], [4, -2]]); // oxfmt-ignore
  });
  test('loads on the joints are 1 and 11, turns −15/29 and 162/29 over EI', () => {
    near(matrices(of, 'joint-loads')[0]!.values.slice(0, 2), [[0, 1, 1], [0, 11, 11]]); // oxfmt-ignore
    near(matrices(of, 'solution')[1]!.values.slice(0, 2), [[-15 / 29 / EI], [162 / 29 / EI]]);
  });
  test('end moments are k·d + f, and the joints balance', () => {
    const [a, b, c] = matrices(of, 'ends').map(({ rows, values }) => [values[rows.indexOf('θ₁')]!.at(-1)!, values[rows.indexOf('θ₂')]!.at(-1)!]) as [number[], number[], number[]]; // oxfmt-ignore
    near([a], [[-7.5 / 29 + 16, -15 / 29 - 16]]);
    near([b], [[(4 * -15 + 2 * 162) / 29 / 6 + 15, (2 * -15 + 4 * 162) / 29 / 6 - 15]]);
    near([c], [[(4 * 162) / 29 / 3 + 4, (2 * 162) / 29 / 3 - 2]]);
    expect(a[1]! + b[0]!).toBeCloseTo(0, 12);
    expect(b[1]! + c[0]!).toBeCloseTo(0, 12);
  });
  test('entries of K open into what members give', () => {
    const [table] = blocks(of, 'assembly').filter((one) => one.is === 'table');
    expect((table as { rows: readonly (readonly unknown[])[] }).rows.map(([entry]) => entry)).toEqual(
      expect.arrayContaining(['1, 1', '2, 2']),
    );
    expect(JSON.stringify(table)).toMatch(/\(a\) \+ .*\(b\) = /);
  });
  test('as text every step has its number and title, and it ends with how well it agrees', () => {
    const steps = workingsStepsOf(of, displayOf({}));
    const text = workingsText(steps);
    expect(steps.map(({ id }) => id)).toEqual(workingsSteps.filter((id) => !['lengths', 'axial', 'joints', 'cut'].includes(id)));
    steps.forEach(({ title }, i) => expect(text).toContain(`${i + 1}  ${title}\n`));
    expect(text).toMatch(/All of it agrees with the analysis to (1[0-9] digits|the last digit)/);
  });
  test('of one member only that is shown', () => {
    const steps = workingsStepsOf(of, displayOf({}), new Set(['b']));
    expect(JSON.stringify(steps.find(({ id }) => id === 'members'))).not.toContain('Member a');
  });
});

describe('each of what the analysis does has its step', () => {
  const said = (of: Sketch): string => workingsText(workingsStepsOf(found(of), displayOf({})));
  const rest = rail();

  test('a hinge and a spring in an end are condensed one after the other', () => {
    const text = said({ ...rest, members: [['a', '1', '2', { releases: { end: { mz: 'free' } } }], ['b', '2', '3', { releases: { start: { mz: 5000 } } }], ['c', '3', '4']] }); // oxfmt-ignore
    expect(text).toContain('Released: θ₂. It is eliminated');
    expect(text).toContain('Released: θ₁ against a spring of 5. It is eliminated');
    expect(text).toContain('What releases leave of them');
  });
  test('springs of supports, settlements, and truss nodes that nothing turns', () => {
    expect(said({ ...rest, supports: [clamp('1'), { node: '2', ux: 'fixed', uy: 4e6 }, pin('3'), clamp('4')] })).toMatch(
      /spring 4000/,
    );
    const settled = found({ ...rest, loads: [{ type: 'settlement', node: '3', uy: -0.01 }] });
    expect(settled.imposed.some((one) => one === -0.01)).toBe(true);
    expect(said({ nodes: [['1', 0, 0], ['2', 4, 0], ['3', 2, 2]], members: [['a', '1', '3', { behaviour: 'truss' }], ['b', '2', '3', { behaviour: 'truss' }]], supports: [pin('1'), pin('2')], loads: [{ type: 'node', node: '3', fy: -1000 }] })).toContain('has no number (·)'); // oxfmt-ignore
  });
});

describe('the formula that is told is the one that holds', () => {
  const loads = rail().loads!;
  const formulasOf = (of: Sketch): string =>
    JSON.stringify(blocks(found(of), 'fixed-ends').filter((one) => one.is === 'formula'));

  test('of a slender member the closed ones, with shear or along a part by its shapes', () => {
    expect(formulasOf(rail())).toMatch(/qL²\/12.*Fb²\(3a \+ b\)/);
    const sheared = { ...rail(), section: { Ay: 0.002 }, extra: { analysis: { shearDeformation: true } } };
    expect(formulasOf(sheared)).not.toMatch(/qL²|Fb²/);
    expect(formulasOf(sheared)).toMatch(/∫ N\(x\).*N\(a\)ᵀ·F/);
    expect(formulasOf({ ...rail(), loads: [{ ...loads[0]!, to: { wy: -12, at: 0.5 } } as never] })).not.toContain('qL²');
    expect(JSON.stringify(blocks(found(sheared), 'members'))).toContain('Φ = 12EI');
  });
  test('along the member, twisting, and where both planes bend together', () => {
    const mast: Sketch = { nodes: [['1', 0, 0, 0], ['2', 4, 0, 0]], members: [['m', '1', '2']], supports: [clamp3('1')], loads: [{ type: 'point', member: 'm', at: 0.5, axes: 'local', fx: 5, mx: 7, fz: 3 }] }; // oxfmt-ignore
    expect(formulasOf(mast)).toContain('N₁ = −Fb/L');
    expect(JSON.stringify(blocks(found(mast), 'fixed-ends'))).toContain('it has the other sign');
    const coupled = { ...mast, section: { Iyz: 1e-6 } };
    expect(JSON.stringify(blocks(found(coupled), 'members'))).toContain('both planes bend together');
  });
});

describe('of chosen members', () => {
  test('matrices of the structure have their freedoms only, and say so', () => {
    const of = found(rail());
    const steps = workingsStepsOf(of, displayOf({}), new Set(['c']));
    const K = steps.find(({ id }) => id === 'assembly')!.blocks;
    expect(K[0]).toEqual({ is: 'text', text: 'Only the freedoms of c are shown.' });
    const matrix = K.find((one) => one.is === 'matrix')!;
    expect((matrix as { rows: readonly string[] }).rows).toEqual(['2', '8', '9', '10', '11', '12']);
    expect(JSON.stringify(steps.find(({ id }) => id === 'partition'))).not.toContain('"rows":["1"');
  });
});

describe('there are none', () => {
  test.each([
    ['of a case that is not there', { ...rail() }, 'R', 'There is no case and no sum “R”. Choose one of Q'],
    ['of many members', { nodes: Array.from({ length: 110 }, (_, i) => [String(i), i, 0] as const), members: Array.from({ length: 109 }, (_, i) => [`m${i}`, String(i), String(i + 1)] as const), supports: [clamp('0')] } as Sketch, 'Q', 'up to 100 members, and this model has 109'], // oxfmt-ignore
  ])('%s', (_, of, id, words) => expect(workingsOf(sketch(of), id)).toContain(words));
  test('of a structure that can move: its notices', () => {
    expect(workingsOf(sketch({ ...rail(), supports: [pin('1')] }), 'Q')).toHaveProperty('notices');
  });
});

describe('a portal whose members keep their lengths, by hand', () => {
  // Feet fixed, h = 4, l = 6, H = 12 at the left eaves: the eaves sway as one.
  const sway = found({
    nodes: [['1', 0, 0], ['2', 0, 4], ['3', 6, 4], ['4', 6, 0]],
    members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
    supports: [clamp('1'), clamp('4')],
    loads: [{ type: 'node', node: '2', fx: 12 }],
    extra: { analysis: { axialDeformation: false } },
  }); // oxfmt-ignore
  const rows = (step: WorkingsStepId) => blocks(sway, step).flatMap((one) => (one.is === 'table' ? one.rows : []));

  test('has three unknowns: both eaves share the number of their sway, and cannot move up', () => {
    expect(sway.numbered.free).toBe(3);
    expect(rows('freedoms').slice(1, 3)).toEqual([['2', '1', '5 held', '2'], ['3', '1', '8 held', '3']]); // oxfmt-ignore
    expect(rows('lengths')).toEqual([['a', '−uY 1 + uY 2 = 0', ''], ['b', '−uX 2 + uX 3 = 0', ''], ['c', 'uY 3 − uY 4 = 0', '']]); // oxfmt-ignore
    expect(sheetFreedoms(sway.numbered, displayOf({})).filter(({ state }) => state === 'follows')).toEqual([{ node: 2, component: 0, state: 'follows', label: '1' }]); // oxfmt-ignore
  });

  test('each row tells which freedoms it is about, as they stand on the sheet', () => {
    const [nodes] = blocks(sway, 'freedoms').flatMap((one) => (one.is === 'table' ? [one.freedoms] : []));
    expect(nodes!.slice(1, 3)).toEqual([['1', '5', '2'], ['1', '8', '3']]); // oxfmt-ignore
    const [entries] = blocks(sway, 'assembly').flatMap((one) => (one.is === 'table' ? [one] : []));
    entries!.rows.forEach(([first], i) => expect(entries!.freedoms![i]).toEqual(String(first).split(', ')));
  });

  test('K of these is EI·[24/64 6/16 6/16; 6/16 1 + 2/3 1/3; 6/16 1/3 1 + 2/3]', () => {
    near(matrices(sway, 'partition')[0]!.values, [[(24 / 64) * EI, (6 / 16) * EI, (6 / 16) * EI], [(6 / 16) * EI, (5 / 3) * EI, EI / 3], [(6 / 16) * EI, EI / 3, (5 / 3) * EI]]); // oxfmt-ignore
  });

  test('the beam bears half of the load along it, the columns the couple of it over the span', () => {
    // Moments at the eaves are θ·(4 + 2)EI/6 with θ = 3ψ/4, ψ = 24·4/(7.5 EI): 9.6 each; N of the columns 2·9.6/6 = 3.2.
    expect(rows('axial')).toEqual([['a', '3.2'], ['b', '−6'], ['c', '−3.2']]); // oxfmt-ignore
    expect(chainOf(sway, { kind: 'movement', node: 2, component: 0 }, displayOf({}))).toMatchObject({ value: sway.moved[6] });
  });
});

describe('a frame of unequal columns and relative stiffness, by hand', () => {
  // Columns I of 4 and 3 m, a beam 2I of 6 m: uniform load on the beam, an eccentric one on the long column, a central one on the short one.
  // Unknown: the sway and the turns of both eaves. Rotational coefficients 4EI/L: 1 and 4/3 of the columns, 4/3 of the beam.
  const frame = found({
    nodes: [['1', 0, 0], ['2', 0, 4], ['3', 6, 4], ['4', 6, 1]],
    members: [['a', '1', '2', { section: 'I' }], ['b', '2', '3', { section: '2I' }], ['c', '4', '3', { section: 'I' }]],
    supports: [clamp('1'), clamp('4')],
    loads: [
      { type: 'line', member: 'b', from: { wy: -12 }, to: { wy: -12 } },
      { type: 'point', member: 'a', at: 1 / 4, fx: 16, axes: 'global' },
      { type: 'point', member: 'c', at: 1 / 2, fx: -8, axes: 'global' },
    ],
    extra: {
      sections: [{ id: 'I', relative: { I: 1, reference: I } }, { id: '2I', relative: { I: 2, reference: I } }],
      analysis: { axialDeformation: false },
    },
  }); // oxfmt-ignore

  test('K of the free freedoms and its inverse, entry by entry', () => {
    const K = [[91 / 144, 3 / 8, 2 / 3], [3 / 8, 7 / 3, 2 / 3], [2 / 3, 2 / 3, 8 / 3]].map((row) => row.map((one) => one * EI)); // oxfmt-ignore
    near(matrices(frame, 'partition')[0]!.values, K);
    const inverse = [[3744, -360, -846], [-360, 804, -111], [-846, -111, 6915 / 8]].map((row) => row.map((one) => one / 1667 / EI)); // oxfmt-ignore
    near(matrices(frame, 'solution')[0]!.values, inverse);
    expect(workingsText(workingsStepsOf(frame, displayOf({ display: { force: 'N', length: 'm' } }), undefined, 'in EI'))).toMatch(/91\/144 +0\.375 +2\/3/); // oxfmt-ignore
  });

  test('fixed-end moments qL²/12 = 36, Fab²/L² = 9, Fa²b/L² = 3 and FL/8 = 3; loads of the joints −3/2, −33 and 33', () => {
    const moments = matrices(frame, 'fixed-ends').map(({ rows, values }) => [
      values[rows.indexOf('θ₁')]!.at(-1)!,
      values[rows.indexOf('θ₂')]!.at(-1)!,
    ]);
    near(moments, [[9, -3], [36, -36], [-3, 3]]); // oxfmt-ignore
    near(matrices(frame, 'joint-loads')[0]!.values.slice(0, 3).map((row) => [row[2]!]), [[-3 / 2], [-33], [33]]); // oxfmt-ignore
  });

  test('the movements and the end moments are those fractions', () => {
    near(matrices(frame, 'solution')[1]!.values.slice(0, 3), [[-21654 / 1667 / EI], [-29655 / 1667 / EI], [267651 / 13336 / EI]]);
    const ends = frame.members.map(({ forces }) => [forces[2]!, forces[5]!]);
    near(ends, [[-31779 / 6668, -171105 / 6668], [171105 / 6668, -70347 / 3334], [11469 / 6668, 70347 / 3334]]); // oxfmt-ignore
  });
});
