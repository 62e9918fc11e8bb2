import { freeName } from '../model/edits/next-id';
import type { Material, Model } from '../model/model';
import { materialOf, standardMaterials } from './standard';

/** What shapes of a catalogue are made of. */
export type Made = 'steel' | 'timber';

/** Pa: what is softer is no metal, what is stiffer no timber. Aluminium is rolled and drawn into the shapes of steel. */
const METAL = 50e9;

/** Whether something can be made of a material, judged by its stiffness: a name tells nothing. */
export const canBeOf = (made: Made, { E }: Pick<Material, 'E'>): boolean => (made === 'steel' ? E >= METAL : E < METAL);

/** The first grade of a standard's country, as it is ordered where nothing else is said: by the standard of the shape. */
const USUAL: Readonly<Record<Made, readonly (readonly [standard: RegExp, material: string])[]>> = {
  steel: [
    [/^ASTM A500/, 'A500 Gr. C, shaped'],
    [/^ASTM A53\b/, 'A53 Gr. B'],
    [/^ASTM/, 'A992'],
    [/^AS/, 'Grade 300'],
    [/^IS/, 'E250'],
    [/./, 'S355'],
  ],
  timber: [
    [/^AS/, 'MGP10'],
    [/PS 20|^NDS/, 'Douglas Fir-Larch No. 2'],
    [/./, 'C24'],
  ],
};

/** What members whose material a shape cannot be made of get with it: one that the model has, or else the usual grade of its standard. */
export function materialFor(model: Pick<Model, 'materials'>, made: Made, standard: string): Material {
  const own = model.materials.find((material) => canBeOf(made, material));
  if (own) return own;
  const [, id] = USUAL[made].find(([which]) => which.test(standard))!;
  const material = materialOf(standardMaterials.find((one) => one.id === id)!);
  // Something else may be called so.
  return {
    ...material,
    id: freeName(
      id,
      model.materials.map((one) => one.id),
    ),
  };
}
