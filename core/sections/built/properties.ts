import { MeshTrouble, MOST_PIECES } from '../mesh/mesh';
import { warpingOf, type SectionSolution, type Warping } from '../mesh/warping';
import { plasticModulus } from '../plastic-modulus';
import type { Corner } from '../../shapes/kind';
import { edgesOf, enclosed, extentOf, lengthOfEdges, pointsOf, turned, type Composite, type Edge } from '../path';

/** What is known of a section of any outline. SI, about its centroid; y up, z to the right; W at the farthest corner. */
export interface OutlineProperties extends Omit<Composite, 'y' | 'z'> {
  /** The centroid in the coordinates of the outline. */
  readonly centroid: { readonly y: number; readonly z: number };
  readonly Wz: number;
  readonly Wy: number;
  /** Elastic moduli at every corner, where it stands in the outline; of a corner on an axis there is none about it. */
  readonly corners: readonly CornerModuli[];
  readonly Wplz: number;
  readonly Wply: number;
  /** Principal second moments, the larger first, and by how much its axis is turned from z, degrees anticlockwise. */
  readonly principal: { readonly I1: number; readonly I2: number; readonly angle: number };
  readonly J: number;
  readonly Iw?: number;
  readonly shearCentre?: { readonly y: number; readonly z: number };
  readonly Ay?: number;
  readonly Az?: number;
  /** From which stresses follow; not of several pieces. */
  readonly solution?: SectionSolution;
  /** The mesh behind J, Iw, the shear centre and the shear areas: its triangles, and the digits that a coarser one shares with it. */
  readonly mesh: { readonly triangles: number; readonly size: number; readonly digits: number };
}

export interface CornerModuli {
  readonly z: number;
  readonly y: number;
  readonly Wz?: number;
  readonly Wy?: number;
}

/** Side of the first triangles beside the mean thickness, and by how much those of the next mesh are smaller. */
const FIRST = 0.6;
const FINER = 1.7;
/** Pieces of arcs on the first mesh, radians. */
const ARC = Math.PI / 16;
/** Two meshes that agree so far on J are fine enough; more triangles than these are not made. */
const AGREED = 1e-3;
const MOST_TRIANGLES = 1200;
/** However thin a section is: squares of the first size that would cover it. */
const FINEST = 2000;

/**
 * All properties of what closed lines enclose, whose corners may be rounded: outer ones anticlockwise, holes clockwise; those of several
 * parts may touch. Exact, but for what follows from a mesh.
 */
export function outlineProperties(where: readonly (readonly Corner[])[]): OutlineProperties {
  if (where.length === 0) throw new MeshTrouble('it has no outline');
  // Wherever it was drawn, it is looked at about a corner of its own: far from the origin, digits would be lost.
  const { z: oz = 0, y: oy = 0 } = where[0]?.[0] ?? {};
  const found = propertiesAbout(where.map((line) => line.map((corner) => ({ ...corner, z: corner.z - oz, y: corner.y - oy }))));
  const moved = <P extends { readonly y: number; readonly z: number }>(place: P): P => ({
    ...place,
    y: place.y + oy,
    z: place.z + oz,
  });
  return {
    ...found,
    centroid: moved(found.centroid),
    corners: found.corners.map(moved),
    ...(found.shearCentre && { shearCentre: moved(found.shearCentre) }),
  };
}

const firstSize = (A: number, length: number): number => Math.max(FIRST * ((2 * A) / length), Math.sqrt(A / FINEST));

/** Into how many pieces the second mesh divides the lines of a section. */
export function boundaryPieces(lines: readonly (readonly Corner[])[]): number {
  const edges = lines.map(edgesOf);
  const length = lengthOfEdges(edges.flat());
  return (length * FINER) / firstSize(enclosed(edges).A, length);
}

function propertiesAbout(lines: readonly (readonly Corner[])[]): OutlineProperties {
  if (boundaryPieces(lines) > MOST_PIECES) throw new MeshTrouble('it is too thin for its length');
  const edges = lines.map(edgesOf);
  const { y, z, ...moments } = enclosed(edges);
  const { A, Iz, Iy, Iyz } = symmetric(moments);
  const all = edges.flat();
  const { z: across, y: up } = extentOf(all);
  const farthest = ([least, most]: readonly [number, number], from: number): number => Math.max(from - least, most - from);
  const first = firstSize(A, lengthOfEdges(all));
  const { triangles, size, digits, shearCentre, ...warping } = refined(edges, first);
  const extent = farthest(across, z) + farthest(up, y);
  /** A place that rounding alone has moved from 0. */
  const tidy = (place: number): number => (Math.abs(place) < 1e-12 * extent ? 0 : place);
  return {
    ...{ A, centroid: { y: tidy(y), z: tidy(z) }, Iz, Iy, Iyz },
    ...{ Wz: Iz / farthest(up, y), Wy: Iy / farthest(across, z) },
    corners: lines.flatMap((line) => line.map((corner) => moduliAt(corner, { y, z, Iz, Iy }, 1e-9 * extent))),
    ...{ Wplz: plasticModulus(edges), Wply: plasticModulus(turned(lines).map(edgesOf)) },
    principal: principalOf(Iz, Iy, Iyz),
    ...warping,
    ...(shearCentre && { shearCentre: { y: y + shearCentre.y, z: z + shearCentre.z } }),
    mesh: { triangles, size, digits },
  };
}

/** σ = −Mz/Wz there where only Mz bends a symmetric section: positive above the centroid, and to the right of it. */
function moduliAt(corner: Corner, about: Pick<Composite, 'y' | 'z' | 'Iz' | 'Iy'>, slack: number): CornerModuli {
  const [up, across] = [corner.y - about.y, corner.z - about.z];
  return {
    z: corner.z,
    y: corner.y,
    ...(Math.abs(up) > slack && { Wz: about.Iz / up }),
    ...(Math.abs(across) > slack && { Wy: about.Iy / across }),
  };
}

/** Rounding must not turn a symmetric section into a skewed one. */
const symmetric = (moments: Omit<Composite, 'y' | 'z'>): Omit<Composite, 'y' | 'z'> =>
  Math.abs(moments.Iyz) < 1e-12 * Math.sqrt(moments.Iz * moments.Iy) ? { ...moments, Iyz: 0 } : moments;

/** I about the axes along which the product vanishes; the angle from z to the axis of the larger, anticlockwise as z leads to the right. */
function principalOf(Iz: number, Iy: number, Iyz: number): OutlineProperties['principal'] {
  const [mean, half] = [(Iz + Iy) / 2, Math.hypot((Iz - Iy) / 2, Iyz)];
  const angle = half < 1e-12 * mean ? 0 : ((Math.atan2(-2 * Iyz, Iz - Iy) / 2) * 180) / Math.PI;
  return { I1: mean + half, I2: mean - half, angle: angle === 0 ? 0 : angle };
}

/**
 * Finer and finer meshes until two agree on J; the digits that they share are those that can be claimed. Arcs become finer with the mesh, so
 * that what their straight pieces cost is seen too.
 */
function refined(
  edges: readonly (readonly Edge[])[],
  first: number,
): Warping & { readonly size: number; readonly digits: number } {
  // The mesh takes as much area as the arcs enclose.
  const solved = (size: number): Warping =>
    warpingOf(
      edges.map((line) => pointsOf(line, 'same area', (ARC * size) / first)),
      size,
    );
  let [size, coarse] = [first, solved(first)];
  for (;;) {
    const finer = size / FINER;
    const fine = solved(finer);
    const difference = Math.abs(coarse.J - fine.J) / fine.J;
    if (difference < AGREED || fine.triangles > MOST_TRIANGLES)
      return { ...fine, size: finer, digits: Math.max(0, Math.min(9, Math.floor(-Math.log10(difference + 1e-10)))) };
    [size, coarse] = [finer, fine];
  }
}
