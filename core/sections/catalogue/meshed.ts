import { once } from '../../once';
import type { SectionProperties } from '../../model/model';
import { kindOf } from '../../shapes/dimensions';
import type { Shape } from '../../shapes/shape';
import { catalogue, families } from './all';
import { meshedValues } from './meshed-values';

/** What a mesh tells of a shape: m⁴ and m². */
export type Meshed = Required<Pick<SectionProperties, 'J' | 'Ay' | 'Az'>>;

/** Shapes whose shear areas, and often J, only a mesh tells. */
export const isMeshedInCatalogue = (shape: Shape): boolean => kindOf(shape)?.shear === 'by a mesh';

const keyOf = (shape: Shape): string => JSON.stringify(Object.entries(shape).sort(([a], [b]) => (a < b ? -1 : 1)));

/** By shape: what the mesh of each shape of the catalogue told when the table was made. */
const tableOf = once((values: typeof meshedValues): ReadonlyMap<string, Meshed> => {
  const lines = new Map(families.map(({ id }) => [id, (values[id] ?? '').trim().split(/\s*\n\s*/)]));
  const next = new Map<string, number>();
  return new Map(
    catalogue().flatMap(({ family: { id }, shape }): [string, Meshed][] => {
      if (!isMeshedInCatalogue(shape)) return [];
      const at = next.get(id) ?? 0;
      next.set(id, at + 1);
      const [J = NaN, Ay = NaN, Az = NaN] = (lines.get(id)![at] ?? '').split(' ').map(Number);
      return [[keyOf(shape), { J: J * 1e-8, Ay: Ay * 1e-4, Az: Az * 1e-4 }]];
    }),
  );
});

/** The same of a shape that has the very dimensions of one in the catalogue. */
export const meshedInCatalogue = (shape: Shape): Meshed | undefined =>
  isMeshedInCatalogue(shape) ? tableOf(meshedValues).get(keyOf(shape)) : undefined;
