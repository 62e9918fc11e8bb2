import { describe, expect, test } from '@jest/globals';
import { noticesOf, soundModel } from '../test/faults';
import { checkModel } from './check';

type Spoil = (model: Record<string, Record<string, unknown>[]> & Record<string, unknown>) => void;

/** What is done to a sound model, and where and how the fault must be told. */
const rules: readonly (readonly [string, Spoil, string, RegExp])[] = [
  ['a broken section', (m) => (m.members![1]!.section = 'none'), 'members[1].section', /no section “none”/],
  ['a broken material', (m) => (m.members![0]!.material = 'none'), 'members[0].material', /no material/],
  ['a broken node', (m) => (m.members![0]!.end = '9'), 'members[0].end', /no node “9”/],
  ['a support without its node', (m) => (m.supports![0]!.node = '9'), 'supports[0].node', /no node/],
  ['a load of no case', (m) => (m.loads![0]!.case = 'X'), 'loads[0].case', /no case “X”/],
  ['a load on no member', (m) => (m.loads![0]!.member = 'z'), 'loads[0].member', /no member “z”/],
  [
    'a sum of nothing known',
    (m) => (m.combinations![0]!.factors = { X: 1 }),
    'combinations[0].factors.X',
    /no case or combination/,
  ],
  ['two nodes of one id: the second', (m) => (m.nodes![2]!.id = '1'), 'nodes[2].id', /already a node “1”/],
  ['two members of one id', (m) => (m.members![1]!.id = 'a'), 'members[1].id', /already a member/],
  [
    'a combination named like a case',
    (m) => (m.combinations![0]!.id = 'Q'),
    'combinations[0].id',
    /already a case or combination/,
  ],
  [
    'an action of nothing known',
    (m) => (m.actions = [{ id: 'A', type: 'either', of: ['X'] }]),
    'actions[0].of[0]',
    /no case or action “X”/,
  ],
  ['a train without an axle', (m) => (m.trains = [{ id: 'T', axles: [], spacings: [] }]), 'trains[0].axles', /1 to 200 axles/],
  [
    'a train with a spacing too few',
    (m) => (m.trains = [{ id: 'T', axles: [9e4, 9e4, 6e4], spacings: [1.2] }]),
    'trains[0].spacings',
    /3 axles, between which there are 2 spacings/,
  ],
  [
    'an axle that pulls',
    (m) => (m.trains = [{ id: 'T', axles: [-1], spacings: [] }]),
    'trains[0].axles[0]',
    /greater than 0|positive/,
  ],
  [
    'a spacing that varies behind the last axle',
    (m) => (m.trains = [{ id: 'T', axles: [1, 1], spacings: [2], varies: { behind: 1, most: 3 } }]),
    'trains[0].varies.behind',
    /no spacing behind this axle/,
  ],
  [
    'a spacing that varies downwards',
    (m) => (m.trains = [{ id: 'T', axles: [1, 1], spacings: [2], varies: { behind: 0, most: 2 } }]),
    'trains[0].varies.most',
    /goes up from its least value/,
  ],
  [
    'two trains of one name',
    (m) => (m.trains = [{ id: 'T', axles: [1], spacings: [] }, { id: 'T', axles: [1], spacings: [] }]), // oxfmt-ignore
    'trains[1].id',
    /already a train “T”/,
  ],
  ['an action in itself', (m) => (m.actions = [{ id: 'A', type: 'either', of: ['Q', 'A'] }]), 'actions[0].of', /part of itself/],
  [
    'a case in two actions',
    (m) =>
      (m.actions = [
        { id: 'A', type: 'both signs', of: ['Q'] },
        { id: 'B', type: 'either', of: ['Q'] },
      ]),
    'actions[1].of[0]',
    /belongs to “A” already/,
  ],
  [
    'an action of two categories',
    (m) => {
      m.cases!.push({ id: 'S', category: 'snow' });
      m.actions = [{ id: 'A', type: 'together', of: ['Q', 'S'] }];
    },
    'actions[0].of',
    /several categories/,
  ],
  [
    'an action in too many ways',
    (m) => {
      const all = Array.from({ length: 8 }, (_, i) => `C${i}`);
      m.cases!.push(...all.map((id) => ({ id, category: 'wind' })));
      m.actions = [
        ...all.map((id) => ({ id: `±${id}`, type: 'both signs', of: [id] })),
        { id: 'A', type: 'together', of: all.map((id) => `±${id}`) },
      ];
    },
    'actions[8].of',
    /256 ways, and 200 is the most/,
  ],
  ['two supports of one node', (m) => (m.supports![1]!.node = '1'), 'supports[1].node', /already/],
  ['a member without length', (m) => (m.nodes![1]!.x = 0), 'members[0]', /has no length/],
  ['a member from a node to itself', (m) => (m.members![0]!.end = '1'), 'members[0].end', /ends at the node where it begins/],
  [
    'a member from a node to itself, over its arms',
    (m) => Object.assign(m.members![0]!, { end: '1', offset: { end: [1, 0, 0] } }),
    'members[0].end',
    /ends at the node where it begins/,
  ],
  ['a member whose arms meet', (m) => (m.members![0]!.offset = { start: [4, 0, 0] }), 'members[0]', /has no length/],
  ['a number beyond all measure', (m) => (m.nodes![0]!.x = 1e300), 'nodes[0].x', /not finite/],
  ['a text for a number', (m) => (m.nodes![0]!.x = 'left'), 'nodes[0].x', /unit “left” is not known/],
  ['a unit of the wrong dimension', (m) => (m.nodes![0]!.x = '3 kN'), 'nodes[0].x', /not that of a length/],
  ['a number in quotes without a unit', (m) => (m.nodes![0]!.x = '3'), 'nodes[0].x', /unit is missing/],
  ['E of zero', (m) => (m.materials![0]!.E = 0), 'materials[0].E', /greater than 0/],
  ['a negative A', (m) => (m.sections![0]!.A = -1), 'sections[0].A', /greater than 0/],
  ['a negative spring', (m) => (m.supports![1]!.uy = -5), 'supports[1].uy', /negative stiffness/],
  ['a node out of the plane', (m) => (m.nodes![0]!.z = 2), 'nodes[0].z', /out of plane/],
  ['a support out of the plane', (m) => (m.supports![0]!.rx = 'fixed'), 'supports[0].rx', /out of plane/],
  [
    'a release out of the plane',
    (m) => (m.members![0]!.releases = { end: { my: 'free', rx: 5 } }),
    'members[0].releases.end.rx',
    /out of plane/,
  ],
  ['a load out of the plane', (m) => (m.loads![1]!.fz = 3), 'loads[1].fz', /out of plane/],
  ['an intensity out of the plane', (m) => (m.loads![0]!.from = { wz: 3 }), 'loads[0].from.wz', /out of plane/],
  ['a roll in between', (m) => (m.members![0]!.roll = 45), 'members[0].roll', /upright or lie on its side/],
  ['a position beyond 1', (m) => (m.loads![1]!.at = 1.2), 'loads[1].at', /outside member “b”/],
  ['a position beyond the length', (m) => Object.assign(m.loads![1]!, { at: 4.01, measure: 'length' }), 'loads[1].at', /outside/],
  ['a negative position', (m) => (m.loads![0]!.from = { at: -0.1 }), 'loads[0].from.at', /outside/],
  [
    'a load that begins behind its end',
    (m) => Object.assign(m.loads![0]!, { from: { at: 0.8 }, to: { at: 0.2 } }),
    'loads[0].from.at',
    /behind its own end/,
  ],
  [
    'an envelope of itself',
    (m) => m.combinations!.push({ id: 'E', type: 'envelope', of: ['Q', 'E'] }),
    'combinations[1].of',
    /refers to itself/,
  ],
  [
    'a circle of sums',
    (m) => m.combinations!.push({ id: 'A', type: 'sum', factors: { B: 1 } }, { id: 'B', type: 'sum', factors: { A: 1 } }),
    'combinations[2].factors',
    /refers to itself/,
  ],
  [
    'a sum of an envelope',
    (m) => m.combinations!.push({ id: 'E', type: 'envelope', of: ['Q'] }, { id: 'S', type: 'sum', factors: { E: 1 } }),
    'combinations[2].factors.E',
    /is an envelope/,
  ],
  [
    'a settlement where nothing is held',
    (m) => m.loads!.push({ case: 'Q', type: 'settlement', node: '2', ux: 0.01 }),
    'loads[2].ux',
    /not held in ux/,
  ],
  [
    'a support with angle and axes',
    (m) => Object.assign(m.supports![0]!, { angle: 10, axes: { x: [1, 0, 0], y: [0, 1, 0] } }),
    'supports[0].axes',
    /not by both/,
  ],
  ['an unknown load type', (m) => (m.loads![0]!.type = 'cloud'), 'loads[0].type', /type is not known/],
  ['an unknown category', (m) => (m.cases![0]!.category = 'heavy'), 'cases[0].category', /not one of the choices/],
  ['an unknown shape', (m) => (m.sections![0]!.shape = { type: 'star' }), 'sections[0].shape.type', /not one of the choices/],
  ['an id of no letters', (m) => (m.nodes![0]!.id = ''), 'nodes[0].id', /1 to 64 characters/],
  ['an id that is a number', (m) => (m.nodes![0]!.id = 1), 'nodes[0].id', /Write "1"/],
  ['a missing key', (m) => delete m.members![0]!.start, 'members[0].start', /“start” is missing/],
  ['a list that is none', (m) => (m.nodes = { id: '1' } as never), 'nodes', /A list was expected/],
  ['an entry that is none', (m) => (m.nodes![0] = 7 as never), 'nodes[0]', /An object was expected/],
  ['no space', (m) => delete m.space, 'space', /“space” is missing/],
  ['another format', (m) => Object.assign(m, { format: 'other' }), 'format', /not a model file/],
  ['another version', (m) => Object.assign(m, { version: 2 }), 'version', /version of the model format is not known/],
];

describe('faults of a model', () => {
  test('a sound model has none', () => expect(noticesOf(soundModel())).toEqual([]));

  test.each(rules)('%s', (_, spoil, path, words) => {
    const model = soundModel();
    spoil(model as never);
    const found = noticesOf(model).filter((notice) => notice.path === path);
    expect(found.map(({ message }) => message).join()).toMatch(words);
    expect(found[0]).toMatchObject({
      severity: 'error',
      remedy: expect.stringMatching(/./),
      expected: expect.stringMatching(/./),
    });
    expect(checkModel(model).model).toBeUndefined();
  });

  test('all faults of a file are told at once', () => {
    const model = soundModel();
    for (const [, spoil] of rules.slice(0, 12)) spoil(model as never);
    const paths = noticesOf(model).map(({ path }) => path);
    for (const path of [
      'members[1].section',
      'members[0].end',
      'supports[0].node',
      'loads[0].case',
      'nodes[2].id',
      'members[1].id',
    ])
      expect(paths).toContain(path);
  });

  test('a flood of faults is cut short, and says so', () => {
    const model = soundModel();
    const nodes = Array.from({ length: 3000 }, () => ({ id: '', x: 'x', y: null }));
    const notices = noticesOf({ ...model, nodes });
    expect(notices).toHaveLength(1001);
    expect(notices.at(-1)).toMatchObject({ severity: 'error', message: expect.stringMatching(/further notices are not listed/) });
  });
});

describe('what is accepted', () => {
  test('quantities become SI; roll and angle stay degrees, other rotations radians', () => {
    const model = soundModel() as Record<string, Record<string, unknown>[]>;
    model.nodes![1]!.x = '13 ft';
    model.members![0]!.roll = '1.5707963267948966 rad';
    model.supports![2]!.angle = '30 deg';
    model.supports![2]!.rz = '850 kN·m/rad';
    model.loads!.push({ case: 'Q', type: 'settlement', node: '3', rz: '0.1 deg' });
    const read = checkModel(model).model!;
    expect(read.nodes[1]!.x).toBeCloseTo(3.9624, 12);
    expect(read.members[0]!.roll).toBeCloseTo(90, 12);
    expect(read.supports[2]).toMatchObject({ rz: 850e3 });
    expect(read.supports[2]!.angle).toBeCloseTo(30, 12);
    expect(read.loads[2]).toMatchObject({ rz: Math.PI / 1800 });
  });

  test('unknown keys are noted, and kept', () => {
    const model = {
      ...soundModel(),
      author: 'M. Gardener',
      nodes: soundModel().nodes!.map((node: object) => ({ ...node, colour: 'red' })),
    };
    const { model: read, notices } = checkModel(model);
    expect(notices.map(({ path, severity }) => `${severity} ${path}`)).toEqual([
      'note author',
      'note nodes[0].colour',
      'note nodes[1].colour',
      'note nodes[2].colour',
    ]);
    expect(read).toMatchObject({ author: 'M. Gardener', nodes: [{ colour: 'red' }, { colour: 'red' }, { colour: 'red' }] });
  });

  test('out-of-plane keys of 0, "free" or the default are no fault', () => {
    const model = soundModel() as Record<string, Record<string, unknown>[]>;
    model.nodes![0]!.z = 0;
    model.supports![0]!.rx = 'free';
    model.loads![1]!.fz = 0;
    model.members![0]!.releases = { start: { my: 'fixed', rx: 'fixed', mz: 'free' } };
    expect(noticesOf(model)).toEqual([]);
  });
});
