import {
  endFreedoms,
  memberEnds,
  STANDARD_GRAVITY,
  type Material,
  type Member,
  type Model,
  type Restraint,
} from '../model/model';
import { sectionProperties } from '../sections/section-properties';
import { compileLoads } from './compile-loads';
import { planeDirection } from './local-axes';
import type { Structure } from './structure';

/**
 * Model → Structure: the only place where names become indices. The model must be sound and ready (no fault); what a fault would
 * have named throws here.
 */
export function compile(model: Model): Structure {
  const nodeIndex = indexOf(model.nodes);
  const frame = {
    names: {
      nodes: model.nodes.map((node) => node.id),
      members: model.members.map((member) => member.id),
      cases: model.cases.map((loadCase) => loadCase.id),
    },
    coordinates: Float64Array.from(model.nodes.flatMap((node) => [node.x, node.y])),
    ...compileSupports(model, nodeIndex),
    ...compileMembers(model, nodeIndex),
  };
  return { ...frame, ...compileLoads(model, frame, nodeIndex, weights(model)) };
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
  const restraints = new Float64Array(3 * model.nodes.length);
  const turns = new Float64Array(2 * model.nodes.length);
  for (let i = 0; i < model.nodes.length; i++) turns[2 * i] = 1;
  for (const support of model.supports) {
    const i = must(nodeIndex.get(support.node), `node ${support.node}`);
    (['ux', 'uy', 'rz'] as const).forEach((freedom, k) => (restraints[3 * i + k] = stiffnessOf(support[freedom], 0)));
    turns.set(cosineAndSine(support.angle ?? 0), 2 * i);
  }
  return { restraints, turns };
}

/** Exact for quarter turns, where Math.cos leaves 6e-17. */
function cosineAndSine(degrees: number): [number, number] {
  const turn = ((degrees % 360) + 360) % 360;
  if (turn % 90 === 0)
    return [
      [1, 0],
      [0, 1],
      [-1, 0],
      [0, -1],
    ][turn / 90] as [number, number];
  return [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
}

const shearModulus = (material: Material): number =>
  material.G ?? (material.nu === undefined ? Infinity : material.E / (2 * (1 + material.nu)));

type Members = Pick<Structure, 'memberNodes' | 'lengths' | 'directions' | 'arms' | 'stiffnesses' | 'releases'>;

function compileMembers(model: Model, nodeIndex: ReadonlyMap<string, number>): Members {
  const count = model.members.length;
  const members: Members = {
    memberNodes: new Int32Array(2 * count),
    lengths: new Float64Array(count),
    directions: new Float64Array(3 * count),
    arms: new Float64Array(4 * count),
    stiffnesses: new Float64Array(4 * count),
    releases: new Float64Array(6 * count),
  };
  const properties = new Map(model.sections.map((section) => [section.id, sectionProperties(section)]));
  const materials = new Map(model.materials.map((material) => [material.id, material]));
  model.members.forEach((member, m) => {
    const [start, end] = [must(nodeIndex.get(member.start), member.start), must(nodeIndex.get(member.end), member.end)];
    members.memberNodes.set([start, end], 2 * m);
    const arms = memberEnds.flatMap((side) => [member.offset?.[side]?.[0] ?? 0, member.offset?.[side]?.[1] ?? 0]);
    members.arms.set(arms, 4 * m);
    const [from, to] = [must(model.nodes[start], 'start'), must(model.nodes[end], 'end')];
    const dx = to.x + arms[2]! - from.x - arms[0]!;
    const dy = to.y + arms[3]! - from.y - arms[1]!;
    members.lengths[m] = Math.hypot(dx, dy);
    members.directions.set(planeDirection(dx, dy), 3 * m);

    const section = must(properties.get(member.section), `section ${member.section}`);
    const material = must(materials.get(member.material), `material ${member.material}`);
    const lying = Math.abs((member.roll ?? 0) % 180) === 90;
    const I = lying ? section.Iy : section.Iz;
    const shearArea = lying ? section.Az : section.Ay;
    const sheared = model.analysis?.shearDeformation && shearArea !== undefined && member.behaviour !== 'truss';
    const A = must(section.A, `A of section ${member.section}`);
    // A truss member without I has no bow of its own; any positive value gives its end forces, which do not depend on it.
    const EI = I === undefined ? material.E * A * members.lengths[m]! ** 2 : material.E * I;
    members.stiffnesses.set(
      [material.E * A, EI, sheared ? shearModulus(material) * shearArea : Infinity, I === undefined ? 0 : 1],
      4 * m,
    );
    members.releases.set(releasesOf(member), 6 * m);
  });
  return members;
}

function releasesOf(member: Member): number[] {
  return memberEnds.flatMap((side) =>
    endFreedoms
      .filter((freedom) => freedom === 'ux' || freedom === 'uy' || freedom === 'mz')
      .map((freedom) =>
        member.behaviour === 'truss' && freedom === 'mz' ? 0 : stiffnessOf(member.releases?.[side]?.[freedom], Infinity),
      ),
  );
}

/** Weight of each member per metre for a self-weight factor of 1, N/m. */
function weights(model: Model): Float64Array {
  const areas = new Map(model.sections.map((section) => [section.id, sectionProperties(section).A ?? 0]));
  const densities = new Map(model.materials.map((material) => [material.id, material.density ?? 0]));
  const gravity = model.gravity ?? STANDARD_GRAVITY;
  return Float64Array.from(
    model.members,
    (member) => (densities.get(member.material) ?? 0) * (areas.get(member.section) ?? 0) * gravity,
  );
}
