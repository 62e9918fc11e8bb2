import { once } from '../once';
import type { Model, Section } from '../model/model';
import type { Shape } from '../shapes/shape';
import { sectionProperties } from './section-properties';
import { farthest } from './outline';
import { centroidOf } from './centroid';
import type { ShearPoints } from './shear-points';
import { shapeFault } from './shape-fault';
import { cosineAndSine } from '../model/local-axes';

/**
 * Where the normal stress of a section is greatest and least: circles of one radius about some points (of radius 0: corners), as y and z
 * in turn, in the member's local axes from the centroid. A in m²; `flexibility`: the inverse of [Iz Iyz; Iyz Iy], as vv, vw, ww in m⁻⁴, zero
 * in a plane in which the member does not bend.
 */
export interface Fibres {
  readonly A: number;
  readonly flexibility: readonly [number, number, number];
  readonly points: readonly number[];
  readonly radius: number;
  /** Where shear acts too, and how; absent while it is not known, or where the section does not tell it. */
  readonly shear?: ShearPoints;
}

/** Where a shape is farthest from its centroid, y and z in turn. */
function outlineOf(shape: Shape): Pick<Fibres, 'points' | 'radius'> | undefined {
  const found = farthest(shape);
  if (!found) return undefined;
  const { y, z } = centroidOf(shape);
  return { points: found.points.flatMap(([pz, py]) => [py - y, pz - z]), radius: found.radius };
}

/** The fibres of a section as it stands in space; undefined where its properties do not tell them. */
function inSpace(section: Section): Fibres | undefined {
  const { A, Iz, Iy, Iyz = 0, Wz, Wy } = sectionProperties(section);
  if (A === undefined || Iz === undefined || Iy === undefined) return undefined;
  const determinant = Iz * Iy - Iyz * Iyz;
  const flexibility = [Iy / determinant, -Iyz / determinant, Iz / determinant] as const;
  const isGiven = section.Wz !== undefined || section.Wy !== undefined || section.Iz !== undefined || section.Iy !== undefined;
  const outline = section.shape && !isGiven ? outlineOf(section.shape) : undefined;
  if (outline) return { A, flexibility, ...outline };
  if (Wz === undefined || Wy === undefined || Iyz !== 0) return undefined;
  const [y, z] = [Iz / Wz, Iy / Wy];
  return { A, flexibility, points: [y, z, y, -z, -y, z, -y, -z], radius: 0 };
}

/** In the plane: only bending about one axis counts. A section on its side has its own z along the member's y. */
function inPlane(section: Section, roll: number): Fibres | undefined {
  const lying = Math.abs(roll % 180) === 90;
  const { A, Iz, Iy, Wz, Wy } = sectionProperties(section);
  const [I, W] = lying ? [Iy, Wy] : [Iz, Wz];
  if (A === undefined || I === undefined) return undefined;
  const isGiven = lying ? (section.Wy ?? section.Iy) : (section.Wz ?? section.Iz);
  const outline = section.shape && isGiven === undefined ? outlineOf(section.shape) : undefined;
  // Rolled by a quarter turn about x, a place (y, z) of the section stands at y = −z, by three quarters at y = z.
  const turned = ((roll % 360) + 360) % 360;
  const upright = (y: number, z: number): number => (turned === 0 ? y : turned === 90 ? -z : turned === 180 ? -y : z);
  const heights = outline
    ? outline.points.flatMap((_, i, all) => (i % 2 === 0 ? [upright(all[i]!, all[i + 1]!), 0] : []))
    : W && [I / W, 0, -I / W, 0];
  return heights ? { A, flexibility: [1 / I, 0, 0], points: heights, radius: outline?.radius ?? 0 } : undefined;
}

/** What finds the shear points of a shape: at once (`shearPoints`), or what is known of them by now. */
export type ShearOf = (shape: Shape) => ShearPoints | undefined;

const unknown: ShearOf = () => undefined;

/** By member: the fibres of its section, with their shear points where these are asked for; undefined where they are not known. */
export const fibresOf = (
  { members, sections, space }: Pick<Model, 'members' | 'sections' | 'space'>,
  shearOf: ShearOf = unknown,
): readonly (Fibres | undefined)[] => found(members, sections, space, shearOf);

const found = once(
  (members: Model['members'], sections: Model['sections'], space: Model['space'], shearOf: ShearOf): (Fibres | undefined)[] => {
    const byId = new Map(sections.map((section) => [section.id, section]));
    const made = new Map<string, Fibres | undefined>();
    return members.map(({ section: id, roll = 0 }) => {
      const key = `${space === 'plane' ? roll : ''} ${id}`;
      if (!made.has(key)) {
        const section = byId.get(id)!;
        const fibres = space === 'plane' ? inPlane(section, roll) : inSpace(section);
        const shape = fibres && shapeThatTells(section);
        const points = shape && shearOf(shape);
        made.set(key, points ? { ...fibres, shear: space === 'plane' ? standing(points, roll) : points } : fibres);
      }
      return made.get(key);
    });
  },
);

/** The shape of a section, unless its properties were given beside it: stresses of another section would be told. */
export const shapeThatTells = ({ shape, ...given }: Section): Shape | undefined =>
  shape && shapeFault(shape) === undefined && PROPERTIES.every((key) => given[key] === undefined) ? shape : undefined;
const PROPERTIES = ['A', 'Iz', 'Iy', 'J', 'Iyz', 'Wz', 'Wy'] as const;

/** Shear points of a section that is rolled by quarter turns in a plane model: there only heights count, and the shear along the member's y. */
function standing({ places, stresses }: ShearPoints, roll: number): ShearPoints {
  const turned = Float64Array.from(places);
  const felt = new Float64Array(stresses.length);
  const [c, s] = cosineAndSine(roll);
  for (let i = 0; i < places.length; i += 2) {
    turned[i] = c * places[i]! - s * places[i + 1]!;
    turned[i + 1] = 0;
    felt[(3 * i) / 2] = c * stresses[(3 * i) / 2]! - s * stresses[(3 * i) / 2 + 1]!;
  }
  return { places: turned, stresses: felt };
}
