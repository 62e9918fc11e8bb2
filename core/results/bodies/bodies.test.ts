import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../../analysis/session';
import type { Model } from '../../model/model';
import { memberCount, nodeCount } from '../../stiffness/structure';
import { clamp, sketch } from '../../test/build';
import { evenly } from '../../test/evenly';
import { randomFrame } from '../../test/random-frame';
import { underAnyLoad } from '../../test/random-loads';
import { randomSpace } from '../../test/random-space';
import { bodyBalance, freeBody, middleOf, otherSide, sidesOf } from './cut';
import { jointOf } from './joint';
import { memberBody } from './member-body';
import { about } from './vectors';

const index = (names: readonly string[], id: string): number => names.indexOf(id);

describe('a portal of two storeys, pushed at both floors', () => {
  const model: Model = sketch({
    nodes: [['a', 0, 0], ['b', 6, 0], ['c', 0, 4], ['d', 6, 4], ['e', 0, 7], ['f', 6, 7]],
    members: [['l1', 'a', 'c'], ['r1', 'd', 'b'], ['l2', 'c', 'e'], ['r2', 'd', 'f'], ['f1', 'c', 'd'], ['f2', 'e', 'f']],
    supports: [clamp('a'), clamp('b')],
    loads: [
      { type: 'node', node: 'c', fx: 10e3 },
      { type: 'node', node: 'e', fx: 6e3 },
      { type: 'line', member: 'f2', from: { wy: -2e3 }, to: { wy: -2e3 } },
    ],
  }); // oxfmt-ignore
  const solution = solve(model).solution!;
  const { structure: s } = solution;
  const cutOf = (ids: readonly string[], x: number) =>
    sidesOf(s, ids.map((id) => ({ member: index(s.names.members, id), x }))); // oxfmt-ignore

  test('the columns of a storey carry what acts above, with its couple', () => {
    const lower = cutOf(['l1', 'r1'], 2);
    const feet = freeBody(s, lower);
    expect(feet.nodes.map((node) => s.names.nodes[node])).toEqual(['a', 'b']);
    const above = bodyBalance(solution, 0, freeBody(s, otherSide(lower)));
    // 16 kN to the right and 12 kN down act above: the cut holds them.
    expect(above.through.slice(0, 2)).toEqual([expect.closeTo(-16e3, 4), expect.closeTo(12e3, 4)]);
    expect(above.residual).toBeLessThan(1e-12);
    // About the middle of the columns at half their height: 10 · 2 + 6 · 5 kN·m of the pushes, which turn clockwise.
    expect(middleOf(s, lower)).toEqual([3, 2, 0]);
    expect(about([3, 2, 0], above.through)[5]).toBeCloseTo(50e3, 3);
    expect(bodyBalance(solution, 0, feet).through.map((value) => -value)).toEqual(above.through.map((v) => expect.closeTo(v, 4)));
    const upper = bodyBalance(solution, 0, freeBody(s, otherSide(cutOf(['l2', 'r2'], 1))));
    expect(upper.through[0]).toBeCloseTo(-6e3, 4);
  });

  test('one beam alone frees nothing, and no balance is told', () => {
    const body = freeBody(s, cutOf(['f1'], 2));
    expect(body.isLoose).toBe(true);
    expect(bodyBalance(solution, 0, body).residual).toBeUndefined();
  });

  test('a joint with the ends of its members, what is put on it, and its support', () => {
    const joint = jointOf(solution, 0, index(s.names.nodes, 'c'));
    expect(joint.members.map(({ member, side }) => `${s.names.members[member]} ${side}`)).toEqual([
      'l1 end',
      'l2 start',
      'f1 start',
    ]);
    expect(joint.applied).toEqual([10e3, 0, 0, 0, 0, 0]);
    expect(joint.residual).toBeLessThan(1e-12);
    const foot = jointOf(solution, 0, 0);
    expect(foot.reaction[0]).toBeCloseTo(-foot.members[0]!.force[0], 6);
  });
});

describe.each([
  ['in the plane', randomFrame],
  ['in space', randomSpace],
] as const)('any frame %s under any load', (_, frames) => {
  test('is in balance on both sides of any cut, and at every joint', () => {
    let compared = 0;
    fc.assert(
      fc.property(underAnyLoad(frames), fc.array(evenly(0.001, 0.999), { minLength: 12, maxLength: 12 }), (model, shares) => {
        const { solution, mechanisms } = solve(model);
        fc.pre(solution !== undefined && mechanisms.length === 0);
        const { structure: s } = solution!;
        // All members that a plane across X meets are cut, each somewhere.
        const xs = Array.from({ length: nodeCount(s) }, (__, i) => s.coordinates[3 * i]!);
        const plane = Math.min(...xs) + shares[0]! * (Math.max(...xs) - Math.min(...xs));
        const isLeft = (m: number, end: 0 | 1): boolean => xs[s.memberNodes[2 * m + end]!]! < plane;
        const cut = [...Array(memberCount(s)).keys()].filter((m) => isLeft(m, 0) !== isLeft(m, 1));
        fc.pre(cut.length > 0);
        const places = sidesOf(s, cut.map((member) => ({ member, x: shares[member % 12]! * s.lengths[member]! }))); // oxfmt-ignore
        const [one, other] = [freeBody(s, places), freeBody(s, otherSide(places))];
        expect([one.isLoose, other.isLoose]).toEqual([false, false]);
        for (const body of [one, other]) expect(bodyBalance(solution!, 0, body).residual).toBeLessThan(1e-8);
        const [a, b] = [bodyBalance(solution!, 0, one).through, bodyBalance(solution!, 0, other).through];
        const size = Math.max(1, ...a.map(Math.abs));
        a.forEach((value, k) => expect(Math.abs(value + b[k]!)).toBeLessThan(1e-9 * size));
        for (let m = 0; m < memberCount(s); m++) expect(memberBody(solution!, 0, m).residual).toBeLessThan(1e-8);
        for (let node = 0; node < nodeCount(s); node++) expect(jointOf(solution!, 0, node).residual).toBeLessThan(1e-8);
        compared++;
      }),
      { numRuns: 25 },
    );
    expect(compared).toBeGreaterThan(10);
  });
});
