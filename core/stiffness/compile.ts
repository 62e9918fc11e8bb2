import {
  endFreedoms,
  freedoms,
  memberEnds,
  STANDARD_GRAVITY,
  type Material,
  type Member,
  type Model,
  type Restraint,
  type SectionProperties,
  type Support,
} from '../model/model';
import { sectionProperties } from '../sections/section-properties';
import { compileLoads, recompileLoads } from './compile-loads';
import { cosineAndSine, memberAxes, supportAxes } from '../model/local-axes';
import { BOWS_V, BOWS_W, PLANE_FREEDOMS, SPACE_FREEDOMS, STIFFNESS_WIDTH, type Structure } from './structure';

/** A model with what was made of it, for the next compilation to take over. */
export interface Compiled {
  readonly model: Model;
  readonly structure: Structure;
}

/** What of a model makes the structure without its loads. */
const FRAME_KEYS = ['space', 'analysis', 'materials', 'sections', 'nodes', 'members', 'supports'] as const;

/**
 * Model → Structure: the only place where names become indices. The model must be sound and ready (no fault); what a fault would
 * have named throws here. Where everything but loads and cases is the very same as in `former` (edits keep what they do not touch),
 * only the loads are compiled.
 */
export function compile(model: Model, former?: Compiled): Structure {
  const isFrameKept = former !== undefined && FRAME_KEYS.every((key) => former.model[key] === model[key]);
  const kept = isFrameKept && recompileLoads(model, former);
  if (kept) return { ...former.structure, ...kept };
  const nodeIndex = indexOf(model.nodes);
  const sections = sectionMap(model);
  const names = { cases: model.cases.map((loadCase) => loadCase.id) };
  if (isFrameKept) {
    const frame = { ...former.structure, names: { ...former.structure.names, ...names } };
    return { ...frame, ...compileLoads(model, frame, nodeIndex, weights(model, sections)) };
  }
  const frame = compileFrame(model, nodeIndex, sections, names.cases);
  return { ...frame, ...compileLoads(model, frame, nodeIndex, weights(model, sections)) };
}

type Sections = ReadonlyMap<string, SectionProperties>;
type Frame = Omit<Structure, 'nodeLoads' | 'settlements' | 'lineLoads' | 'pointLoads' | 'strains'>;

const sectionMap = (model: Model): Sections => new Map(model.sections.map((section) => [section.id, sectionProperties(section)]));

function compileFrame(model: Model, nodeIndex: ReadonlyMap<string, number>, sections: Sections, cases: string[]): Frame {
  const coordinates = new Float64Array(3 * model.nodes.length);
  model.nodes.forEach(({ x, y, z = 0 }, i) => {
    coordinates[3 * i] = x;
    coordinates[3 * i + 1] = y;
    coordinates[3 * i + 2] = z;
  });
  return {
    names: { nodes: model.nodes.map((node) => node.id), members: model.members.map((member) => member.id), cases },
    active: model.space === 'plane' ? PLANE_FREEDOMS : SPACE_FREEDOMS,
    coordinates,
    ...compileSupports(model, nodeIndex),
    ...compileMembers(model, nodeIndex, sections),
  };
}

const indexOf = (list: readonly { readonly id: string }[]): Map<string, number> => new Map(list.map((item, i) => [item.id, i]));

function must<T>(value: T | undefined, what: string): T {
  if (value === undefined) throw new Error(`compile: ${what} is missing from a model that was not checked`);
  return value;
}

const stiffnessOf = (restraint: Restraint | undefined, otherwise: number): number => {
  if (restraint === undefined) return otherwise;
  if (restraint === 'fixed') return Infinity;
  return restraint === 'free' ? 0 : restraint;
};

function compileSupports(model: Model, nodeIndex: ReadonlyMap<string, number>): Pick<Structure, 'restraints' | 'turns'> {
  const restraints = new Float64Array(6 * model.nodes.length);
  const turns = new Map<number, Float64Array>();
  for (const support of model.supports) {
    const i = must(nodeIndex.get(support.node), `node ${support.node}`);
    freedoms.forEach((freedom, k) => (restraints[6 * i + k] = stiffnessOf(support[freedom], 0)));
    const turn = turnOf(support);
    if (turn) turns.set(i, turn);
  }
  return { restraints, turns };
}

function turnOf({ angle = 0, axes, node }: Support): Float64Array | undefined {
  if (axes) return must(supportAxes(axes.x, axes.y), `a direction of the support of node ${node}`);
  const [c, s] = cosineAndSine(angle);
  return c === 1 ? undefined : Float64Array.of(c, s, 0, -s, c, 0, 0, 0, 1);
}

const shearModulus = (material: Material): number =>
  material.G ?? (material.nu === undefined ? Infinity : material.E / (2 * (1 + material.nu)));

type Members = Pick<Structure, 'memberNodes' | 'lengths' | 'axes' | 'arms' | 'stiffnesses' | 'bows' | 'releases'>;

function compileMembers(model: Model, nodeIndex: ReadonlyMap<string, number>, sections: Sections): Members {
  const count = model.members.length;
  const members: Members = {
    memberNodes: new Int32Array(2 * count),
    lengths: new Float64Array(count),
    axes: new Float64Array(9 * count),
    arms: new Float64Array(6 * count),
    stiffnesses: new Float64Array(STIFFNESS_WIDTH * count),
    bows: new Uint8Array(count),
    releases: new Float64Array(12 * count).fill(Infinity),
  };
  const materials = new Map(model.materials.map((material) => [material.id, material]));
  model.members.forEach((member, m) => {
    const [start, end] = [must(nodeIndex.get(member.start), member.start), must(nodeIndex.get(member.end), member.end)];
    members.memberNodes[2 * m] = start;
    members.memberNodes[2 * m + 1] = end;
    memberEnds.forEach((side, e) => member.offset?.[side]?.forEach((part, k) => (members.arms[6 * m + 3 * e + k] = part)));
    const [from, to] = [must(model.nodes[start], 'start'), must(model.nodes[end], 'end')];
    const arm = (k: number): number => members.arms[6 * m + 3 + k]! - members.arms[6 * m + k]!;
    const [dx, dy, dz] = [to.x - from.x + arm(0), to.y - from.y + arm(1), (to.z ?? 0) - (from.z ?? 0) + arm(2)];
    members.lengths[m] = Math.hypot(dx, dy, dz);
    const plane = model.space === 'plane';
    members.axes.set(memberAxes(dx, dy, dz, plane ? 0 : (member.roll ?? 0)), 9 * m);
    const section = must(sections.get(member.section), `section ${member.section}`);
    const material = must(materials.get(member.material), `material ${member.material}`);
    compileStiffness(model, member, material, plane ? inPlane(member, section) : section, members, m);
    compileReleases(member, plane, members.releases, 12 * m);
  });
  return members;
}

/** A plane member bends about one axis only: the strong one, or the weak one where it lies on its side. */
function inPlane(member: Member, section: SectionProperties): SectionProperties {
  const lying = Math.abs((member.roll ?? 0) % 180) === 90;
  const [Iz, Ay] = lying ? [section.Iy, section.Az] : [section.Iz, section.Ay];
  return { ...(section.A !== undefined && { A: section.A }), ...(Iz !== undefined && { Iz }), ...(Ay !== undefined && { Ay }) };
}

function compileStiffness(
  model: Model,
  member: Member,
  material: Material,
  section: SectionProperties,
  members: Members,
  m: number,
): void {
  const A = must(section.A, `A of section ${member.section}`);
  const { E } = material;
  const G = shearModulus(material);
  const space = model.space === 'space';
  const truss = member.behaviour === 'truss';
  // A truss member without I has no bow of its own; any positive value gives its end forces, which do not depend on it.
  const stiff = E * A * members.lengths[m]! ** 2;
  const EIz = section.Iz === undefined ? stiff : E * section.Iz;
  const EIy = !space ? 0 : section.Iy === undefined ? stiff : E * section.Iy;
  const coupled = space && section.Iz !== undefined && section.Iy !== undefined;
  const EIyz = coupled ? E * (section.Iyz ?? 0) : 0;
  const sheared = model.analysis?.shearDeformation === true && !truss;
  const shear = (area: number | undefined): number => (sheared && area !== undefined ? G * area : Infinity);
  const GJ = space && !truss && section.J !== undefined && G !== Infinity ? G * section.J : 0;
  members.stiffnesses.set(
    [E * A, GJ, EIz, EIy, EIyz, shear(section.Ay), space ? shear(section.Az) : Infinity],
    STIFFNESS_WIDTH * m,
  );
  members.bows[m] = (section.Iz === undefined ? 0 : BOWS_V) | (!space || section.Iy === undefined ? 0 : BOWS_W);
}

function compileReleases(member: Member, plane: boolean, releases: Float64Array, o: number): void {
  memberEnds.forEach((side, e) =>
    endFreedoms.forEach((freedom, k) => {
      if (plane && !PLANE_FREEDOMS.includes(k)) return;
      const hinged = member.behaviour === 'truss' && (freedom === 'my' || freedom === 'mz');
      releases[o + 6 * e + k] = hinged ? 0 : stiffnessOf(member.releases?.[side]?.[freedom], Infinity);
    }),
  );
}

/** Weight of each member per metre for a self-weight factor of 1, N/m. */
function weights(model: Model, sections: Sections): Float64Array {
  const densities = new Map(model.materials.map((material) => [material.id, material.density ?? 0]));
  const gravity = model.gravity ?? STANDARD_GRAVITY;
  return Float64Array.from(
    model.members,
    (member) => (densities.get(member.material) ?? 0) * (sections.get(member.section)?.A ?? 0) * gravity,
  );
}
