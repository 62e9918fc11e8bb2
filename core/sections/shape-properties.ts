import { once } from '../once';
import type { SectionProperties, Shape } from '../model/model';
import { linesOf } from './lines-of';
import { edgesOf, enclosed, extentOf, type Composite } from './path';
import { dimensionsOf, type Dimensions } from './shape-table';
import { torsionConstant } from './torsion';

/**
 * Properties of a sound shape: A, Iz, Iy, Iyz, Wz, Wy exactly, with all radii and slopes; J where a formula holds; shear areas of solid and
 * round ones. What only a mesh tells is left out (`stiffnessProperties`).
 */
export const shapeProperties = once((shape: Shape): SectionProperties => {
  const s = dimensionsOf(shape);
  const J = torsionConstant(shape.type, s);
  return { ...flatProperties(shape, s), ...(J !== undefined && { J }) };
});

function flatProperties(shape: Shape, s: Dimensions): SectionProperties {
  switch (shape.type) {
    case 'general':
      return {};
    case 'rectangle':
      return solid({ A: s.b * s.h, Iz: (s.b * s.h ** 3) / 12, Iy: (s.h * s.b ** 3) / 12 }, s.h, s.b, 5 / 6);
    case 'round': {
      const I = (Math.PI * s.d ** 4) / 64;
      return solid({ A: (Math.PI * s.d ** 2) / 4, Iz: I, Iy: I }, s.d, s.d, 0.9);
    }
    case 'chs': {
      const inner = s.d - 2 * s.t;
      const I = (Math.PI * (s.d ** 4 - inner ** 4)) / 64;
      return solid({ A: (Math.PI * (s.d ** 2 - inner ** 2)) / 4, Iz: I, Iy: I }, s.d, s.d, 0.5);
    }
    default:
      return built(shape);
  }
}

/** Symmetric about both axes, `h` by `b` outside; `shear`: the part of the area that takes shear. */
function solid(
  { A, Iz, Iy }: { readonly A: number; readonly Iz: number; readonly Iy: number },
  h: number,
  b: number,
  shear: number,
): SectionProperties {
  return { A, Iz, Iy, Ay: shear * A, Az: shear * A, Wz: (2 * Iz) / h, Wy: (2 * Iy) / b, Iyz: 0 };
}

/** Where a shape of straight sides and rounded corners has its centroid, and its moments about it. */
export const composite = (shape: Shape): Composite => enclosed(linesOf(shape).map(edgesOf));

function built(shape: Shape): SectionProperties {
  const { A, y, z, Iz, Iy, Iyz } = composite(shape);
  const extent = extentOf(linesOf(shape).flatMap(edgesOf));
  const reach = ([least, most]: readonly [number, number], from: number): number => Math.max(from - least, most - from);
  const Wz = Iz / reach(extent.y, y);
  const Wy = Iy / reach(extent.z, z);
  // Symmetric shapes: rounding must not turn a zero product into a skewed section.
  const product = Math.abs(Iyz) < 1e-12 * Math.sqrt(Iz * Iy) ? 0 : Iyz;
  return { A, Iz, Iy, Iyz: product, Wz, Wy };
}
