import { once } from '../once';
import type { SectionProperties } from '../model/model';
import type { Shape } from '../shapes/shape';
import { linesOf } from './lines-of';
import { edgesOf, enclosed, extentOf, type Composite } from './path';
import type { Dimensions, ShapeKind } from '../shapes/kind';
import { dimensionsOf, kindOf } from '../shapes/dimensions';

/**
 * Properties of a sound shape: A, Iz, Iy, Iyz, Wz, Wy exactly, with all radii and slopes; J where a formula holds; shear areas of solid and
 * round ones. What only a mesh tells is left out (`stiffnessProperties`).
 */
export const shapeProperties = once((shape: Shape): SectionProperties => {
  const kind = kindOf(shape);
  if (!kind) return shape.type === 'built' ? enclosedProperties(shape) : {};
  const s = dimensionsOf(shape);
  const J = kind.torsion(s);
  return { ...flatProperties(shape, kind, s), ...(J !== undefined && { J }) };
});

function flatProperties(shape: Shape, kind: ShapeKind, s: Dimensions): SectionProperties {
  if (kind.body === 'circles') {
    const [outer, inner = 0] = kind.diameters(s);
    const I = (Math.PI * (outer ** 4 - inner ** 4)) / 64;
    return solid({ A: (Math.PI * (outer ** 2 - inner ** 2)) / 4, Iz: I, Iy: I }, outer, outer, kind.shear);
  }
  return kind.exact ? solid(kind.exact(s), s.h, s.b, kind.shear) : enclosedProperties(shape);
}

/** Symmetric about both axes, `h` by `b` outside; `shear`: the part of the area that takes shear. */
function solid(
  { A, Iz, Iy }: { readonly A: number; readonly Iz: number; readonly Iy: number },
  h: number,
  b: number,
  shear: ShapeKind['shear'],
): SectionProperties {
  const sheared = shear === 'by a mesh' ? {} : { Ay: shear * A, Az: shear * A };
  return { A, Iz, Iy, ...sheared, Wz: (2 * Iz) / h, Wy: (2 * Iy) / b, Iyz: 0 };
}

/** Where a shape of straight sides and rounded corners has its centroid, and its moments about it. */
export const composite = (shape: Shape): Composite => enclosed(linesOf(shape).map(edgesOf));

function enclosedProperties(shape: Shape): SectionProperties {
  const { A, y, z, Iz, Iy, Iyz } = composite(shape);
  const extent = extentOf(linesOf(shape).flatMap(edgesOf));
  const reach = ([least, most]: readonly [number, number], from: number): number => Math.max(from - least, most - from);
  const Wz = Iz / reach(extent.y, y);
  const Wy = Iy / reach(extent.z, z);
  // Symmetric shapes: rounding must not turn a zero product into a skewed section.
  const product = Math.abs(Iyz) < 1e-12 * Math.sqrt(Iz * Iy) ? 0 : Iyz;
  return { A, Iz, Iy, Iyz: product, Wz, Wy };
}
