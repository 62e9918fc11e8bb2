import { expect, test } from '@jest/globals';
import { clamp, pin, sketch, solved } from '../test/build';
import { axialStiffness } from './axial-stiffness';

test('a tie that is too short by P·L/(E·A) is pulled by P between held ends', () => {
  const nodes = [['1', 0, 0], ['2', 3, 4], ['3', 3, 8]] as const; // oxfmt-ignore
  const model = sketch({ nodes, members: [['tie', '1', '2'], ['post', '2', '3']], supports: [clamp('1'), clamp('2'), pin('3')] }); // oxfmt-ignore
  const [force, stiffness] = [50e3, axialStiffness(model, 'tie')!];
  const loads = [{ id: '1', case: 'Q', type: 'strain', member: 'tie', elongation: -force / stiffness }] as const;
  const reading = solved({ ...model, loads });
  expect(reading.at('tie', 'N', 2)).toBeCloseTo(force, 3);
  expect(reading.reaction('1')[0]).toBeCloseTo(-0.6 * force, 3);
});

test('what the force would be is not known of an area that is as good as infinite, or of no member', () => {
  const model = sketch({ nodes: [['1', 0, 0], ['2', 3, 4]], members: [['a', '1', '2']], supports: [clamp('1')] }); // oxfmt-ignore
  const sections = [{ id: 's', relative: { I: 2 } }];
  expect([axialStiffness({ ...model, sections }, 'a'), axialStiffness(model, 'b')]).toEqual([undefined, undefined]);
});
