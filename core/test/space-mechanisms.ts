import { ball, clamp3, type Sketch } from './build';

export const truss = { behaviour: 'truss' } as const;
export const hinges = { releases: { start: { my: 'free', mz: 'free' }, end: { my: 'free', mz: 'free' } } } as const;
export const line: Sketch['nodes'] = [
  ['1', 0, 0, 0],
  ['2', 3, 0, 0],
  ['3', 6, 0, 0],
];
const chain: Sketch['members'] = [
  ['a', '1', '2'],
  ['b', '2', '3'],
];
export const beam: Sketch = {
  nodes: [
    ['1', 0, 0, 0],
    ['2', 4, 0, 0],
  ],
  members: [['a', '1', '2']],
  supports: [clamp3('1'), clamp3('2')],
};
/** Four posts on ball joints and a frame of beams on top that is stiff in its plane. */
export const table: Sketch = {
  nodes: [0, 1, 2, 3].flatMap((i): [string, number, number, number][] => {
    const [x, z] = [[0, 0], [4, 0], [4, 3], [0, 3]][i]! as [number, number]; // oxfmt-ignore
    return [
      [`f${i}`, x, 0, z],
      [`t${i}`, x, 3, z],
    ];
  }),
  members: [0, 1, 2, 3].flatMap((i) => [
    [`c${i}`, `f${i}`, `t${i}`, hinges],
    [`b${i}`, `t${i}`, `t${(i + 1) % 4}`],
  ]) as unknown as Sketch['members'],
  supports: [0, 1, 2, 3].map((i) => clamp3(`f${i}`)),
  loads: [{ type: 'node', node: 't0', fx: 1e3 }],
};

/** A model, what is said of it, how many motions there are, and whether all of them are harmless. */
export const models: readonly (readonly [string, Sketch, RegExp, number, boolean])[] = [
  [
    'a beam between ball joints turns about its own axis',
    { ...beam, supports: [ball('1'), ball('2')], loads: [{ type: 'node', node: '2', mz: 1e3 }] },
    /Member a can turn about its own axis: nothing holds it in torsion\. No load drives it/,
    1,
    true,
  ],
  [
    'unless a couple drives it',
    { ...beam, supports: [ball('1'), ball('2')], loads: [{ type: 'node', node: '2', mx: 1e3 }] },
    /Member a can turn about its own axis: nothing holds it in torsion\. Case Q drives it/,
    1,
    false,
  ],
  [
    'a chain between ball joints',
    { nodes: line, members: chain, supports: [ball('1'), ball('3')], loads: [{ type: 'node', node: '2', fy: -1e3 }] },
    /The chain 1–3 \(members a, b\) can turn about its own axis/,
    1,
    true,
  ],
  [
    'a chain with an arm is no chain: the arm swings',
    {
      nodes: [...line, ['4', 3, 0, 2]],
      members: [...chain, ['c', '2', '4']],
      supports: [ball('1'), ball('3')],
    },
    /can turn about the axis along X through X 3 m, Y 0 m, Z 0 m: the reactions of all supports meet this axis/,
    1,
    false,
  ],
  [
    'a member hinged in torsion at both ends',
    { ...beam, members: [['a', '1', '2', { releases: { start: { rx: 'free' }, end: { rx: 'free' } } }]] },
    /Member a can turn about its own axis between its nodes: it is hinged in torsion at both ends\. No load drives it/,
    1,
    true,
  ],
  [
    'hinged in torsion, and twisted by a couple',
    {
      ...beam,
      members: [['a', '1', '2', { releases: { start: { rx: 'free' }, end: { rx: 'free' } } }]],
      loads: [{ type: 'point', member: 'a', at: 0.5, mx: 10 }],
    },
    /hinged in torsion at both ends\. Case Q drives it/,
    1,
    false,
  ],
  [
    'a frame that stands on three vertical supports',
    {
      nodes: [
        ['1', 0, 0, 0],
        ['2', 4, 0, 0],
        ['3', 0, 0, 4],
      ],
      members: [
        ['a', '1', '2'],
        ['b', '1', '3'],
      ],
      supports: ['1', '2', '3'].map((node) => ({ node, uy: 'fixed' as const })),
    },
    /slide along X: no support resists.*[\s\S]*slide along Z[\s\S]*turn about the axis along Y/,
    3,
    false,
  ],
  [
    'a table on hinged legs',
    table,
    /sways along X: nodes t., t., t., t. can move: the panel between nodes .*[\s\S]*sways along Z/,
    2,
    false,
  ],
  [
    'a plane truss in space: its top is not held sideways',
    {
      nodes: [
        ['1', 0, 0, 0],
        ['2', 4, 0, 0],
        ['3', 2, 3, 0],
      ],
      members: [
        ['a', '1', '3', truss],
        ['b', '3', '2', truss],
      ],
      supports: [ball('1'), ball('2')],
      loads: [{ type: 'node', node: '3', fz: 1 }],
    },
    /Node 3 can move along Z: no member or support resists in this direction\. Case Q drives it/,
    10,
    false,
  ],
  [
    'the same under a load in its plane',
    {
      nodes: [
        ['1', 0, 0, 0],
        ['2', 4, 0, 0],
        ['3', 2, 3, 0],
      ],
      members: [
        ['a', '1', '3', truss],
        ['b', '3', '2', truss],
      ],
      supports: [ball('1'), ball('2')],
      loads: [{ type: 'node', node: '3', fy: -1e3 }],
    },
    /Node 3 can spin about X: every member that meets there is hinged\. No load drives it, so it is held still/,
    10,
    true,
  ],
  [
    'an angle frame on two ball joints falls over',
    {
      nodes: [
        ['1', 0, 0, 0],
        ['2', 2, 3, 2],
        ['3', 4, 0, 0],
      ],
      members: [
        ['a', '1', '2'],
        ['b', '2', '3'],
      ],
      supports: [ball('1'), ball('3')],
    },
    /The whole structure, nodes 1, 2, 3, can turn about the axis along X through/,
    1,
    false,
  ],
  [
    'a part that hangs on nothing',
    {
      nodes: [...line, ['4', 0, 3, 0], ['5', 4, 3, 1]],
      members: [...chain, ['c', '4', '5']],
      supports: [clamp3('1')],
    },
    /The part with nodes 4, 5 can slide along X: this part is connected to nothing that is supported/,
    6,
    false,
  ],
];
