import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../model/model';
import { assembleStiffness } from '../stiffness/assemble';
import { FREEDOMS } from '../stiffness/structure';
import { toOwnAxes } from '../stiffness/transformation';
import { clamp, sketch } from '../test/build';
import { randomSpace } from '../test/random-space';
import { takeKernels } from '../linear-algebra/kernel-pool';
import { piecesOfCases } from '../results/breakpoints';
import { nodalResidual } from '../results/nodal-balance';
import { recoverMembers } from '../results/recover-members';
import type { StructuralResponse } from '../results/results';
import { caseLoads } from './case-loads';
import { refineEquilibrium } from './equilibrium-refinement';
import { factorise, type System } from './factorise';
import { prepare } from './prepare';
import { solve } from './session';

const solved = (model: Model): { system: System; outcome: StructuralResponse } => ({
  system: factorise(prepare(model).prepared, takeKernels()),
  outcome: solve(model).solution!.responses[0]!,
});

test('what is left at the joints is f − K·u, with springs whose ground moves and a turned support', () => {
  fc.assert(
    fc.property(randomSpace, fc.nat(5), (any, at) => {
      const [held, ...others] = any.supports;
      const { system, outcome } = solved({
        ...any,
        supports: [{ ...held!, uy: 3e6, rx: 2e5, axes: { x: [1, 2, 0.3], y: [-1, 1, 0.2] } }, ...others],
        loads: [...any.loads, { id: 'x1', type: 'settlement', case: 'Q', node: held!.node, uy: 0.01, uz: 0.02, rx: -0.003 }],
      });
      const { structure: s, matrices, numbering, loose } = system;
      const own = outcome.displacements.slice();
      toOwnAxes(s, own);
      const { size } = outcome.equilibrium;
      const left = nodalResidual(s, matrices, 0, outcome.ends, own);
      expect(Math.max(...left.map(Math.abs))).toBeLessThan(1e-9 * size);

      // A freedom moved on leaves what its stiffness takes: the sprung one of the rotated support among them.
      const sprung = FREEDOMS * s.names.nodes.indexOf(held!.node) + 1;
      const f = at === 0 ? sprung : numbering.freedoms[at]!;
      own[f]! += 1e-3;
      const pieces = piecesOfCases(s);
      const [loads] = caseLoads(system, pieces, [undefined]);
      recoverMembers(s, matrices, [{ c: 0, pieces: pieces[0]!, loads: loads!, displacements: own }], ({ ends }) => {
        const K = assembleStiffness(s, matrices, numbering, loose.artificialRestraints);
        const stiffness = K.values[K.pointers[numbering.unknowns[f]!]!]!;
        expect(nodalResidual(s, matrices, 0, ends, own)[f]! / (-1e-3 * stiffness)).toBeCloseTo(1, 4);
      });
    }),
    { numRuns: 20 },
  );
});

describe('corrections by what is left at the joints', () => {
  const model = sketch({
    nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [clamp('1')],
    loads: [{ type: 'node', node: '2', fy: -1e3 }],
  }); // oxfmt-ignore
  const start = () => {
    const { system, outcome } = solved(model);
    const [pieces] = piecesOfCases(system.structure);
    const [loads] = caseLoads(system, [pieces!], [undefined]);
    const side = Float64Array.from(system.numbering.freedoms, (f) => loads!.onNodes[f]!);
    const equations = {
      c: 0,
      pieces: pieces!,
      loads: loads!,
      displacements: outcome.displacements,
      side,
      residual: 0.5,
      driving: 1e3,
    };
    return { system, outcome, equations };
  };
  type Parts = readonly [residual: number, jointResidual?: number];
  const off = (outcome: StructuralResponse, [residual, jointResidual = 0]: Parts): StructuralResponse => ({
    ...outcome,
    equilibrium: { ...outcome.equilibrium, residual, jointResidual },
  });
  /** What is left of a case that is corrected again and again, and how often it was. */
  const left = (rough: Parts, ...next: Parts[]): [number, number] => {
    const { system, outcome, equations } = start();
    let passes = 0;
    const [best] = refineEquilibrium(system, [equations], [off(outcome, rough)], () => [off(outcome, next[passes++]!)]);
    return [Math.max(best!.equilibrium.residual, best!.equilibrium.jointResidual), passes];
  };

  test('go on while they are worth it', () => {
    expect(left([1e-6], [1e-8], [1e-10], [1e-12], [0])).toEqual([1e-12, 3]);
    expect(left([1e-6], [9e-7], [8e-7], [1e-12])).toEqual([8e-7, 2]);
  });

  test('make no case worse, and leave alone what is in balance', () => {
    expect(left([1e-6], [1e-5])).toEqual([1e-6, 1]);
    expect(left([0, 1e-6], [1e-9, 1e-5])).toEqual([1e-6, 1]);
    expect(left([1e-12])).toEqual([1e-12, 0]);
  });

  test('bring movements that are off back to those of the solution', () => {
    const { system, outcome, equations } = start();
    const displacements = outcome.displacements.map((x) => 1.001 * x);
    let corrected: Float64Array = displacements;
    let residual = 0.5;
    const ends = outcome.ends.map((force) => 1.001 * force);
    const memory = new Float64Array(1);
    refineEquilibrium(system, [{ ...equations, displacements, memory }], [{ ...off(outcome, [1e-3]), ends }], ([one]) => {
      // Where the rough outcome lies, which may yet be the best.
      expect(one!.memory).toBeUndefined();
      ({ displacements: corrected, residual } = one!);
      return [off(outcome, [0])];
    });
    expect(corrected[7]! / outcome.displacements[7]!).toBeCloseTo(1, 9);
    expect(residual).toBeLessThan(1e-9);
    expect(displacements[7]! / outcome.displacements[7]!).toBeCloseTo(1.001, 9);
  });
});
