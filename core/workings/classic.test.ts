import { describe, expect, test } from '@jest/globals';
import type { Model } from '../model/model';
import { clamp, pin, roller, sketch, type Sketch } from '../test/build';
import { displayOf } from '../quantities/display';
import { Random } from '../test/random';
import { workingsStepsOf } from './steps';
import { workingsText } from './text';
import { workingsOf } from './of-model';
import { threeMoments } from './three-moments';
import { workedTruss } from './truss';
import type { Worked } from './worked';

const found = (model: Model): Worked => {
  const one = workingsOf(model, 'Q');
  if (typeof one === 'string' || 'notices' in one) throw new Error(JSON.stringify(one));
  return one;
};
const near = (ours: readonly number[], theirs: readonly number[]): void => {
  const size = Math.max(...theirs.map(Math.abs));
  ours.forEach((one, i) => expect(Math.abs(one - theirs[i]!)).toBeLessThanOrEqual(1e-8 * size));
};

describe('method of joints and a cut', () => {
  test('40 girders: every tension is the one of the stiffness method, and so are those of a cut', () => {
    let cuts = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const random = new Random(seed);
      const panels = 2 + random.below(5);
      const height = 1 + random.below(3);
      const nodes: Sketch['nodes'][number][] = [];
      const members: Sketch['members'][number][] = [];
      const bar = (start: string, end: string): void => void members.push([`${start}${end}`, start, end, { behaviour: 'truss' }]);
      for (let i = 0; i <= panels; i++) {
        nodes.push([`u${i}`, 3 * i, random.below(5) / 10], [`o${i}`, 3 * i, height + random.below(5) / 10]);
        bar(`u${i}`, `o${i}`);
        if (i === 0) continue;
        bar(`u${i - 1}`, `u${i}`);
        bar(`o${i - 1}`, `o${i}`);
        if (random.below(2) === 0) bar(`u${i - 1}`, `o${i}`);
        else bar(`o${i - 1}`, `u${i}`);
      }
      const loads = nodes.map(([node]) => ({
        type: 'node' as const,
        node,
        fx: 100 * random.below(20),
        fy: -1000 * random.below(20),
      }));
      const girder = sketch({ nodes, members, supports: [pin('u0'), roller(`u${panels}`)], loads });
      const truss = workedTruss(found(girder))!;
      expect([seed, truss.joints.length]).toEqual([seed, nodes.length]);
      near(truss.tensions, truss.byStiffness);
      // Statics alone tells them: they are the same where members keep their lengths.
      const kept = workedTruss(found({ ...girder, analysis: { axialDeformation: false } }))!;
      expect(kept.joints.length).toBe(nodes.length);
      near(kept.tensions, truss.tensions);
      near(kept.byStiffness, truss.tensions);
      expect(kept.cut?.members).toEqual(truss.cut?.members);
      if (!truss.cut) continue;
      cuts++;
      near(truss.cut.about.map(({ value }) => value), truss.cut.about.map(({ member }) => truss.byStiffness[member]!)); // oxfmt-ignore
    }
    expect(cuts).toBeGreaterThan(30);
  });
  test('not of a frame, nor of a truss with a bar or a support too many', () => {
    const bar = { behaviour: 'truss' } as const;
    const square: Sketch = { nodes: [['1', 0, 0], ['2', 3, 0], ['3', 3, 3], ['4', 0, 3]], members: [['a', '1', '2', bar], ['b', '2', '3', bar], ['c', '3', '4', bar], ['d', '4', '1', bar], ['e', '1', '3', bar]], supports: [pin('1'), roller('2')], loads: [{ type: 'node', node: '3', fx: 10 }] }; // oxfmt-ignore
    expect(workedTruss(found(sketch(square)))).toBeDefined();
    expect(workedTruss(found(sketch({ ...square, members: [...square.members, ['f', '2', '4', bar]] })))).toBeUndefined();
    expect(workedTruss(found(sketch({ ...square, supports: [pin('1'), pin('2')] })))).toBeUndefined();
    expect(workedTruss(found(sketch({ ...square, members: square.members.map(([id, a, b]) => [id, a, b]) })))).toBeUndefined();
  });
});

describe('three-moment equations', () => {
  test('60 beams over supports, with overhangs, clamps, settlements and any loads, meet the stiffness method', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const random = new Random(seed);
      const spans = 1 + random.below(5);
      const [before, behind] = [random.below(3) === 0, random.below(3) === 0];
      const lengths = Array.from({ length: spans + Number(before) + Number(behind) }, () => 2 + random.below(5));
      let x = 0;
      const xs = [0, ...lengths.map((one) => (x += one))];
      const upright = random.below(4) === 0;
      const nodes = xs.map((at, i) => [String(i), upright ? 0 : at, upright ? at : 0] as const);
      const members = lengths.map((_, i) => [`m${i}`, String(i), String(i + 1)] as const);
      const across = upright ? 'ux' : 'uy';
      const supports = nodes.flatMap(([node], i) => {
        if ((before && i === 0) || (behind && i === xs.length - 1)) return [];
        const isEnd = i === 0 || i === xs.length - 1;
        if (isEnd && random.below(2) === 0) return [clamp(node)];
        return [i === Number(before) ? pin(node) : { node, [across]: 'fixed' as const }];
      });
      const held = supports.filter((one) => one.ux === 'fixed' && one.uy === 'fixed').length > 0 ? supports : [{ ...supports[0]!, ux: 'fixed' as const, uy: 'fixed' as const }, ...supports.slice(1)]; // oxfmt-ignore
      const load = upright ? 'wx' : 'wy';
      const of = found(
        sketch({
          nodes,
          members,
          supports: held,
          loads: [
            ...members.map(([member]) => ({
              type: 'line' as const,
              member,
              from: { [load]: -1000 * random.below(9) },
              to: { [load]: -1000 * random.below(9) },
            })),
            ...members.map(([member]) => ({
              type: 'point' as const,
              member,
              at: random.below(10) / 10,
              [upright ? 'fx' : 'fy']: -1000 * random.below(9),
            })),
            { type: 'settlement', node: held[1]?.node ?? held[0]!.node, [across]: -0.001 * random.below(9) },
            ...(behind ? [{ type: 'node' as const, node: String(xs.length - 1), [upright ? 'fx' : 'fy']: -500 }] : []),
            ...(before ? [{ type: 'node' as const, node: '0', [upright ? 'fx' : 'fy']: -700 }] : []),
          ],
        }),
      );
      const beam = threeMoments(of)!;
      expect([seed, beam?.spans.length]).toEqual([seed, spans]);
      near([...beam.moments, 1e4], [...beam.byStiffness, 1e4]);
    }
  });
  test('not where a support inside holds or springs against a turn, nor where a couple acts on a node', () => {
    const beam: Sketch = { nodes: [['1', 0, 0], ['2', 4, 0], ['3', 8, 0]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [pin('1'), roller('2'), roller('3')], loads: [{ type: 'point', member: 'a', at: 0.5, fy: -9 }] }; // oxfmt-ignore
    expect(threeMoments(found(sketch(beam)))).toBeDefined();
    expect(threeMoments(found(sketch({ ...beam, supports: [pin('1'), clamp('2'), roller('3')] })))).toBeUndefined();
    expect(
      threeMoments(found(sketch({ ...beam, supports: [pin('1'), { ...roller('2'), rz: 1e5 }, roller('3')] }))),
    ).toBeUndefined();
    expect(
      threeMoments(found(sketch({ ...beam, supports: [{ ...pin('1'), rz: 1e5 }, roller('2'), roller('3')] }))),
    ).toBeUndefined();
    expect(threeMoments(found(sketch({ ...beam, loads: [{ type: 'node', node: '2', mz: 5 }] })))).toBeUndefined();
    expect(threeMoments(found(sketch({ ...beam, members: [['a', '1', '2', { releases: { end: { mz: 'free' } } }], ['b', '2', '3']] })))).toBeUndefined(); // oxfmt-ignore
  });
  test('not of a frame', () => {
    expect(threeMoments(found(sketch({ nodes: [['1', 0, 0], ['2', 0, 3], ['3', 4, 3]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [clamp('1'), roller('3')], loads: [{ type: 'node', node: '3', fx: 1 }] })))).toBeUndefined(); // oxfmt-ignore
  });
});

describe('as they are written', () => {
  const written = (of: Worked): string => workingsText(workingsStepsOf(of, displayOf({})));
  const bar = { behaviour: 'truss' } as const;

  test('a king post by its joints: supports of the whole, sums that are nothing, tension or compression', () => {
    const text = written(found(sketch({ nodes: [['1', 0, 0], ['2', 4, 0], ['3', 4, 3], ['4', 8, 0]], members: [['a', '1', '2', bar], ['b', '2', '4', bar], ['c', '1', '3', bar], ['d', '3', '4', bar], ['e', '2', '3', bar]], supports: [pin('1'), roller('4')], loads: [{ type: 'node', node: '2', fy: -12000 }] }))); // oxfmt-ignore
    expect(text).toMatch(/R\d +0\n/);
    expect(text.match(/R\d+ +6\n/g)).toHaveLength(2);
    expect(text).toMatch(/ΣY +0\.6 S\(c\) \+ R\d = 0/);
    expect(text).toContain('S(c) = −10 (compression)');
    expect(text).toContain('S(a) = 8 (tension)');
    expect(text).toContain('S(e) = 12 (tension)');
  });
  test('a girder is cut where three members are met, and moments are taken where two of them meet', () => {
    const text = written(found(sketch({ nodes: [['1', 0, 0], ['2', 3, 0], ['3', 6, 0], ['4', 0, 2], ['5', 3, 2], ['6', 6, 2]], members: [['a', '1', '2', bar], ['b', '2', '3', bar], ['c', '4', '5', bar], ['d', '5', '6', bar], ['e', '1', '4', bar], ['f', '2', '5', bar], ['g', '3', '6', bar], ['h', '1', '5', bar], ['i', '5', '3', bar]], supports: [pin('1'), roller('3')], loads: [{ type: 'node', node: '5', fy: -10000 }] }))); // oxfmt-ignore
    expect(text).toMatch(/Cut through members .*: the part with nodes 1, 4/);
    expect(text).toMatch(/a +where c and h meet \(3, 2\) +.*= 0 +7\.5\n/);
    expect(text).toMatch(/h +forces across a and c, which are parallel/);
  });
  test('two equal spans under 8 kN/m: 4·L·M = −2·qL³/4', () => {
    const text = written(found(sketch({ nodes: [['1', 0, 0], ['2', 4, 0], ['3', 8, 0]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [pin('1'), roller('2'), roller('3')], loads: ['a', 'b'].map((member) => ({ type: 'line' as const, member, from: { wy: -8000 }, to: { wy: -8000 } })) }))); // oxfmt-ignore
    expect(text).toContain('4 M(1) + 16 M(2) + 4 M(3) = −256');
    expect(text).toMatch(/M +by these equations +by stiffness\n +1 +0 +0\n +2 +−16 +−16\n/);
  });
});
