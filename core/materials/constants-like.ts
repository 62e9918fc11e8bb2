import type { Material } from '../model/model';
import { standardMaterials, type StandardMaterial } from './standard';

/** Share by which moduli of one material may differ from standard to standard. */
const SAME = 0.06;

/** The standard material whose modulus is nearest; undefined where none is near. */
function nearest(E: number, has: (one: StandardMaterial) => boolean): StandardMaterial | undefined {
  const near = standardMaterials.filter((one) => has(one) && Math.abs(one.E / E - 1) <= SAME);
  return near.toSorted((a, b) => Math.abs(a.E - E) - Math.abs(b.E - E))[0];
}

/** A material with the constant (`key`) that it lacks, taken from the standard material that is as stiff; undefined where it lacks none, or none is as stiff. */
export function withConstantLike(
  material: Material,
  key: 'density' | 'shear',
): { readonly material: Material; readonly like: StandardMaterial } | undefined {
  if (key === 'density') {
    const like = material.density === undefined ? nearest(material.E, ({ density }) => density !== undefined) : undefined;
    return like && { material: { ...material, density: like.density! }, like };
  }
  if (material.G !== undefined || material.nu !== undefined) return undefined;
  const like = nearest(material.E, ({ G, nu }) => G !== undefined || nu !== undefined);
  return like && { material: { ...material, ...(like.nu === undefined ? { G: like.G! } : { nu: like.nu }) }, like };
}
