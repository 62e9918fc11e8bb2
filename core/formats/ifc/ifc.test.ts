import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { solve } from '../../analysis/session';
import { isFault } from '../../model/notice';
import type { Model, Section } from '../../model/model';
import { filled } from '../../sections/catalogue/fill';
import { sectionProperties } from '../../sections/section-properties';
import { dimensionedShapes, shapeKinds } from '../../shapes/registry';
import { clamp3, inRow, pin, roller, sketch } from '../../test/build';
import { foreignIfc } from '../../test/foreign-ifc';
import { ifcSchema } from '../../test/ifc-schema';
import { mutatedText, mutations } from '../../test/mutations';
import { Random } from '../../test/random';
import { randomFrame } from '../../test/random-frame';
import { underAnyLoad } from '../../test/random-loads';
import { randomSpace } from '../../test/random-space';
import { readModelFile } from '../model-file';
import { readyStep } from '../step/engine';
import { openStep, type StepFile } from '../step/read-step';
import { Reference, type StepValue } from '../step/values';
import { leftOutOf } from './left-out';
import { readIfc } from './read-ifc';
import { writeIfc, type IfcOptions } from './write-ifc';

beforeAll(() => readyStep());

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const written = (model: Model, options: IfcOptions = { share: 'none', stations: 2 }): string => [...writeIfc(model, () => solve(model), options)].join(''); // oxfmt-ignore
const read = (text: string) => filled(readIfc(bytes(text)));
const messagesOf = (text: string): string => read(text).notices.filter(isFault).map(({ message }) => message).join('\n'); // oxfmt-ignore
const example = (name: string): Model =>
  filled(readModelFile(readFileSync(path.join(__dirname, '..', '..', '..', 'examples', `${name}.rbm.json`), 'utf8'))).model!;

/** The largest difference of all displacements and reactions, beside the largest of them; names of nodes and cases stay. */
function expectSame(one: Model, other: Model): void {
  const [a, b] = [solve(one).solution!, solve(other).solution!];
  expect(b.structure.names.nodes).toEqual(a.structure.names.nodes);
  for (const [i, response] of a.responses.slice(0, one.cases.length).entries())
    for (const key of ['displacements', 'reactions', 'ends'] as const) {
      const size = Math.max(...response[key].map(Math.abs));
      const off = Math.max(...response[key].map((value, k) => Math.abs(value - b.responses[i]![key][k]!)));
      expect(off).toBeLessThan(1e-9 * size + 1e-300);
    }
}

/** The same, but for what rounding leaves of numbers. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (_, one: unknown) => (typeof one === 'number' ? Number(one.toPrecision(11)) : one));

/** There and back: the same results, and what comes back comes back again as it is. */
function thereAndBack(model: Model): Model {
  const found = read(written(model));
  expect(found.notices.filter(({ severity }) => severity !== 'note').map(({ message }) => message)).toEqual([]);
  expectSame(model, found.model!);
  expect(rounded(read(written(found.model!)).model)).toEqual(rounded(found.model));
  return found.model!;
}

describe('there and back', () => {
  test.each(['lintel', 'glasshouse-rib', 'canopy-walk'])('%s', (name) => {
    const model = example(name);
    const back = thereAndBack(model);
    for (const key of ['title', 'space', 'nodes', 'sections', 'materials', 'groups'] as const)
      expect(back[key]).toEqual(model[key]);
    expect(new Set(back.supports)).toEqual(new Set(model.supports));
    expect(back.cases).toEqual(model.cases.map(({ colour: _, ...rest }) => rest));
    expect(back.combinations).toEqual(
      model.combinations.filter(({ type }) => type === 'sum').map(({ made: _, ...rest }) => rest),
    );
  });

  test.each([
    ['in the plane', randomFrame],
    ['in space', randomSpace],
  ] as const)('random frames %s under any load, lacks of fit left out', (_, frames) => {
    fc.assert(
      fc.property(underAnyLoad(frames), (model) => {
        // What the standard has no word for is left out here as it is there.
        const sections = model.sections.map(({ Iyz: _, ...rest }): Section => ({
          ...rest,
          shape: { type: 'rectangle', h: 0.2, b: 0.1 },
        }));
        const loads = model.loads.filter(({ type }) => type !== 'strain');
        const { analysis: _, ...rest } = model;
        // Sections on their sides: in a plane our axes stay in it, those of the file turn.
        const members = model.members.map((one, i) =>
          model.space === 'plane' ? { ...one, roll: [0, 90, 180, -90][i % 4]! } : one,
        );
        thereAndBack({ ...rest, sections, loads, members });
      }),
      { numRuns: 40 },
    );
  });

  test('every shape, turned as the standard turns it, and what is built of several', () => {
    const shaped = dimensionedShapes.map((type): Section => ({ id: type, shape: { type, ...shapeKinds[type].begin } }));
    const more: Section[] = [
      { id: 'unequal', shape: { type: 'i', h: 0.4, b: 0.2, tw: 0.01, tf: 0.02, bTop: 0.3, tfTop: 0.015, r: 0.01 } },
      { id: 'legs', shape: { type: 'angle', h: 0.15, b: 0.1, t: 0.01, r: 0.012, rt: 0.006 } },
      { id: 'typed', shape: { type: 'rectangle', h: 0.3, b: 0.1 }, J: 1e-5 },
      { id: 'known', A: 0.01, Iz: 1e-4, Iy: 2e-5, J: 1e-6, Wz: 1e-3, Wy: 2e-4 },
      { id: 'IPN', catalogue: 'IPN 200' },
      {
        id: 'mirrored',
        shape: { type: 'built', parts: [{ shape: { type: 'channel', h: 0.2, b: 0.08, tw: 0.01, tf: 0.012 }, mirrored: true }] },
      },
      {
        id: 'hollow',
        shape: { type: 'built', parts: [{ outline: [[0, 0], [0.2, 0], [0.2, 0.3], [0, 0.3]], holes: [[[0.05, 0.05], [0.05, 0.2], [0.15, 0.2], [0.15, 0.05]]] }] }, // oxfmt-ignore
      },
    ];
    const sections = filled({ model: { ...sketch({ nodes: inRow(0, 1), members: [], supports: [] }), sections: [...shaped, ...more] }, notices: [] }).model!.sections; // oxfmt-ignore
    const plain = sketch({ nodes: sections.map((_, i) => [`${i}`, i, 0, 0]), members: [], supports: [] });
    const model: Model = {
      ...plain,
      space: 'space',
      nodes: [...plain.nodes, { id: 'last', x: sections.length, y: 0.5, z: 0 }],
      sections,
      members: sections.map(({ id }, i) => ({ id, start: `${i}`, end: sections[i + 1] ? `${i + 1}` : 'last', section: id, material: plain.materials[0]!.id })), // oxfmt-ignore
      supports: [clamp3('0')],
      cases: [{ id: 'Q', category: 'storage' }],
      loads: [{ id: '1', case: 'Q', type: 'node', node: 'last', fx: 1e3, fy: -2e3, fz: 500, mx: 30, my: 40, mz: 50 }],
    };
    const back = thereAndBack(model);
    for (const [i, section] of sections.entries()) {
      const [was, is] = [sectionProperties(section), sectionProperties(back.sections[i]!)];
      for (const key of ['A', 'Iz', 'Iy', 'Iyz'] as const) expect(is[key] ?? 0).toBeCloseTo(was[key] ?? 0, 11);
      if (section.shape?.type !== 'built') expect(back.sections[i]).toEqual(section);
    }
  });

  test('supports that are turned, settlements, springs, arms and trusses, in the plane and in space', () => {
    for (const space of ['plane', 'space'] as const) {
      const turn = space === 'plane' ? { angle: 30 } : { axes: { x: [1, 0.2, 0.1], y: [0, 1, 0.3] } };
      const model = sketch({
        nodes: [['1', 0, 0], ['2', 4, 1], ['3', 8, 0], ['4', 4, 3]], // oxfmt-ignore
        members: [
          ['a', '1', '2', { offset: { start: [0.2, 0.1, 0], end: [0, -0.1, 0] } }],
          ['b', '2', '3', { releases: { start: { mz: 4e5 } } }],
          ['c', '2', '4', { behaviour: 'truss' }],
        ],
        supports: [
          { ...(space === 'plane' ? pin('1') : clamp3('1')), ...turn },
          space === 'plane' ? roller('3') : { ...clamp3('3'), ux: 2e6 },
          space === 'plane' ? pin('4') : { node: '4', ux: 'fixed', uy: 'fixed', uz: 'fixed' },
        ],
        loads: [{ type: 'settlement', node: '1', ux: 0.001, uy: -0.003 }, { type: 'node', node: '2', fy: -5e3 }], // oxfmt-ignore
      });
      thereAndBack({ ...model, space });
    }
  });
});

describe('what is written', () => {
  const everything = (): string[] => [
    ...['lintel', 'glasshouse-rib', 'canopy-walk'].map((name) => written(example(name), { share: 'all', stations: 5 })),
    ...fc
      .sample(underAnyLoad(randomSpace), { numRuns: 5, seed: 7 })
      .map((model) => written(model, { share: 'reactions', stations: 2 })),
  ];

  test('has nothing but what the schema has: references that exist and fit, and each attribute that must be there; names are given once', () => {
    const rules = new Map(Object.entries(ifcSchema).map(([type, rule]) => [type.toUpperCase(), rule]));
    const found: string[] = [];
    for (const text of everything()) {
      const file = openStep(bytes(text)) as StepFile;
      const guids = new Set<string>();
      for (const { id, type } of file.places) {
        const entity = file.entity(id);
        if (typeof entity === 'string') throw new Error(entity);
        const rule = rules.get(type);
        if (!rule) throw new Error(`no rule for ${type}`);
        for (const name of rule.must) if (entity.attributes[name] === null) found.push(`${type} without ${name}`);
        const { GlobalId } = entity.attributes;
        if (typeof GlobalId === 'string' && (!/^[0-3][\w$]{21}$/.test(GlobalId) || guids.size === guids.add(GlobalId).size)) found.push(`${type} ${GlobalId}`); // oxfmt-ignore
        for (const [name, value] of Object.entries(entity.attributes))
          for (const one of referencesIn(value)) {
            const to = file.entity(one);
            const allowed = rule.to?.[name] ?? (type === 'IFCRELCONNECTSWITHECCENTRICITY' ? ['IfcStructuralCurveMember', 'IfcStructuralPointConnection'] : []); // oxfmt-ignore
            if (typeof to === 'string' || !allowed.some((each) => each.toUpperCase() === to.type)) found.push(`${type}.${name} to ${typeof to === 'string' ? to : to.type}`); // oxfmt-ignore
          }
      }
      file.close();
    }
    expect([...new Set(found)]).toEqual([]);
  });

  // There and back would not tell what is turned the same wrong way twice.
  test('says in the axes of the standard what is meant: z up, the height of a section along z, its y to the left as one looks along it', () => {
    const base = sketch({
      nodes: [['1', 0, 0, 0], ['2', 4, 0, 0], ['3', 8, 0, 3]], // oxfmt-ignore
      members: [
        ['a', '1', '2', { releases: { end: { my: 'free' } } }],
        ['b', '2', '3', { section: 'u', releases: { start: { mz: 712345 } } }],
      ],
      supports: [{ node: '1', ux: 'fixed', uy: 'fixed', uz: 'free', rx: 3e4 }, { ...clamp3('3'), uz: 2.5e6 }], // oxfmt-ignore
      loads: [
        { type: 'node', node: '2', fy: -1000, fz: 500, mz: 20 },
        { type: 'thermal', member: 'a', uniform: 5, gradientY: 10, gradientZ: 30 },
        { type: 'point', member: 'a', at: 0.5, axes: 'local', fy: -70, fz: 40 },
      ],
    });
    const sections: Section[] = [
      { id: 's', shape: { type: 'rectangle', h: 0.2, b: 0.1 } },
      { id: 'u', shape: { type: 'channel', h: 0.2, b: 0.075, tw: 0.0085, tf: 0.0115 } },
      { id: 'l', shape: { type: 'angle', h: 0.15, b: 0.1, t: 0.01 } },
    ];
    const text = written({ ...base, sections });
    for (const line of [
      'IFCCARTESIANPOINT((8.,-3.,0.))',
      'IFCBOUNDARYNODECONDITION($,IFCBOOLEAN(.T.),IFCBOOLEAN(.F.),IFCBOOLEAN(.T.),IFCROTATIONALSTIFFNESSMEASURE(30000.),IFCBOOLEAN(.F.),IFCBOOLEAN(.F.))',
      'IFCBOUNDARYNODECONDITION($,IFCBOOLEAN(.T.),IFCLINEARSTIFFNESSMEASURE(2500000.),IFCBOOLEAN(.T.),',
      // Joints: bending about our y is about z there, that about our z about y.
      'IFCBOUNDARYNODECONDITION($,IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.F.))',
      'IFCBOUNDARYNODECONDITION($,IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCROTATIONALSTIFFNESSMEASURE(712345.),IFCBOOLEAN(.T.))',
      'IFCSTRUCTURALLOADSINGLEFORCE($,0.,-500.,-1000.,0.,-20.,0.)',
      'IFCSTRUCTURALLOADSINGLEFORCE($,0.,-40.,-70.,0.,0.,0.)',
      // 10 K/m over 0.2 m upwards; 30 K/m over 0.1 m, to the other side.
      'IFCSTRUCTURALLOADTEMPERATURE($,5.,-3.,2.)',
      "IFCRECTANGLEPROFILEDEF(.AREA.,'s',$,0.1,0.2)",
    ])
      expect(text).toContain(line);
    const inertia = /'MomentOfInertiaY',\$,IFCMOMENTOFINERTIAMEASURE\(([\d.E+-]+)\)/.exec(text)![1];
    expect(Number(inertia)).toBeCloseTo((0.1 * 0.2 ** 3) / 12, 12);
    const turned = (type: string): string => new RegExp(`${type}\\(\\.AREA\\.,'\\w+',#(\\d+)(.*)`).exec(text)!.slice(1).join(''); // oxfmt-ignore
    const direction = (type: string): string => {
      const placement = /^\d+/.exec(turned(type))![0];
      const [, way] = new RegExp(`#${placement}=IFCAXIS2PLACEMENT2D\\(#\\d+,#(\\d+)\\)`).exec(text)!;
      return new RegExp(`#${way}=IFCDIRECTION\\((.*?)\\);`).exec(text)![1]!;
    };
    // A U opens to the right of its own axes: ours does to the left of them. The corner of an L is at the lower left, ours at the lower right.
    expect([direction('IFCUSHAPEPROFILEDEF'), direction('IFCLSHAPEPROFILEDEF')]).toEqual(['(-1.,0.)', '(0.,1.)']);
    expect(turned('IFCLSHAPEPROFILEDEF')).toMatch(/,0\.1,0\.15,0\.01,/);
  });

  test('of a section laid on its side in a plane the axes lie with it, and what is meant in the plane is about z', () => {
    const lying = sketch({
      nodes: inRow(0, 4),
      members: [['a', '1', '2', { roll: 90, releases: { end: { mz: 'free' } } }]],
      supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }, roller('2')],
      loads: [{ type: 'point', member: 'a', at: 0.5, axes: 'local', fy: -70 }],
    });
    const text = written(lying);
    expect(text).toContain('IFCBOUNDARYNODECONDITION($,IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),$,$,$,IFCBOOLEAN(.F.))');
    expect(text).toContain('IFCSTRUCTURALLOADSINGLEFORCE($,0.,-70.,0.,0.,0.,0.)');
    expect(text).toMatch(/IFCDIRECTION\(\(0\.,-1\.,0\.\)\)/);
  });

  test('is the same for the same model, and says what it leaves out', () => {
    const model = example('canopy-walk');
    expect(written(model)).toBe(written(model));
    const structures = [
      { id: 'It', type: 'beam', values: { spans: [4] }, origin: [0, 0, 0] as const, nodes: ['1'], members: [] },
    ];
    const kept = leftOutOf({ ...model, analysis: { axialDeformation: false }, structures }).join(' ');
    expect(kept).toMatch(/axial deformation is neglected is not said.*the measures of typical structures/);
    expect(leftOutOf(model).join(' ')).toMatch(/1 envelope is left out/);
    const strained: Model = { ...model, gravity: 1.62, loads: [{ id: '1', case: model.cases[0]!.id, type: 'strain', member: model.members[0]!.id, elongation: 1e-3 }] }; // oxfmt-ignore
    expect(leftOutOf(strained).join(' ')).toMatch(/lack of fit.*Gravity is 1\.62/s);
  });

  test('forces along members are those on the face that looks towards the end, reactions those of the supports', () => {
    const model = sketch({
      nodes: [['1', 0, 0, 0], ['2', 3, 0, 0]], // oxfmt-ignore
      members: [['a', '1', '2']],
      supports: [clamp3('1')],
      loads: [{ type: 'node', node: '2', fx: 700, fy: -1000, fz: 500, mx: 60, my: 70, mz: 80 }],
    });
    const file = openStep(bytes(written(model, { share: 'all', stations: 2 }))) as StepFile;
    const forces = file.places.flatMap(({ id, type }) => (type === 'IFCSTRUCTURALLOADSINGLEFORCE' ? [file.entity(id)] : []));
    const numbers = (one: unknown): number[] => Object.values((one as { attributes: Record<string, { value?: number } | null> }).attributes).flatMap((value) => (typeof value?.value === 'number' ? [value.value] : [])); // oxfmt-ignore
    // At its end the member feels what acts there: along x, −z and y.
    const [, reaction, , end] = forces.map(numbers);
    for (const [i, value] of [700, -500, -1000, 60, -80, 70].entries()) expect(end![i]).toBeCloseTo(value, 6);
    for (const [i, value] of [-700, 500, 1000].entries()) expect(reaction![i]).toBeCloseTo(value, 6);
    file.close();
  });
});

const referencesIn = (value: StepValue): number[] =>
  Array.isArray(value) ? value.flatMap((one: StepValue) => referencesIn(one)) : value instanceof Reference ? [value.id] : [];

describe('what is read of others', () => {
  /** A cantilever of 3 m with a force at its tip, in millimetres and kilonewtons, Y up in its plane. */
  let foreign: string;
  beforeAll(() => {
    foreign = written(
      sketch({ nodes: inRow(0, 3), members: [['a', '1', '2']], supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }], loads: [{ type: 'node', node: '2', fy: -2e3 }] }), // oxfmt-ignore
    );
  });

  test('numbers are in the units that the file says; one that it does not say is a fault', () => {
    const scaled = foreign
      .replace('.LENGTHUNIT.,$,.METRE.', '.LENGTHUNIT.,.MILLI.,.METRE.')
      .replace('.FORCEUNIT.,$,.NEWTON.', '.FORCEUNIT.,.KILO.,.NEWTON.')
      .replaceAll('(3.,0.,0.)', '(3000.,0.,0.)');
    const { model } = read(scaled);
    expect(model!.nodes[1]).toMatchObject({ x: 3, y: 0 });
    expect(model!.loads[0]).toMatchObject({ fy: -2e6 });
    // Units that are made of others follow them: N/mm² is MPa.
    expect(model!.materials[0]!.E).toBe(200e9 * 1e3 * 1e6);
    expect(messagesOf(scaled.replace(/IFCDERIVEDUNIT\(\((#\d+,#\d+)\),\.MODULUSOFELASTICITYUNIT\./, 'IFCDERIVEDUNIT(($1),.COMPOUNDPLANEANGLEUNIT.').replace('.PRESSUREUNIT.', '.POWERUNIT.'))).toMatch(/needs a unit that the file does not say: MODULUSOFELASTICITYUNIT/); // oxfmt-ignore
  });

  test('a beam as others write it is the beam of the textbook', () => {
    const { model, notices } = read(foreignIfc);
    expect(notices.map(({ message }) => message)).toEqual([]);
    expect(model).toMatchObject({
      ...{ title: 'Potting bench', space: 'plane', nodes: [{ id: 'left', x: 1, y: 0.5 }, { id: 'right', x: 7, y: 0.5 }] }, // oxfmt-ignore
      members: [{ id: 'beam', start: 'left', end: 'right', section: '100 x 200', releases: { end: { mz: 'free' } } }],
      sections: [{ shape: { type: 'rectangle', h: 0.2, b: 0.1 } }],
      materials: [{ id: 'GL 24', E: 11.5e9, density: 385 }],
      supports: [{ node: 'left', ux: 'fixed', uy: 'fixed', rz: 'fixed' }, { node: 'right', uy: 'fixed' }], // oxfmt-ignore
      cases: [{ id: 'Soil and pots', category: 'imposed', selfWeight: 1 }],
      loads: [{ id: 'pot', at: 2, fy: -12e3, mz: 1.5e3 }, { id: 'soil', axes: 'local', from: { at: 0, wy: -2e3 }, to: { at: 6, wy: -5e3 } }], // oxfmt-ignore
      combinations: [{ id: 'ULS 1', factors: { 'Soil and pots': 1.5 }, limitState: 'strength' }],
    });
    // Right reaction of a propped cantilever: P a²(3L − a)/2L³, 3 w L/8, 11 w₂ L/40, and −3 M a(2L − a)/2L³ of the couple, which turns the left way.
    const [L, a, weight] = [6, 2, 385 * 0.02 * 9.80665];
    const right = (12e3 * a ** 2 * (3 * L - a)) / (2 * L ** 3) + (3 / 8) * (2e3 + weight) * L + (11 / 40) * 3e3 * L - (3 * 1500 * a * (2 * L - a)) / (2 * L ** 3); // oxfmt-ignore
    const { structure, responses } = solve(model!).solution!;
    expect(responses[0]!.reactions[6 * structure.names.nodes.indexOf('right') + 1]).toBeCloseTo(right, 4);
  });

  test.each([
    [() => '', /does not begin as STEP files do/],
    [() => foreign.slice(0, -30), /has no end/],
    [() => foreign.replace('IFC4X3_ADD2', 'IFC2X3'), /IFC2X3: IFC 4 and IFC 4\.3 are read/],
    [() => foreign.replace('IFC4X3_ADD2', 'AP203'), /cannot be read as a file of IFC/],
    [() => foreign.replace(/#1=/, '#2='), /Line \d+: #2 stands there twice, in line \d+ as well/],
    [() => foreign.replace('IFCEDGE(', 'IFCBOGUS('), /is not understood/],
    [
      () =>
        foreignIfc
          .replace('.RIGID_JOINED_MEMBER.', '.PIN_JOINED_MEMBER.')
          .replace('IFCBOOLEAN(.T.),IFCBOOLEAN(.F.),IFCBOOLEAN(.T.)', 'IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.)'),
      /holds the bending of a member that is hinged/,
    ],
    [() => foreignIfc.replace(/(#92=.*?)\$,\$\);/, '$11.35,$);'), /IfcStructuralLoadGroup “pots” multiplies its loads by 1\.35/],
    [
      () =>
        foreignIfc
          .replace('.LOCAL_COORDS.,$,.TRUE_LENGTH.', '.GLOBAL_COORDS.,$,.PROJECTED_LENGTH.')
          .replace("('w',$,$,-2.", "('w',1.,-2.,$"),
      /projected length in several directions/,
    ],
    [
      () =>
        foreignIfc
          .replace('IFCRELCONNECTSSTRUCTURALMEMBER(', 'IFCRELCONNECTSWITHECCENTRICITY(')
          .replace('#59,#52,$,$,$,$)', '#59,#52,$,$,$,$,#99)')
          .replace('ENDSEC;\nEND', '#99=IFCCONNECTIONPOINTECCENTRICITY(#44,$,$,$,120.);\nENDSEC;\nEND'),
      /“beam” is eccentric by numbers/,
    ],
    [
      () => foreign.replace('.RIGID_JOINED_MEMBER.', '.CABLE.'),
      /IfcStructuralCurveMember “a” acts in a way that is not known \(CABLE\)/,
    ],
    [
      () => foreign.replace(/IFCSTRUCTURALANALYSISMODEL\('.*?'/, (all) => `${all},$`),
      /Line \d+: what stands here is damaged: #\d+ is not understood/,
    ],
    [
      () => foreign.replace(/(IFCBOUNDARYNODECONDITION\(.*?)\);/, '$1,$);'),
      /#\d+ has 8 attributes, where IFCBOUNDARYNODECONDITION has 7/,
    ],
    [() => foreign.replace(/(IFCMATERIALPROFILESETUSAGE\(#\d+),10/, '$1,8'), /cardinal point 8 of the section/],
    [() => foreign.replace('YoungModulus', 'Stiffness'), /IfcMaterial “m” lacks YoungModulus/],
    [() => foreign.replace(/#\d+=IFCRELASSOCIATESMATERIAL.*\n/, ''), /“a” has no section/],
    [() => foreign.replace('IFCSTRUCTURALLOADSINGLEFORCE', 'IFCSTRUCTURALLOADSINGLEFORCEWARPING').replace(/(WARPING\(.*?)\);/, '$1,$);'), /kind that is not understood \(IfcStructuralLoadSingleForceWarping\)/], // oxfmt-ignore
  ])('faults have words and a line (%#)', (changed, words) => {
    const text = changed();
    expect(text).not.toBe(foreign);
    expect(messagesOf(text)).toMatch(words);
    expect(read(text).model).toBeUndefined();
  });

  test('what has no place in a model is told with its line', () => {
    const more = foreign.replace('ENDSEC;\nEND', "#9001=IFCWALL('0000000000000000000000',$,'W',$,$,$,$,$,$);\n#9002=IFCSTRUCTURALSURFACEMEMBER('0000000000000000000001',$,'slab',$,$,$,$,.SHELL.,0.2);\nENDSEC;\nEND"); // oxfmt-ignore
    const { model, notices } = read(more);
    expect(model!.members).toHaveLength(1);
    const messages = notices.map(({ message }) => message).join('\n');
    expect(messages).toMatch(/IfcWall has no place in a model of members and is left out \(1 time, first in line \d+\)/);
    expect(messages).toMatch(/Line \d+: 1 member is a surface and left out, with what acts there; the first is “slab”/);
  });

  test('a file with something wrong ends in words or in what it holds', async () => {
    const chance = new Random(20261129);
    const kinds = new Set<string>();
    for (let i = 0; i < mutations(120); i++) {
      const text = mutatedText(foreign, chance);
      await readyStep();
      const { model, notices } = read(text);
      kinds.add(model ? 'read' : 'refused');
      if (!model) expect(notices.some(isFault)).toBe(true);
      for (const { message } of notices) expect(message).not.toMatch(/undefined|NaN|\[object/);
    }
    expect([...kinds].sort()).toEqual(['read', 'refused']);
  });
});
