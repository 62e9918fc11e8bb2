import { once } from '../once';
import { memberAxes } from '../model/local-axes';
import { isPinEnded } from '../model/behaviour';
import { endFreedomAt, gappedJoints } from '../model/member-ends';
import {
  endFreedoms,
  freedoms,
  memberEnds,
  type Material,
  type Member,
  type Model,
  type Restraint,
  type SectionProperties,
} from '../model/model';
import { turnOf } from '../model/support-axes';
import { isInextensible } from '../sections/relative';
import { neededKeys, stiffnessProperties } from '../sections/stiffness-properties';
import {
  BOWS_V,
  BOWS_W,
  CHANGES_LENGTH,
  KEEPS_LENGTH,
  KEEPS_LENGTH_UNKNOWN_AREA,
  PLANE_FREEDOMS,
  STIFFNESS_WIDTH,
  type Structure,
} from './structure';

/** The properties of sections by name, each found when it is first asked for: unused ones need no mesh. */
type SectionMap = Pick<ReadonlyMap<string, SectionProperties>, 'get'>;

/** The properties of each section by its name. A mesh is made only where torsion or shear counts. */
export const sectionMap = (model: Model): SectionMap => propertiesOf(model.sections, neededKeys(model));

const propertiesOf = once((sections: Model['sections'], needed: ReturnType<typeof neededKeys>): SectionMap => {
  const all = new Map(sections.map((section) => [section.id, section]));
  const found = new Map<string, SectionProperties>();
  return {
    get: (id) => {
      const section = all.get(id);
      if (section && !found.has(id)) found.set(id, stiffnessProperties(section, needed));
      return found.get(id);
    },
  };
});

/** A part of a checked model; what a fault would have named throws here. */
export function must<T>(value: T | undefined, what: string): T {
  if (value === undefined) throw new Error(`compile: ${what} is missing from a model that was not checked`);
  return value;
}

const stiffnessOf = (restraint: Restraint | undefined, otherwise: number): number => {
  if (restraint === undefined) return otherwise;
  if (restraint === 'fixed') return Infinity;
  return restraint === 'free' ? 0 : restraint;
};

export function compileSupports(
  model: Model,
  nodeIndex: ReadonlyMap<string, number>,
): Pick<Structure, 'restraints' | 'supportRotations'> {
  const restraints = new Float64Array(6 * model.nodes.length);
  const supportRotations = new Map<number, Float64Array>();
  for (const support of model.supports) {
    const i = must(nodeIndex.get(support.node), `node ${support.node}`);
    freedoms.forEach((freedom, k) => (restraints[6 * i + k] = stiffnessOf(support[freedom], 0)));
    const turn = support.axes ? must(turnOf(support), `a direction of the support of node ${support.node}`) : turnOf(support);
    if (turn) supportRotations.set(i, turn);
  }
  return { restraints, supportRotations };
}

const shearModulus = (material: Material): number =>
  material.G ?? (material.nu === undefined ? Infinity : material.E / (2 * (1 + material.nu)));

/** The part of a structure that is made of its members. */
export type Members = Pick<
  Structure,
  'memberNodes' | 'lengths' | 'axes' | 'endOffsets' | 'stiffnesses' | 'keepsLength' | 'bows' | 'releases'
>;

export const emptyMembers = (count: number): Members => ({
  memberNodes: new Int32Array(2 * count),
  lengths: new Float64Array(count),
  axes: new Float64Array(9 * count),
  endOffsets: new Float64Array(6 * count),
  stiffnesses: new Float64Array(STIFFNESS_WIDTH * count),
  keepsLength: new Uint8Array(count),
  bows: new Uint8Array(count),
  releases: new Float64Array(12 * count),
});

export const copyOfMembers = (members: Members): Members => ({
  ...copyOfPlaces(members),
  memberNodes: members.memberNodes.slice(),
  endOffsets: members.endOffsets.slice(),
  keepsLength: members.keepsLength.slice(),
  bows: members.bows.slice(),
  releases: members.releases.slice(),
});

/**
 * The same when nothing but nodes have moved: the rest is shared. Compiling a member writes into that too, but the numbers that stand
 * there already.
 */
export const copyOfPlaces = ({
  memberNodes,
  lengths,
  axes,
  endOffsets,
  stiffnesses,
  keepsLength,
  bows,
  releases,
}: Members): Members => ({
  memberNodes,
  lengths: lengths.slice(),
  axes: axes.slice(),
  endOffsets,
  // Those of trusses may depend on their lengths.
  stiffnesses: stiffnesses.slice(),
  keepsLength,
  bows,
  releases,
});

/** Returns what writes member m between the nodes `start` and `end` (their indices) into `members`. */
export function memberCompiler(model: Model, members: Members): (m: number, start: number, end: number) => void {
  const sections = sectionMap(model);
  const materials = new Map(model.materials.map((material) => [material.id, material]));
  const plane = model.space === 'plane';
  const isKept = model.analysis?.axialDeformation === false;
  const withoutArea = new Set(isKept ? model.sections.filter(isInextensible).map(({ id }) => id) : []);
  const endOffsets = members.endOffsets;
  return (m, start, end) => {
    const member = model.members[m]!;
    members.memberNodes[2 * m] = start;
    members.memberNodes[2 * m + 1] = end;
    endOffsets.fill(0, 6 * m, 6 * m + 6);
    if (member.offset) memberEnds.forEach((side, e) => endOffsets.set(member.offset?.[side] ?? [], 6 * m + 3 * e));
    const [from, to] = [must(model.nodes[start], 'start'), must(model.nodes[end], 'end')];
    const arm = (k: number): number => endOffsets[6 * m + 3 + k]! - endOffsets[6 * m + k]!;
    const dx = to.x - from.x + arm(0);
    const dy = to.y - from.y + arm(1);
    const dz = (to.z ?? 0) - (from.z ?? 0) + arm(2);
    members.lengths[m] = Math.hypot(dx, dy, dz);
    members.axes.set(memberAxes(dx, dy, dz, plane ? 0 : (member.roll ?? 0)), 9 * m);
    const whole = must(sections.get(member.section), `section ${member.section}`);
    const section = withoutArea.has(member.section) ? { ...whole, A: undefined } : whole;
    const material = must(materials.get(member.material), `material ${member.material}`);
    compileStiffness(model, { member, material, section: plane ? inPlane(member, section) : section }, members, m);
    compileReleases(member, model.space, members.releases, 12 * m);
  };
}

/** A plane member bends about one axis only: the strong one, or the weak one where it lies on its side. */
function inPlane(member: Member, section: SectionProperties): SectionProperties {
  const lying = Math.abs((member.roll ?? 0) % 180) === 90;
  const [Iz, Ay] = lying ? [section.Iy, section.Az] : [section.Iz, section.Ay];
  return { ...(section.A !== undefined && { A: section.A }), ...(Iz !== undefined && { Iz }), ...(Ay !== undefined && { Ay }) };
}

/** A member with what it is made of. */
interface MemberParts {
  readonly member: Member;
  readonly material: Material;
  readonly section: SectionProperties;
}

function compileStiffness(model: Model, { member, material, section }: MemberParts, members: Members, m: number): void {
  const { E } = material;
  const isKept = model.analysis?.axialDeformation === false;
  const A = isKept ? (section.A ?? standInArea(section, members.lengths[m]!)) : must(section.A, `A of section ${member.section}`);
  const G = shearModulus(material);
  const space = model.space === 'space';
  const truss = isPinEnded(member);
  // A truss member without I has no bow of its own; any positive value gives its end forces, which do not depend on it.
  const stiff = E * A * members.lengths[m]! ** 2;
  const EIz = section.Iz === undefined ? stiff : E * section.Iz;
  const EIy = !space ? 0 : section.Iy === undefined ? stiff : E * section.Iy;
  const coupled = space && section.Iz !== undefined && section.Iy !== undefined;
  const EIyz = coupled ? E * (section.Iyz ?? 0) : 0;
  const sheared = model.analysis?.shearDeformation === true;
  // Where the bow between the ends is not known, its part from shear is not either.
  const shear = (area: number | undefined, I: number | undefined): number =>
    sheared && area !== undefined && I !== undefined ? G * area : Infinity;
  const GJ = space && !truss && section.J !== undefined && G !== Infinity ? G * section.J : 0;
  members.stiffnesses.set(
    [E * A, GJ, EIz, EIy, EIyz, shear(section.Ay, section.Iz), space ? shear(section.Az, section.Iy) : Infinity],
    STIFFNESS_WIDTH * m,
  );
  members.keepsLength[m] = !isKept ? CHANGES_LENGTH : section.A === undefined ? KEEPS_LENGTH_UNKNOWN_AREA : KEEPS_LENGTH;
  members.bows[m] = (section.Iz === undefined ? 0 : BOWS_V) | (!space || section.Iy === undefined ? 0 : BOWS_W);
}

/** A slenderness of members whose area nobody gave, and the area of those of which nothing else is known either, m². */
const STAND_IN_SLENDERNESS = 100;
const STAND_IN_AREA = 0.01;

/** An area to begin with for a member that keeps its length: as if it were slender. Where it counts, it is asked for. */
function standInArea({ Iz, Iy }: SectionProperties, length: number): number {
  const I = Math.max(Iz ?? 0, Iy ?? 0);
  return I > 0 ? (I * STAND_IN_SLENDERNESS ** 2) / length ** 2 : STAND_IN_AREA;
}

function compileReleases(member: Member, space: Model['space'], releases: Float64Array, o: number): void {
  releases.fill(Infinity, o, o + 12);
  if (!member.releases && !isPinEnded(member)) return;
  memberEnds.forEach((side, e) =>
    endFreedoms.forEach((freedom, k) => {
      if (space === 'plane' && !PLANE_FREEDOMS.includes(k)) return;
      const hinged = isPinEnded(member) && (freedom === 'my' || freedom === 'mz');
      releases[o + 6 * e + k] = hinged ? 0 : stiffnessOf(member.releases?.[side]?.[freedom], Infinity);
    }),
  );
  // Of a spring with a gap both ways act at first: what does not lets go (`oneSidedIn`).
  for (const { end, freedom, spring } of gappedJoints(member)) releases[o + endFreedomAt(end, freedom)] = 2 * spring;
}
