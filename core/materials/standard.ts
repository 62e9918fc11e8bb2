import type { Material } from '../model/model';

/** A material of a standard: SI, and where its values come from. */
export interface StandardMaterial extends Material {
  readonly group: string;
  /** The standard that gives its values; of steel and concrete also the one that gives their elastic constants. */
  readonly source: string;
}

type Row = readonly [id: string, value: number, ...more: number[]];

const rows = (group: string, source: string, all: readonly Row[], of: (row: Row) => Omit<Material, 'id'>): StandardMaterial[] =>
  all.map((row) => ({ id: row[0], group, source, ...of(row) }));

/** Yield strength in MPa, for the thinnest products. */
const europeanSteel = rows(
  'Structural steel, European',
  'EN 10025-2:2019 up to 16 mm; EN 1993-1-1:2005, 3.2.6',
  [['S235', 235], ['S275', 275], ['S355', 355], ['S460', 460]],
  ([, fy]) => ({ E: 210e9, nu: 0.3, density: 7850, alpha: 12e-6, fy: fy * 1e6 }),
); // oxfmt-ignore

/** Yield strength in ksi. */
const americanSteel = rows(
  'Structural steel, American',
  'ASTM A36, A53, A500, A572, A992; ANSI/AISC 360-16, E3 and table B4',
  [['A36', 36], ['A992', 50], ['A572 Gr. 50', 50], ['A500 Gr. B, shaped', 46], ['A500 Gr. C, shaped', 50], ['A53 Gr. B', 35]],
  ([, ksi]) => ({ E: 200e9, G: 77.2e9, density: 7850, alpha: 11.7e-6, fy: Math.round(ksi * 6.894757) * 1e6 }),
); // oxfmt-ignore

const australianSteel = rows(
  'Structural steel, Australian',
  'AS/NZS 3679.1:2016 up to 11 mm; AS 4100:2020, 1.4',
  [['Grade 300', 320], ['Grade 350', 360]],
  ([, fy]) => ({ E: 200e9, G: 80e9, density: 7850, alpha: 11.7e-6, fy: fy * 1e6 }),
); // oxfmt-ignore

const indianSteel = rows(
  'Structural steel, Indian',
  'IS 2062:2011 below 20 mm; IS 800:2007, 2.2.4.1',
  [['E250', 250]],
  ([, fy]) => ({ E: 200e9, nu: 0.3, density: 7850, alpha: 12e-6, fy: fy * 1e6 }),
); // oxfmt-ignore

const aluminium = rows(
  'Aluminium',
  'EN 1999-1-1:2007, table 3.2b (extruded, up to 5 mm) and 3.2.5',
  [['EN AW-6082 T6', 250], ['EN AW-6061 T6', 240]],
  ([, f]) => ({ E: 70e9, G: 27e9, density: 2700, alpha: 23e-6, fy: f * 1e6 }),
); // oxfmt-ignore

/** E in GPa, G in GPa, mean density in kg/m³. */
const softwood = rows(
  'Softwood',
  'EN 338:2016, table 1; EN 1991-1-5:2003, table C.1',
  [
    ['C14', 7, 0.44, 350], ['C16', 8, 0.5, 370], ['C18', 9, 0.56, 380], ['C20', 9.5, 0.59, 400], ['C22', 10, 0.63, 410],
    ['C24', 11, 0.69, 420], ['C27', 11.5, 0.72, 430], ['C30', 12, 0.75, 460], ['C35', 13, 0.81, 470], ['C40', 14, 0.88, 480],
    ['C45', 15, 0.94, 490], ['C50', 16, 1, 520],
  ],
  timber,
); // oxfmt-ignore
const hardwood = rows(
  'Hardwood',
  'EN 338:2016, table 3; EN 1991-1-5:2003, table C.1',
  [['D30', 11, 0.69, 640], ['D40', 13, 0.81, 660]],
  timber,
); // oxfmt-ignore
const glued = rows(
  'Glued laminated timber',
  'EN 14080:2013, table 5; EN 1991-1-5:2003, table C.1',
  [['GL24h', 11.5, 0.65, 420], ['GL28h', 12.6, 0.65, 460], ['GL30h', 13.6, 0.65, 480], ['GL32h', 14.2, 0.65, 490]],
  timber,
); // oxfmt-ignore
function timber([, E, G = 0, density = 0]: Row): Omit<Material, 'id'> {
  return { E: E * 1e9, G: G * 1e9, density, alpha: 5e-6 };
}

const australianTimber = rows(
  'Softwood, Australian',
  'AS 1720.1-2010, tables H3.1 and 2.1 (G = E/15)',
  [['MGP10', 10, 500], ['MGP12', 12.7, 540], ['MGP15', 15.2, 570]],
  ([, E, density = 0]) => ({ E: E * 1e9, G: (E / 15) * 1e9, density }),
); // oxfmt-ignore

/** Moisture in per cent at which dressed lumber counts as dry at most (NDS 2018, 4.1.4): its heaviest. */
const MOISTURE = 19;
/** kg/m³ from the specific gravity of a species, oven-dry: NDS 2018 supplement, 3.1.3, whose 62.4 lb/ft³ are those of water. */
const moist = (gravity: number): number =>
  Math.round(((62.4 * 0.45359237) / 0.3048 ** 3) * (gravity / (1 + 0.009 * MOISTURE * gravity)) * (1 + MOISTURE / 100));

/** E in 10⁶ psi, specific gravity. */
const americanTimber = rows(
  'Dressed lumber, American',
  'NDS 2018 supplement, tables 4A and 4B; density by 3.1.3 at 19 % moisture',
  [
    ['Douglas Fir-Larch Select Structural', 1.9, 0.5], ['Douglas Fir-Larch No. 1', 1.7, 0.5],
    ['Douglas Fir-Larch No. 2', 1.6, 0.5], ['Hem-Fir No. 2', 1.3, 0.43], ['Spruce-Pine-Fir No. 2', 1.4, 0.42],
    ['Southern Pine No. 2', 1.4, 0.55],
  ],
  ([, E, gravity = 0]) => ({ E: Math.round(E * 6894.757) * 1e6, density: moist(gravity) }),
); // oxfmt-ignore

/** Secant modulus in GPa; 25 kN/m³ with its reinforcement. */
const concrete = rows(
  'Concrete',
  'EN 1992-1-1:2004, table 3.1 and 3.1.3; EN 1991-1-1:2002, table A.1',
  [
    ['C12/15', 27], ['C16/20', 29], ['C20/25', 30], ['C25/30', 31], ['C30/37', 33], ['C35/45', 34], ['C40/50', 35],
    ['C45/55', 36], ['C50/60', 37], ['C55/67', 38], ['C60/75', 39], ['C70/85', 41], ['C80/95', 42], ['C90/105', 44],
  ],
  ([, E]) => ({ E: E * 1e9, nu: 0.2, density: 2549, alpha: 10e-6 }),
); // oxfmt-ignore

/** The material that a model takes from a standard: what it is, without where it stands. */
export const materialOf = ({ group: _, source: __, ...material }: StandardMaterial): Material => material;

/** Materials of standards, group by group; whoever needs another gives it. */
export const standardMaterials: readonly StandardMaterial[] = [
  ...europeanSteel,
  ...americanSteel,
  ...australianSteel,
  ...indianSteel,
  ...aluminium,
  ...softwood,
  ...hardwood,
  ...glued,
  ...australianTimber,
  ...americanTimber,
  ...concrete,
];
