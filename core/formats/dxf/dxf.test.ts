import { describe, expect, test } from '@jest/globals';
import { mutatedText, mutations } from '../../test/mutations';
import { Random } from '../../test/random';
import { distance, type Point } from '../../model/point';
import { membersOfLines, type LinesAsked } from './members-of-lines';
import { readDxf, type Drawing, type DrawnLine } from './read-dxf';

/** Codes and values, as the text of a file has them. */
const groups = (...pairs: readonly (readonly [number, string | number])[]): string =>
  pairs.map(([code, value]) => `${code}\n${value}\n`).join('');
const entity = (type: string, layer: string, ...pairs: readonly (readonly [number, string | number])[]): string =>
  groups([0, type], [8, layer], ...pairs);
const line = (layer: string, a: Point, b: Point): string =>
  entity('LINE', layer, [10, a[0]], [20, a[1]], [30, a[2]], [11, b[0]], [21, b[1]], [31, b[2]]);
const drawing = (entities: string, { unit, blocks = '' }: { unit?: number; blocks?: string } = {}): string =>
  [
    unit === undefined ? '' : groups([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, unit], [0, 'ENDSEC']),
    groups([0, 'SECTION'], [2, 'BLOCKS']) + blocks + groups([0, 'ENDSEC']),
    groups([0, 'SECTION'], [2, 'ENTITIES']) + entities + groups([0, 'ENDSEC'], [0, 'EOF']),
  ].join('');
const read = (text: string, part?: number): Drawing => {
  const found = readDxf(text, part);
  if (typeof found === 'string') throw new Error(found);
  return found;
};
const asked: LinesAsked = { unit: 1e-3, tolerance: 0.005, stands: 'upright', section: 'tube', material: 'steel' };

describe('a drawing is read', () => {
  test('lines with their layers, and the unit that the file says', () => {
    const { unit, lines, leftOut } = read(
      drawing(line('ribs', [0, 0, 0], [3000, 0, 0]) + entity('TEXT', 'notes', [1, 'rib'], [10, 0], [20, 0], [40, 2.5]), {
        unit: 4,
      }),
    );
    expect({ unit, lines, leftOut }).toEqual({
      unit: 1e-3,
      lines: [{ layer: 'ribs', from: [0, 0, 0], to: [3000, 0, 0] }],
      leftOut: [{ kind: 'TEXT', layer: 'notes', count: 1, line: 37 }],
    });
  });

  test('arcs and bulges keep to their circle, and go the right way', () => {
    const quarter = entity('ARC', 'a', [10, 0], [20, 0], [40, 10], [50, 270], [51, 0]);
    const { lines } = read(drawing(quarter), Math.PI / 12);
    expect(lines).toHaveLength(6);
    for (const { from, to } of lines)
      for (const end of [from, to])
        expect([Math.hypot(end[0], end[1]), end[0] >= -1e-9, end[1] <= 1e-9]).toEqual([expect.closeTo(10, 9), true, true]);
    // Half a circle to the left of the way from (0, 0) to (2, 0) is below it.
    const half = entity('LWPOLYLINE', 'a', [90, 2], [70, 0], [10, 0], [20, 0], [42, 1], [10, 2], [20, 0]);
    const places = read(drawing(half), Math.PI / 4).lines.map(({ to }) => to);
    expect(places).toHaveLength(4);
    expect(places[1]).toEqual([expect.closeTo(1, 9), expect.closeTo(-1, 9), 0]);
  });

  test('blocks where they are inserted: scaled, turned, in rows; layer 0 follows the insertion', () => {
    const blocks = groups([0, 'BLOCK'], [8, '0'], [2, 'post'], [70, 0], [10, 1], [20, 0], [30, 0], [3, 'post'])
      + line('0', [1, 0, 0], [2, 0, 0]) + groups([0, 'ENDBLK'], [8, '0']); // oxfmt-ignore
    const insert = entity(
      'INSERT',
      'posts',
      [2, 'post'],
      [10, 5],
      [20, 5],
      [30, 0],
      [41, 2],
      [42, 2],
      [50, 90],
      [70, 2],
      [44, 3],
    );
    const { lines } = read(drawing(insert, { blocks }));
    expect(lines.map(({ layer, from, to }) => [layer, from.map(Math.round), to.map(Math.round)])).toEqual([
      ['posts', [5, 5, 0], [5, 7, 0]],
      ['posts', [5, 8, 0], [5, 10, 0]],
    ]);
  });

  test('a plane seen from behind is turned round', () => {
    const mirrored = entity(
      'LWPOLYLINE',
      'a',
      [90, 2],
      [70, 0],
      [10, 1],
      [20, 2],
      [10, 3],
      [20, 2],
      [210, 0],
      [220, 0],
      [230, -1],
    );
    const [{ from, to }] = read(drawing(mirrored)).lines as [DrawnLine];
    expect([from, to].map(([x, y]) => [x, y])).toEqual([[-1, 2], [-3, 2]]); // oxfmt-ignore
  });

  test('a block that holds itself ends, and is told', () => {
    const self = entity('INSERT', '0', [2, 'self'], [10, 1], [20, 0]);
    const blocks = groups([0, 'BLOCK'], [2, 'self'], [10, 0], [20, 0]) + self + groups([0, 'ENDBLK']);
    expect(read(drawing(self, { blocks })).leftOut).toMatchObject([{ kind: 'INSERT', layer: '0', count: 1 }]);
  });

  test('files that are no drawing, and thousands that were one, end in words or in lines', () => {
    expect(readDxf('fern')).toMatch(/no DXF drawing/);
    expect(readDxf('Some Binary DXF\r\n')).toMatch(/binary/);
    const whole = drawing(
      line('ribs', [0, 0, 0], [3, 0, 0]) +
        entity('ARC', 'a', [10, 0], [20, 0], [40, 10], [50, 0], [51, 90]) +
        entity('LWPOLYLINE', 'a', [90, 2], [70, 1], [10, 0], [20, 0], [42, 1], [10, 2], [20, 0]),
      { unit: 6 },
    );
    const chance = new Random(7);
    for (let i = 0; i < mutations(1000); i++) {
      const found = readDxf(mutatedText(whole, chance));
      if (typeof found === 'string') expect(found).toMatch(/can be read|more than/);
      else for (const one of found.lines) expect([...one.from, ...one.to].every(Number.isFinite)).toBe(true);
    }
  });
});

describe('lines become members', () => {
  const of = (...ends: readonly (readonly [number, number, number, number])[]): DrawnLine[] =>
    ends.map(([a, b, c, d]) => ({ layer: '0', from: [a, b, 0], to: [c, d, 0] }));

  test('ends within the tolerance are one node, and what was done is told', () => {
    const made = membersOfLines(of([0, 0, 3000, 0], [3002, 1, 3000, 2400], [0, 0, 3, 0], [3000, 0, 0, 0]), 'plane', asked);
    expect(made).toMatchObject({ short: 1, doubled: 1, cut: 0, joined: { count: 2, farthest: expect.closeTo(0.003, 9) } });
    expect(made.part.nodes.map(({ x, y }) => [x, y])).toEqual([[0, 0], [3, 0], [3, 2.4]]); // oxfmt-ignore
    expect(made.part.members).toMatchObject([
      { start: 'n0', end: 'n1', section: 'tube' },
      { start: 'n1', end: 'n2' },
    ]);
  });

  test('a line is cut where the end of another stands on it', () => {
    const { part, cut } = membersOfLines(of([0, 0, 6000, 0], [2000, 0, 2000, 3000], [4000, 2, 4000, -1000]), 'plane', asked);
    expect([part.members.length, part.nodes.length, cut]).toEqual([5, 6, 1]);
  });

  test('in a plane model lines that leave the plane are left out and counted, not laid flat', () => {
    const lines: DrawnLine[] = [
      { layer: '0', from: [0, 0, 500], to: [1000, 0, 500] },
      { layer: '0', from: [0, 0, 500], to: [0, 1000, 900] },
      { layer: '0', from: [0, 0, 0], to: [0, 1000, 0] },
    ];
    const { part, beside } = membersOfLines(lines, 'plane', asked);
    expect([part.members.length, part.nodes.length, beside]).toEqual([1, 2, 2]);
    expect(membersOfLines(lines, 'space', asked)).toMatchObject({ beside: 0, part: { members: { length: 3 } } });
  });

  test('a plan lies on the ground of a space, an elevation stands', () => {
    const lines: DrawnLine[] = [{ layer: '0', from: [0, 0, 0], to: [1000, 2000, 500] }];
    const far = (stands: LinesAsked['stands']) => membersOfLines(lines, 'space', { ...asked, stands }).part.nodes[1];
    expect([far('on the ground'), far('upright')]).toMatchObject([
      { x: 1, y: 0.5, z: -2 },
      { x: 1, y: 2, z: 0.5 },
    ]);
  });

  test('every node on a line cuts it, as if each were held against each', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const chance = new Random(seed);
      // On a grid, so that ends often stand on other lines.
      const at = (): number => Math.floor(chance.next() * 7) * 1000;
      const lines = Array.from({ length: 30 }, (): DrawnLine => ({ layer: '0', from: [at(), at(), 0], to: [at(), at(), 0] }));
      const { part } = membersOfLines(lines, 'plane', asked);
      const nodes = part.nodes.map(({ x, y }): Point => [x, y, 0]);
      const places = new Map(part.nodes.map((node, i) => [node.id, nodes[i]!]));
      for (const { start, end } of part.members) {
        const [a, b] = [places.get(start)!, places.get(end)!];
        const between = nodes.filter(
          (node) => node !== a && node !== b && distance(a, node) + distance(node, b) - distance(a, b) < 1e-9,
        );
        expect([seed, start, end, between]).toEqual([seed, start, end, []]);
      }
    }
  });
});
