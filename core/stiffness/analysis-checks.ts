import { once } from '../once';
import { expandLoads } from '../model/loads/expand';
import { forceSenseOf } from '../model/behaviour';
import { gappedJoints } from '../model/member-ends';
import type { Model, Section } from '../model/model';
import { fault, type Notice } from '../model/notice';
import { sectionProperties } from '../sections/section-properties';
import { shapeFault } from '../sections/shape-fault';
import { MeshTrouble } from '../sections/mesh/mesh';
import { isFromMesh, neededKeys, stiffnessProperties } from '../sections/stiffness-properties';
import { patternFaults } from '../model/patterns/amounts';
import { freedoms } from '../model/freedoms';
import { supportAxes } from '../model/local-axes';
import { keptLengthFaults } from './kept-length-faults';
import { loadAmountFaults } from './load-amounts';

/**
 * What keeps a sound model from being solved: nothing there, no support, a section without the properties that its members
 * need, and features of the format that this version does not analyse yet, each refused by name.
 */
export function analysisFaults(model: Model): Notice[] {
  const { members, sections, materials, supports, space, analysis } = model;
  return [
    ...emptinessFaults(model),
    ...frameFaults(members, sections, materials, space, analysis?.axialDeformation === false ? 'kept' : 'changing'),
    ...axesFaults(supports, space),
    ...keptLengthFaults(model),
    ...meshFaults(members, sections, neededKeys(model)),
    ...thermalFaults(model),
    ...loadAmountFaults(model),
    ...patternFaults(model),
  ];
}

/** The parts of a model that tell what its members need. */
type Frame = Pick<Model, 'members' | 'sections' | 'materials' | 'space'> & {
  /** Members that keep their lengths need no area. */
  readonly lengths: 'kept' | 'changing';
};

const frameFaults = once(
  (
    members: Model['members'],
    sections: Model['sections'],
    materials: Model['materials'],
    space: Model['space'],
    lengths: Frame['lengths'],
  ): readonly Notice[] => {
    const frame: Frame = { members, sections, materials, space, lengths };
    return [...featureFaults(frame), ...sectionFaults(frame), ...productFaults(frame), ...torsionFaults(frame)];
  },
);

function emptinessFaults(model: Model): Notice[] {
  if (model.members.length === 0) {
    return [
      fault({
        code: 'no-members',
        path: 'members',
        value: undefined,
        what: 'There is no member yet',
        expected: 'at least one member',
        remedy: 'Draw a member between two nodes',
      }),
    ];
  }
  const holds = model.supports.some((support) => freedoms.some((freedom) => isHeld(support[freedom])));
  if (holds) return [];
  return [
    fault({
      code: 'no-support',
      path: 'supports',
      value: undefined,
      what: 'Nothing holds the structure: there is no support',
      expected: 'at least one support',
      remedy: `Support a node, for example node ${model.nodes[0]?.id ?? '1'}`,
      subjects: model.nodes.slice(0, 1).map((node) => `node ${node.id}`),
    }),
  ];
}

const isHeld = (restraint: unknown): boolean => restraint === 'fixed' || (typeof restraint === 'number' && restraint > 0);

/** Files are filled from the catalogue when they are read; an edit may still give nothing but a designation. */
const isOnlyNamed = ({ catalogue, shape, A }: Section): boolean =>
  catalogue !== undefined && shape === undefined && A === undefined;

/** Each member that acts one way, and each way of a joint with a gap, brings results of all members: so many of them are held at once. */
const MOST_ONE_SIDED = 1e6;

function featureFaults(model: Frame): Notice[] {
  const found: Notice[] = [];
  const counts = model.members.map((member) => Number(forceSenseOf(member) !== 0) + 2 * gappedJoints(member).length);
  const oneSided = counts.reduce((sum, one) => sum + one, 0);
  const most = Math.floor(MOST_ONE_SIDED / Math.max(1, model.members.length));
  if (oneSided > most)
    found.push(
      fault({
        code: 'too-many-one-sided',
        path: 'members',
        value: oneSided,
        what: `${oneSided} ties, struts and ways of joints with gaps act one way, in ${model.members.length} members`,
        expected: `at most ${most} in so many`,
        remedy: 'Make those truss members that are pulled, or pushed, whatever acts, and close gaps that do not matter',
      }),
    );
  model.sections.forEach((section, i) => {
    if (isOnlyNamed(section)) {
      found.push(
        fault({
          code: 'only-named',
          path: `sections[${i}].catalogue`,
          value: section.catalogue,
          what: `Section “${section.id}” is only called by a designation here`,
          expected: 'a shape or properties',
          remedy: 'Choose it from the catalogue in Sections, or give its shape or its properties',
          subjects: [`section ${section.id}`],
        }),
      );
    }
  });
  return found;
}

function sectionFaults(model: Frame): Notice[] {
  const found: Notice[] = [];
  const used = new Set(model.members.map(({ section }) => section));
  const bent = new Set(model.members.filter(({ behaviour }) => (behaviour ?? 'frame') === 'frame').map(({ section }) => section));
  model.sections.forEach((section, i) => {
    const path = `sections[${i}]`;
    const shapeTrouble = section.shape && shapeFault(section.shape);
    if (shapeTrouble) {
      found.push(
        fault({
          code: 'bad-shape',
          path: `${path}.shape`,
          value: section.shape,
          what: `The shape of section “${section.id}” cannot be built: ${shapeTrouble}`,
          expected: 'dimensions that fit together',
          remedy: 'Correct the dimensions',
          subjects: [`section ${section.id}`],
        }),
      );
      return;
    }
    if (!used.has(section.id) || isOnlyNamed(section)) return;
    const needs = (bent.has(section.id) ? neededInBending(model, section) : (['A'] as const)).filter(
      (key) => !(model.lengths === 'kept' && key === 'A'),
    );
    for (const key of needs) {
      // A mesh tells it.
      if (key === 'J' && isFromMesh(section)) continue;
      if (sectionProperties(section)[key] !== undefined) continue;
      found.push(
        fault({
          code: 'missing-property',
          path: `${path}.${key}`,
          value: undefined,
          what: `Section “${section.id}” has no ${key}, and its members need it`,
          expected: `${key} greater than 0`,
          remedy: `Give ${key}, or a shape`,
          subjects: [`section ${section.id}`],
        }),
      );
    }
  });
  return found;
}

/** Sections of which a mesh should tell what members need, and cannot be made. */
const meshFaults = once(
  (members: Model['members'], sections: Model['sections'], needed: ReturnType<typeof neededKeys>): readonly Notice[] => {
    const used = new Set(members.map(({ section }) => section));
    return sections.flatMap((section, i) => {
      try {
        if (used.has(section.id)) stiffnessProperties(section, needed);
        return [];
      } catch (trouble) {
        if (!(trouble instanceof MeshTrouble)) throw trouble;
        return [
          fault({
            code: 'no-mesh',
            path: `sections[${i}].shape`,
            value: section.shape,
            what: `Torsion and shear of section “${section.id}” cannot be found: ${trouble.message}`,
            expected: 'a shape that triangles can fill',
            remedy: 'Correct the shape, or give J, Ay and Az',
            subjects: [`section ${section.id}`],
          }),
        ];
      }
    });
  },
);

/** What members that bend and twist need of their section, in their space and position. */
function neededInBending(model: Frame, section: Section): ('A' | 'Iz' | 'Iy' | 'J')[] {
  if (model.space === 'space') return ['A', 'Iz', 'Iy', 'J'];
  const lying = model.members.some((member) => member.section === section.id && Math.abs((member.roll ?? 0) % 180) === 90);
  const upright = model.members.some((member) => member.section === section.id && (member.roll ?? 0) % 180 === 0);
  return ['A', ...(upright ? (['Iz'] as const) : []), ...(lying ? (['Iy'] as const) : [])];
}

/** A frame member in space twists: its material needs a shear modulus. Principal second moments must be positive. */
function torsionFaults(model: Pick<Model, 'members' | 'materials' | 'space'>): Notice[] {
  if (model.space !== 'space') return [];
  const twisting = new Set(
    model.members.filter(({ behaviour }) => (behaviour ?? 'frame') === 'frame').map(({ material }) => material),
  );
  return model.materials.flatMap(({ id, G, nu }, i) =>
    twisting.has(id) && G === undefined && nu === undefined
      ? [
          fault({
            code: 'missing-property',
            path: `materials[${i}].G`,
            value: undefined,
            what: `Material “${id}” has no shear modulus, and its members twist in space`,
            expected: 'G, or nu',
            remedy: 'Give G or nu',
            subjects: [`material ${id}`],
          }),
        ]
      : [],
  );
}

/** Where Iyz is as large as Iz and Iy allow, one principal second moment is zero or less: no such section exists. */
function productFaults(model: Pick<Model, 'sections'>): Notice[] {
  return model.sections.flatMap((section, i) => {
    const { Iz, Iy, Iyz = 0 } = sectionProperties(section);
    if (Iyz === 0 || Iz === undefined || Iy === undefined || Iyz * Iyz < Iz * Iy) return [];
    return [
      fault({
        code: 'impossible-section',
        path: `sections[${i}].Iyz`,
        value: Iyz,
        what: `Section “${section.id}” cannot exist: Iyz² is not less than Iy·Iz`,
        expected: `less than ${Math.sqrt(Iz * Iy).toExponential(3)} in size`,
        remedy: 'Correct Iyz, Iy or Iz',
        subjects: [`section ${section.id}`],
      }),
    ];
  });
}

/** Directions of a support from which no axes can be made, or that leave the plane of a plane model. */
const axesFaults = once((supports: Model['supports'], space: Model['space']): readonly Notice[] =>
  supports.flatMap(({ axes, node }, i) => {
    if (!axes) return [];
    const turn = supportAxes(axes.x, axes.y);
    const leaves = space === 'plane' && turn !== undefined && Math.abs(turn[8]!) < 1 - 1e-9;
    if (turn && !leaves) return [];
    return [
      fault({
        code: 'bad-axes',
        path: `supports[${i}].axes`,
        value: axes,
        what: `The axes of the support at node “${node}” ${turn ? 'leave the plane of this model' : 'do not span a plane'}`,
        expected: turn ? 'two directions in the plane of the model' : 'two directions that are neither zero nor parallel',
        remedy: turn ? 'Turn them in the plane, or make this a space model' : 'Give x and y different directions',
        subjects: [`node ${node}`],
      }),
    ];
  }),
);

function thermalFaults(model: Model): Notice[] {
  if (!model.loads.some(({ type }) => type === 'thermal')) return [];
  const materials = new Map(model.materials.map((material, i) => [material.id, { material, i }]));
  const members = new Map(model.members.map((member) => [member.id, member]));
  const bare = new Map<string, number>();
  for (const load of expandLoads(model).loads) {
    const found = load.type === 'thermal' ? materials.get(members.get(load.member)?.material ?? '') : undefined;
    if (found && found.material.alpha === undefined) bare.set(found.material.id, found.i);
  }
  return [...bare].map(([id, i]) =>
    fault({
      code: 'missing-property',
      path: `materials[${i}].alpha`,
      value: undefined,
      what: `Material “${id}” has no thermal expansion, and a temperature acts on its members`,
      expected: 'alpha per K',
      remedy: 'Give alpha',
      subjects: [`material ${id}`],
    }),
  );
}
