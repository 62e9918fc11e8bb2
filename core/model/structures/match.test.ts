import { describe, expect, test } from '@jest/globals';
import { initialValues, type TypicalValues } from '../typical/typical';
import { matched } from './match';
import { builtOf, MOST_NODES, typicalOf, unbuildable } from './placed';

const part = (type: string, more: TypicalValues = {}) =>
  builtOf({ type, values: { ...initialValues(typicalOf(type)!), ...more } });

/** What of one structure became what of another, by their own names. */
function became(type: string, before: TypicalValues, after: TypicalValues) {
  const [was, is] = [part(type, before), part(type, after)];
  const found = matched(type, was, is);
  const nodes = new Map(is.nodes.map(({ id }, j) => [id, found.nodes[j]! < 0 ? undefined : was.nodes[found.nodes[j]!]!.id]));
  const beside = new Map([...found.beside.nodes].map(([j, near]) => [is.nodes[j]!.id, near.map((at) => is.nodes[at]!.id)]));
  return { was, is, found, nodes, beside };
}

describe('what of a structure is what of it with other measures', () => {
  test('spread parts find what was near, ends and middle first; each is found once', () => {
    const { nodes, beside, found } = became('truss', { panels: 4 }, { panels: 8 });
    expect(['l0', 'l2', 'l4', 'l6', 'l8'].map((id) => nodes.get(id))).toEqual(['l0', 'l1', 'l2', 'l3', 'l4']);
    expect(['l1', 'l3', 'l5', 'l7'].map((id) => nodes.get(id))).toEqual([undefined, undefined, undefined, undefined]);
    expect(beside.get('l3')).toEqual(['l2', 'l4']);
    const taken = found.nodes.filter((one) => one >= 0);
    expect(new Set(taken).size).toBe(taken.length);
  });

  test('fewer parts: what is near stays, the rest is nobody’s', () => {
    const { nodes, was } = became('truss', { panels: 6 }, { panels: 3 });
    expect(['l0', 'l1', 'l2', 'l3'].map((id) => nodes.get(id))).toEqual(['l0', 'l2', 'l4', 'l6']);
    expect(was.nodes).toHaveLength(14);
  });

  test('a further bay or storey is new; it lies beside what is in its row and over its column', () => {
    const bays = became('storeys', { bays: [6, 6], storeys: [4, 3] }, { bays: [6, 6, 6], storeys: [4, 3] });
    expect(bays.nodes.get('2 1')).toBe('2 1');
    expect(bays.nodes.get('3 1')).toBeUndefined();
    expect(bays.beside.get('3 1')).toEqual(['2 1', '1 1']);
    const storey = became('storeys', { bays: [6, 6], storeys: [4, 3] }, { bays: [6, 6], storeys: [4, 3, 3] });
    expect(storey.beside.get('1 3')).toEqual(['1 2', '1 1']);
  });

  test('in a vault of other segments a node remains in its arch, a purlin between its arches', () => {
    const { nodes, was, is, found } = became('vault', { segments: 6 }, { segments: 9 });
    for (const [id, before] of nodes) if (before !== undefined) expect(before.split(' ')[1]).toBe(id.split(' ')[1]);
    const purlins = new Set(is.groups!.find(({ id }) => id === 'purlins')!.members);
    is.members.forEach((one, j) => {
      if (!purlins.has(one.id) || found.members[j]! < 0) return;
      const old = was.members[found.members[j]!]!;
      expect([old.start.split(' ')[1], old.end.split(' ')[1]]).toEqual([one.start.split(' ')[1], one.end.split(' ')[1]]);
    });
  });

  test('a long vault is matched arch by arch: the pairs that are looked at grow with it, and not with its square', () => {
    const bays = Array.from({ length: 150 }, () => 3);
    const { found, is } = became('vault', { segments: 40, bays }, { segments: 41, bays });
    expect(found.nodes.filter((one) => one < 0)).toHaveLength(151);
    expect(is.nodes).toHaveLength(42 * 151);
  });

  test('the same measures, or others of length alone, are the very same parts', () => {
    for (const type of ['beam', 'portal', 'storeys', 'truss', 'arch', 'building', 'tower', 'vault']) {
      const { found } = became(type, {}, { height: 7, span: 19, rise: 2.2 });
      expect([type, found.nodes, found.members]).toEqual([type, found.nodes.map((_, i) => i), found.members.map((_, i) => i)]);
    }
  });
});

test('measures are refused before anything is built of them', () => {
  const many = Array.from({ length: 60 }, () => 5);
  const building = { ...initialValues(typicalOf('building')!), bays: many, deep: many, storeys: many };
  expect(unbuildable('building', building)).toEqual({ what: 'There would be more than 100,000 nodes' });
  const twenty = many.slice(0, 20);
  expect(unbuildable('building', { ...building, bays: twenty, deep: twenty, storeys: twenty })).toBeUndefined();
  expect(21 ** 3).toBeLessThan(MOST_NODES);
  expect(unbuildable('dome', {})).toEqual({ what: '“dome” is no typical structure' });
  expect(unbuildable('truss', { ...initialValues(typicalOf('truss')!), panels: 0 })).toMatchObject({ key: 'panels' });
});
