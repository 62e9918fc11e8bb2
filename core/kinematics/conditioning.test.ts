import { describe, expect, test } from '@jest/globals';
import { solve } from '../analysis/session';
import { clamp, clamp3, pin, roller, sketch, type Sketch } from '../test/build';

const results = (drawn: Sketch) => solve(sketch(drawn));
const EI = 1e4;

/** A cantilever of `count` members, each `length` long, with a load of 1 kN down at its end; those of the far half are `ratio` times as stiff. */
const cantilever = (count: number, length: number, ratio = 1): Sketch => ({
  nodes: Array.from({ length: count + 1 }, (_, i) => [`${i}`, length * i, 0]),
  members: Array.from({ length: count }, (_, i) => [`m${i}`, `${i}`, `${i + 1}`, { section: i < count / 2 ? 'soft' : 'stiff' }]),
  supports: [clamp('0')],
  loads: [{ type: 'node', node: `${count}`, fy: -1e3 }],
  extra: {
    materials: [{ id: 'm', E: 1e9 }],
    sections: [
      { id: 'soft', A: 0.01, Iz: EI / 1e9 },
      { id: 'stiff', A: 0.01 * ratio, Iz: (ratio * EI) / 1e9 },
    ],
  },
});

/** The same in space, a tenth as stiff about the other axis. */
const inSpace = (drawn: Sketch): Sketch => ({
  ...drawn,
  nodes: drawn.nodes.map(([id, x, y]) => [id, x, y, 0]),
  supports: [clamp3('0')],
  extra: {
    materials: [{ id: 'm', E: 1e9, G: 1e9 }],
    sections: drawn.extra!.sections!.map((section) => ({ ...section, Iy: section.Iz! / 10, J: section.Iz! * 10 })),
  },
});

/** A strut to (5 m, 0) or (3 m, 4 m), with a spring of a support, turned for the latter, across it. */
const onSoftSpring = (how: 'leaning' | 'flat', spring: number, fy: number): Sketch => ({
  nodes: [['1', 0, 0], how === 'leaning' ? ['2', 3, 4] : ['2', 5, 0]], members: [['a', '1', '2', { behaviour: 'truss' }]], section: { A: 10, Iz: 1e-4 },
  supports: [pin('1'), { node: '2', uy: spring, angle: how === 'leaning' ? 20 : 0 }], loads: [{ type: 'node', node: '2', fx: 1, fy }],
}); // oxfmt-ignore

describe('conditioning', () => {
  /** A loaded beam, and beside it an unloaded one that only a soft spring holds up at one end. */
  const propped = (spring: number): Sketch => ({
    nodes: [['1', 0, 0], ['2', 4, 0], ['3', 0, 3], ['4', 4, 3]],
    members: [['a', '1', '2'], ['b', '3', '4', { section: 't' }]],
    supports: [pin('1'), roller('2'), pin('3'), { node: '4', uy: spring }],
    loads: [{ type: 'line', member: 'a', from: { wy: -1 }, to: { wy: -1 } }],
    extra: { sections: [{ id: 's', A: 1e-2, Iz: 1e-4 }, { id: 't', A: 1, Iz: 1 }] },
  }); // oxfmt-ignore

  test('an ordinary structure loses a few digits, and says nothing', () => {
    const { solution, notices } = results(propped(1e9));
    expect(solution!.digitsLost).toBeLessThan(4);
    expect(notices).toEqual([]);
  });

  test('a very stiff member on a very soft spring says how many digits are left, where, and which ratio is to blame', () => {
    const { solution, notices } = results(propped(1));
    expect(solution!.digitsLost).toBeGreaterThan(10);
    const notice = notices.find(({ code }) => code === 'few-digits')!;
    expect(notice.severity).toBe('warning');
    expect(notice.message).toMatch(
      /About [3-5] of 16 digits of the results can be trusted: 1\d were lost in (uy|rz) of node [34]\. Nearby, EA\/L of member b is 10\^1\d times the support spring at node 4/,
    );
  });

  test('a long chain of short members is in balance to many digits, though the elimination cancelled most of them', () => {
    const { solution } = results(cantilever(1000, 0.1));
    const [outcome] = solution!.responses;
    expect(solution!.digitsLost).toBeGreaterThan(8);
    expect(outcome!.displacements.at(-5)! / ((-1e3 * 100 ** 3) / (3 * EI))).toBeCloseTo(1, 10);
    for (const i of [0, 250, 990]) expect(outcome!.ends[12 * i + 5]! / (100 * (1000 - i))).toBeCloseTo(1, 7);
  });

  test.each<[string, string, Sketch, RegExp]>([
    [
      'a stiff end on a soft root: forces at the joints do not balance',
      'out-of-balance',
      cantilever(6, 1, 1e9),
      /^Case Q does not balance: forces at a joint differ by .* 1\d of 16 digits were lost in uy of node 6\. In the whole structure, EA\/L of member m3 is 10\^11 times 12EIz\/L³ of member m0\./,
    ],
    [
      'so stiff an end that the root is lost in rounding: it is no mechanism, and not called one',
      'no-digits-left',
      cantilever(6, 1, 1e14),
      /lost in rounding, in u[xy] of node \d\. In the whole structure, EA\/L of member m3 is 10\^16 times 12EIz/,
    ],
    [
      'the same in space, where the root bends most easily about its weak axis',
      'no-digits-left',
      inSpace(cantilever(6, 1, 1e14)),
      /EA\/L of member m3 is 10\^17 times 12EIy\/L³ of member m0\./,
    ],
    [
      'so many members that no digit is left',
      'no-digits-left',
      cantilever(12000, 1),
      /in uy of node 12000\. No stiffnesses differ that much: .* a long chain of short members/,
    ],
    [
      'a support spring that is lost beside what it holds',
      'no-digits-left',
      {
        nodes: [['1', 0, 0], ['2', 4, 0], ['3', 8, 0]], members: [['a', '1', '2'], ['b', '2', '3']],
        supports: [{ node: '1', ux: 'fixed', uy: 1e-6 }, roller('2')],
        loads: [{ type: 'node', node: '3', fy: -1 }], section: { A: 1e9, Iz: 1e9 },
      }, // oxfmt-ignore
      /Nearby, .* of member [ab] is 10\^2\d times the support spring at node 1\./,
    ],
    [
      'a support spring that is next to nothing',
      'no-digits-left',
      {
        nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [{ node: '1', ux: 'fixed', uy: 5e-324 }, roller('2')],
        loads: [{ type: 'node', node: '1', fy: -1 }],
      }, // oxfmt-ignore
      /Nearby, EA\/L of member a is 10\^332 times the support spring at node 1\./,
    ],
    [
      'an end spring that is lost beside its members',
      'no-digits-left',
      {
        nodes: [['1', 0, 0], ['2', 4, 0], ['3', 8, 0]],
        members: [['a', '1', '2', { releases: { start: { mz: 1e-6 } } }], ['b', '2', '3']],
        supports: [clamp('1')], loads: [{ type: 'node', node: '3', fy: -1 }], section: { A: 1e9, Iz: 1e9 },
      }, // oxfmt-ignore
      /times an end spring of member a\./,
    ],
  ])('%s is refused, and says why', (_, code, drawn, words) => {
    const { status, notices, mechanisms, solution } = results(drawn);
    expect([status, notices.map((notice) => notice.code), mechanisms, solution]).toEqual(['invalid', [code], [], undefined]);
    expect(notices[0]!.severity).toBe('error');
    expect(notices[0]!.message).toMatch(words);
  });

  test.each(['flat', 'leaning'] as const)(
    'a node whose spring is lost only looks free: refused where a load drives it (%s)',
    (how) => {
      const driven = results(onSoftSpring(how, 1e-5, 5));
      expect([driven.status, driven.mechanisms.every(({ harmless }) => harmless)]).toEqual(['invalid', true]);
      expect(driven.notices.map(({ code, message }) => `${code}: ${message}`)).toEqual([
        expect.stringMatching(
          /^no-digits-left: .* of node 2\. Nearby, EA\/L of member a is 10\^\d\d times the support spring at node 2\./,
        ),
      ]);
      const why = (drawn: Sketch): string => {
        const { status, mechanisms } = results(drawn);
        return [status, ...mechanisms.map(({ cause }) => cause)].join('; ');
      };
      expect(why(onSoftSpring(how, 0, 5))).toMatch(/^unstable; .*no member or support resists/);
      const along = onSoftSpring(how, 1e-5, how === 'leaning' ? 4 / 3 : 0);
      expect(why(along)).toMatch(/^solved; .*lost in rounding/);
    },
  );

  test('a node between two struts that are in line but for rounding is free, and not called soft', () => {
    const { status, mechanisms } = results({
      nodes: [['1', 0, 0], ['2', 4, 2e-6], ['3', 8, 0]],
      members: [['a', '1', '2', { behaviour: 'truss' }], ['b', '2', '3', { behaviour: 'truss' }]],
      supports: [pin('1'), pin('3')], loads: [{ type: 'node', node: '2', fy: -1 }],
    }); // oxfmt-ignore
    expect([status, mechanisms.find(({ harmless }) => !harmless)!.cause]).toEqual([
      'unstable',
      'no member or support resists in this direction',
    ]);
  });

  test('a true mechanism beside a part that is lost in rounding is still told as one', () => {
    const drawn = cantilever(6, 1, 1e14);
    const both: Sketch = {
      ...drawn,
      nodes: [...drawn.nodes, ['a', 0, 9], ['b', 4, 9]],
      members: [...drawn.members, ['swing', 'a', 'b', { section: 'soft' }]],
      supports: [...drawn.supports, pin('a')],
    };
    const { status, notices, mechanisms } = results(both);
    expect([status, mechanisms.length, mechanisms[0]!.members]).toEqual(['unstable', 1, ['swing']]);
    expect(notices.map(({ code }) => code)).toEqual(['mechanism', 'no-digits-left']);
  });
});
