import type { Material } from '../../model/model';
import { displayOf, unitOf } from '../../quantities/display';
import { computedColumn, quantityColumn, textColumn, type Row } from '../column';
import type { ScheduleKind } from './list';
import { columns as WORDS, schedules } from '../words';

/** G where it is given, or from Poisson's ratio. */
const shearModulus = (row: Row): number | undefined => {
  const { E, G, nu } = row as unknown as Material;
  return G ?? (nu === undefined ? undefined : E / (2 * (1 + nu)));
};

/** Materials with their constants. */
export const materialList: ScheduleKind = {
  words: schedules.materials,
  names: 'letters',
  columns: (model) => {
    const display = displayOf(model);
    const { stress } = display;
    const modulus = { dimension: 'stress', unit: stress === 'MPa' ? 'GPa' : stress } as const;
    const count = new Map<string, number>();
    for (const { material } of model.members) count.set(material, (count.get(material) ?? 0) + 1);
    return [
      textColumn('id', WORDS.material),
      quantityColumn('E', 'E', modulus),
      quantityColumn('G', 'G', modulus, shearModulus),
      quantityColumn('density', WORDS.density, { dimension: 'density', unit: unitOf('density', display) }),
      quantityColumn('alpha', WORDS.expansion, { dimension: 'expansion', unit: '1/K' }),
      quantityColumn('fy', WORDS.yieldStress, { dimension: 'stress', unit: stress }),
      computedColumn('members', WORDS.members, (row) => count.get(row.id) ?? 0),
    ];
  },
  rows: (model) => model.materials.map((material) => ({ ...material }) as unknown as Row),
  newRow: (_, id) => ({ id, E: 210e9, nu: 0.3, density: 7850, alpha: 1.2e-5 }),
  put: (_, row) => [{ type: 'put', list: 'materials', entry: row }],
};
