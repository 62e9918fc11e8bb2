import { sameSolvedCases, solvedCasesOf } from '../model/loads/expand';
import { displayOf } from '../quantities/display';
import { STANDARD_GRAVITY, type Model } from '../model/model';
import { once } from '../once';
import { weighedArea } from '../sections/catalogue/weighed';
import { isInextensible } from '../sections/relative';
import { compileSupports, copyOfMembers, copyOfPlaces, emptyMembers, memberCompiler, must } from './compile-frame';
import { compileLoads } from './compile-loads';
import { coordinatesOf, indexOf } from './nodes';
import { recompileLoads } from './recompile-loads';
import { PLANE_FREEDOMS, SPACE_FREEDOMS, type Structure } from './structure';

/** A model with what was made of it, for the next compilation to take over. */
export interface Compiled {
  readonly model: Model;
  readonly structure: Structure;
}

/** A structure, and how it differs from the former one. */
export interface Compilation {
  readonly structure: Structure;
  /** The members that differ in more than their loads, with the same supports; undefined where anything may differ. */
  readonly changed?: readonly number[] | undefined;
  /** The members whose loads may differ, all others and those on nodes being as they were; undefined where anything may differ. */
  readonly reloaded?: readonly number[] | undefined;
}

/** What of a model its members take from it, and the supports. */
const SHARED_KEYS = ['space', 'analysis', 'materials', 'sections', 'supports'] as const;

/**
 * Model → Structure: the only place where names become indices. The model must be sound and ready (no fault); what a fault would
 * have named throws here.
 */
export const compile = (model: Model): Structure => recompile(model).structure;

/** The same, with what is unchanged since `former` taken over from it: edits keep the parts of a model that they do not touch. */
export function recompile(model: Model, former?: Compiled): Compilation {
  const kept = former && recompileFrame(model, former);
  const { frame, changed } = kept ?? { frame: compileFrame(model), changed: undefined };
  const weightOf = weights(model);
  const known = changed && recompileLoads(model, former!, frame, changed, weightOf);
  return {
    structure: { ...frame, ...(known?.loads ?? compileLoads(model, frame, weightOf)), up: displayOf(model).up },
    changed,
    reloaded: known?.reloaded,
  };
}

type Frame = Omit<Structure, 'up' | 'nodeLoads' | 'settlements' | 'lineLoads' | 'pointLoads' | 'strains'>;

const caseNames = (model: Model): string[] => solvedCasesOf(model).map(({ id }) => id);

function compileFrame(model: Model): Frame {
  const nodeIndex = indexOf(model.nodes);
  const members = emptyMembers(model.members.length);
  const compileMember = memberCompiler(model, members);
  model.members.forEach(({ start, end }, m) =>
    compileMember(m, must(nodeIndex.get(start), start), must(nodeIndex.get(end), end)),
  );
  return {
    names: {
      nodes: model.nodes.map((node) => node.id),
      members: model.members.map((member) => member.id),
      cases: caseNames(model),
    },
    active: model.space === 'plane' ? PLANE_FREEDOMS : SPACE_FREEDOMS,
    coordinates: coordinatesOf(model.nodes),
    ...compileSupports(model, nodeIndex),
    ...members,
  };
}

/** The former frame with only those members compiled that changed or stand on a node that did; undefined where more is different. */
function recompileFrame(model: Model, former: Compiled): { frame: Frame; changed: readonly number[] } | undefined {
  const before = former.model;
  const { nodes, members } = model;
  if (
    !SHARED_KEYS.every((key) => before[key] === model[key]) ||
    !sameIds(nodes, before.nodes) ||
    !sameIds(members, before.members)
  )
    return undefined;
  const isSame = sameSolvedCases(model, before);
  const names = isSame ? former.structure.names : { ...former.structure.names, cases: caseNames(model) };
  if (nodes === before.nodes && members === before.members) return { frame: { ...former.structure, names }, changed: [] };
  const { memberNodes } = former.structure;
  const isMoved = new Uint8Array(nodes.length);
  for (let i = 0; i < nodes.length; i++) if (nodes[i] !== before.nodes[i]) isMoved[i] = 1;
  const changed: number[] = [];
  for (let m = 0; m < members.length; m++)
    if (members[m] !== before.members[m] || isMoved[memberNodes[2 * m]!] || isMoved[memberNodes[2 * m + 1]!]) changed.push(m);
  const parts = members === before.members ? copyOfPlaces(former.structure) : copyOfMembers(former.structure);
  const compileMember = memberCompiler(model, parts);
  let nodeIndex: Map<string, number> | undefined;
  for (const m of changed) {
    const { start, end } = members[m]!;
    if (members[m] === before.members[m]) compileMember(m, memberNodes[2 * m]!, memberNodes[2 * m + 1]!);
    else {
      nodeIndex ??= indexOf(nodes);
      compileMember(m, must(nodeIndex.get(start), start), must(nodeIndex.get(end), end));
    }
  }
  return { frame: { ...former.structure, names, coordinates: coordinatesOf(nodes), ...parts }, changed };
}

function sameIds(a: readonly { readonly id: string }[], b: readonly { readonly id: string }[]): boolean {
  return a === b || (a.length === b.length && a.every((item, i) => item === b[i] || item.id === b[i]!.id));
}

const weighedAreas = once(
  (sections: Model['sections']) => new Map(sections.map((section) => [section.id, weighedArea(section) ?? 0])),
);

/** Weight of member m per metre for a self-weight factor of 1, N/m. */
function weights(model: Model): (m: number) => number {
  const massOf = massesOf(model);
  const gravity = model.gravity ?? STANDARD_GRAVITY;
  return (m) => massOf(m) * gravity;
}

/** Mass of member m per metre, kg/m; 0 where its material has no density. */
export function massesOf(model: Model): (m: number) => number {
  const areas = weighedAreas(model.sections);
  const weightless = new Set(model.sections.filter(isInextensible).map(({ id }) => id));
  const densities = new Map(model.materials.map((material) => [material.id, material.density ?? 0]));
  return (m) => {
    const { material, section } = model.members[m]!;
    if (weightless.has(section)) return 0;
    return (densities.get(material) ?? 0) * (areas.get(section) ?? 0);
  };
}
