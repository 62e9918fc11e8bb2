import { clamp, inRow, pin, roller, type Sketch } from './build';

export const down = (node: string): NonNullable<Sketch['loads']>[number] => ({ type: 'node', node, fy: -1e3 });
export const truss = { behaviour: 'truss' } as const;
const hinged = { releases: { start: { mz: 'free' }, end: { mz: 'free' } } } as const;

/** A model, what is said of it, how many motions there are, and whether all of them are harmless. */
export const models: readonly (readonly [string, Sketch, RegExp, number, boolean])[] = [
  [
    'a beam on rollers',
    {
      nodes: inRow(0, 4),
      members: [['a', '1', '2']],
      supports: [roller('1'), roller('2')],
      loads: [down('1')],
    },
    /The whole structure, nodes 1, 2, can slide along X: no support resists/,
    1,
    false,
  ],
  [
    'a beam on one pin',
    {
      nodes: [
        ['1', 2, 1],
        ['2', 6, 1],
      ],
      members: [['a', '1', '2']],
      supports: [pin('1')],
    },
    /can turn about the point X 2 m, Y 1 m: the reactions of all supports pass through one point/,
    1,
    false,
  ],
  [
    'reactions through one point',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
        ['3', 2, 2],
      ],
      members: [
        ['a', '1', '2'],
        ['b', '2', '3'],
        ['c', '3', '1'],
      ],
      supports: [
        { node: '1', ux: 'fixed', angle: 45 },
        { node: '2', ux: 'fixed', angle: 135 },
        { node: '3', ux: 'fixed' },
      ],
    },
    /can turn about the point X 2 m, Y 2 m/,
    1,
    false,
  ],
  [
    'one fixed direction only',
    {
      nodes: inRow(0, 4),
      members: [['a', '1', '2']],
      supports: [{ node: '1', ux: 'fixed' }],
    },
    /can (slide along Y|turn)/,
    2,
    false,
  ],
  [
    'an unbraced panel',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
        ['3', 4, 3],
        ['4', 0, 3],
      ],
      members: [
        ['a', '1', '2', truss],
        ['b', '2', '3', truss],
        ['c', '3', '4', truss],
        ['d', '4', '1', truss],
      ],
      supports: [pin('1'), pin('2')],
      loads: [{ type: 'node', node: '3', fx: 1 }],
    },
    /sways along X: nodes [34], [34] can move: the panel between nodes 3, 2, 1, 4 is not braced/,
    5,
    false,
  ],
  [
    'a beam of three hinges in a row',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 3, 1],
        ['3', 6, 2],
      ],
      members: [
        ['a', '1', '2', hinged],
        ['b', '2', '3', hinged],
      ],
      supports: [pin('1'), pin('3')],
      loads: [down('2')],
    },
    /Node 2 can move in the direction 108\.4° from X: no member or support resists in this direction\. Case Q drives it with 1 kN at node 2/,
    4,
    false,
  ],
  [
    'the same without a load',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 3, 1],
        ['3', 6, 2],
      ],
      members: [
        ['a', '1', '2', hinged],
        ['b', '2', '3', hinged],
      ],
      supports: [pin('1'), pin('3')],
    },
    /Node 2 can move in the direction 108\.4° from X.*held still/,
    4,
    true,
  ],
  [
    'a truss: every joint spins',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
        ['3', 2, 3],
      ],
      members: [
        ['a', '1', '2', truss],
        ['b', '2', '3', truss],
        ['c', '3', '1', truss],
      ],
      supports: [pin('1'), roller('2')],
      loads: [down('3')],
    },
    /Node 3 can spin: every member that meets there is hinged\. No load drives it/,
    3,
    true,
  ],
  [
    'a couple on a hinged joint',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
        ['3', 2, 3],
      ],
      members: [
        ['a', '1', '2', truss],
        ['b', '2', '3', truss],
        ['c', '3', '1', truss],
      ],
      supports: [pin('1'), roller('2')],
      loads: [{ type: 'node', node: '3', mz: 5 }],
    },
    /Node 3 can spin.*Case Q drives it/,
    3,
    false,
  ],
  [
    'a node on no member',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
        ['9', 1, 1],
      ],
      members: [['a', '1', '2']],
      supports: [clamp('1')],
      loads: [down('2')],
    },
    /Node 9 can (move|spin).*no member meets there/,
    3,
    true,
  ],
  [
    'a load on a node on no member',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
        ['9', 1, 1],
      ],
      members: [['a', '1', '2']],
      supports: [clamp('1')],
      loads: [down('9')],
    },
    /Node 9 can move along Y: no member meets there\. Case Q drives it/,
    3,
    false,
  ],
  [
    'a second part that is not connected',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
        ['3', 9, 0],
        ['4', 9, 3],
      ],
      members: [
        ['a', '1', '2'],
        ['b', '3', '4'],
      ],
      supports: [clamp('1')],
      loads: [down('2')],
    },
    /The part with nodes 3, 4 can slide along X: this part is connected to nothing that is supported/,
    3,
    false,
  ],
  [
    'a member that slides between its nodes',
    {
      nodes: inRow(0, 4),
      members: [['a', '1', '2', { releases: { start: { ux: 'free' }, end: { ux: 'free' } } }]],
      supports: [clamp('1'), clamp('2')],
    },
    /Member a can slide along its own axis between its nodes/,
    1,
    false,
  ],
  [
    'a member that moves across',
    {
      nodes: inRow(0, 4),
      members: [['a', '1', '2', { releases: { start: { mz: 'free', uy: 'free' }, end: { mz: 'free' } } }]],
      supports: [clamp('1'), clamp('2')],
    },
    /Member a can move across its own axis/,
    1,
    false,
  ],
  [
    'a cantilever on a hinge',
    {
      nodes: inRow(0, 4),
      members: [['a', '1', '2', { releases: { start: { mz: 'free' } } }]],
      supports: [clamp('1')],
      loads: [down('2')],
    },
    /Node 2 can move along Y: the hinge of member a at node 1 gives way, and nothing else holds it\. Case Q drives it/,
    1,
    false,
  ],
  [
    'two hinges too many in a beam',
    {
      nodes: inRow(0, 3, 5, 8),
      members: [
        ['a', '1', '2', { releases: { end: { mz: 'free' } } }],
        ['b', '2', '3', { releases: { end: { mz: 'free' } } }],
        ['c', '3', '4'],
      ],
      supports: [clamp('1'), roller('4')],
    },
    /folds: node 3 can move along Y: the hinges of member a at node 2 and of member b at node 3 give way/,
    1,
    false,
  ],
  [
    'three hinges and no tie',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 2, 2],
        ['3', 4, 2],
        ['4', 6, 0],
      ],
      members: [
        ['a', '1', '2', hinged],
        ['b', '2', '3', hinged],
        ['c', '3', '4', hinged],
      ],
      supports: [pin('1'), pin('4')],
      loads: [{ type: 'node', node: '2', fx: 1 }],
    },
    /folds/,
    5,
    false,
  ],
];
