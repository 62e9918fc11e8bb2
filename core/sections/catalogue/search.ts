import { once } from '../../once';
import type { ShapeType } from '../../shapes/registry';
import type { DimensionName } from '../../quantities/dimension';
import { sectionSymbol } from '../../quantities/axis-names';
import type { DisplayUnits } from '../../quantities/display';
import { parseQuantity } from '../../quantities/parse';
import { catalogue } from './all';
import type { CatalogueShape } from './family';
import { depthOf, listed, plasticOf, type Listed } from './listed';
import { spellingsOf, typedNames } from './spellings';

export type SortKey = 'as listed' | 'depth' | 'mass' | 'Iz';

export interface Wanted {
  /** Parts of a designation or of a family's words, and conditions such as `I > 5000 cm4`. */
  readonly text: string;
  readonly type?: ShapeType | undefined;
  readonly family?: string | undefined;
  readonly sort?: SortKey;
  /** What the reader calls the strong axis: `z`, as the model format does, where nothing is said. */
  readonly strong?: DisplayUnits['strong'];
}

/** What was found, the best first; or why the text is not understood. */
export type Found =
  | { readonly ok: true; readonly shapes: readonly CatalogueShape[] }
  | { readonly ok: false; readonly reason: string };

type Reader = (one: CatalogueShape) => number;

interface Measure {
  readonly dimension: DimensionName;
  readonly read: Reader;
}
const property = (dimension: DimensionName, key: keyof Listed): Measure => ({
  dimension,
  read: (one) => listed(one)[key] ?? NaN,
});
const depth: Measure = { dimension: 'length', read: depthOf };

/** What a condition can be about: the names of the model format, and those that people write. */
const MEASURES: Readonly<Record<string, Measure>> = {
  h: depth,
  d: depth,
  b: { dimension: 'length', read: ({ shape }) => shape.b ?? shape.d ?? NaN },
  a: property('area', 'A'),
  i: property('inertia', 'Iz'),
  iz: property('inertia', 'Iz'),
  iy: property('inertia', 'Iy'),
  j: property('inertia', 'J'),
  w: property('modulus', 'Wz'),
  wz: property('modulus', 'Wz'),
  wy: property('modulus', 'Wy'),
  wplz: { dimension: 'modulus', read: (one) => plasticOf(one).Wplz ?? NaN },
  wply: { dimension: 'modulus', read: (one) => plasticOf(one).Wply ?? NaN },
  mass: property('massPerLength', 'mass'),
};

/** A name, a comparison, and what follows up to the next condition or comma. */
const CONDITION = /(?:^|[\s,])([a-z]+)\s*(<=|>=|<|>|≤|≥|=)\s*([^<>≤≥=,]*?)(?=\s*(?:$|,|\s+[a-z]+\s*(?:<|>|≤|≥|=)))/giu;

type Condition = (one: CatalogueShape) => boolean;

/** Takes the conditions out of a text; what is left are parts of names. */
function conditionsOf(
  text: string,
  strong: DisplayUnits['strong'],
): { readonly rest: string; readonly conditions: readonly Condition[] } | string {
  const conditions: Condition[] = [];
  let fault: string | undefined;
  const rest = text.replace(CONDITION, (_, name: string, sign: string, amount: string) => {
    const key = sectionSymbol(name.charAt(0).toUpperCase() + name.slice(1).toLowerCase(), { up: 'Y', strong }).toLowerCase();
    const measure = Object.hasOwn(MEASURES, key) ? MEASURES[key] : undefined;
    if (!measure)
      fault ??= `“${name}” is nothing that can be compared: write one of h, b, A, Iz, Iy, J, Wz, Wy, Wplz, Wply, mass`;
    else {
      // Behind the quantity a name may go on: “h > 300 mm ipe”.
      const words = amount.split(/\s+/);
      let count = words.length;
      let parsed = parseQuantity(amount, measure.dimension);
      while (!parsed.ok && count > 1) parsed = parseQuantity(words.slice(0, --count).join(' '), measure.dimension);
      const first = parseQuantity(amount, measure.dimension);
      if (!parsed.ok) fault ??= `“${name} ${sign} ${amount}” is not understood: ${first.ok ? '' : first.reason}`;
      else {
        const { value } = parsed;
        conditions.push((one) => holds(measure.read(one), sign, value));
        return ` ${words.slice(count).join(' ')} `;
      }
    }
    return ' ';
  });
  return fault ?? { rest, conditions };
}

const EQUAL = 0.005;

/** A value that is equal but for rounding counts as equal. */
function holds(value: number, sign: string, limit: number): boolean {
  const near = Math.abs(value - limit) <= 1e-9 * Math.abs(limit);
  // Depths and masses are asked for as they are called, which is rounded.
  if (sign === '=') return Math.abs(value - limit) <= EQUAL * Math.abs(limit);
  if (sign === '<=' || sign === '≤') return value < limit || near;
  if (sign === '>=' || sign === '≥') return value > limit || near;
  return !near && (sign === '<' ? value < limit : value > limit);
}

/** Characters of a search. */
const LONGEST = 200;

interface Name {
  readonly spellings: readonly string[];
  readonly words: string;
}
const nameOf = once(({ designation, family: { words, standard, id } }: CatalogueShape): Name => {
  const spellings = spellingsOf({ designation });
  return { spellings, words: `${spellings[0]!} ${words} ${standard} ${id}`.toLowerCase() };
});

/** A part that a family's words or its standard begin with; short ones are whole words there, numbers only of designations. */
const isSaid = (words: string, part: string): boolean =>
  part.length > 3 ? words.includes(` ${part}`) : /^[a-z]{3}$/.test(part) && new RegExp(` ${part}s?(?= |,|$)`).test(words);

/** How well a name fits: 0 is it, 1 begins so, 2 has it, 3 has all its parts; undefined where it does not. */
function rankOf(one: CatalogueShape, wholes: readonly string[], parts: readonly string[]): number | undefined {
  const { spellings, words } = nameOf(one);
  const fits = (how: (name: string, whole: string) => boolean): boolean =>
    wholes.some((whole) => spellings.some((name) => how(name, whole)));
  if (fits((name, whole) => name === whole)) return 0;
  if (fits((name, whole) => name.startsWith(whole))) return 1;
  if (fits((name, whole) => name.includes(whole))) return 2;
  return parts.every((part) => spellings.some((name) => name.includes(part)) || isSaid(words, part)) ? 3 : undefined;
}

const SORTS: Readonly<Record<Exclude<SortKey, 'as listed'>, Reader>> = {
  depth: depthOf,
  mass: (one) => listed(one).mass ?? listed(one).A,
  Iz: (one) => listed(one).Iz,
};

/** The shapes of the catalogue that a text and the filters ask for. */
export function searchCatalogue({ text, type, family, sort = 'as listed', strong = 'z' }: Wanted): Found {
  if (text.length > LONGEST) return { ok: false, reason: `The search is longer than ${LONGEST} characters` };
  const read = conditionsOf(text, strong);
  if (typeof read === 'string') return { ok: false, reason: read };
  const parts = read.rest.toLowerCase().replace(/[×*]/g, 'x').split(/[\s,]+/).filter(Boolean); // oxfmt-ignore
  const wholes = typedNames(parts.join(''));
  const ranked = catalogue().flatMap((one) => {
    if (type !== undefined && one.shape.type !== type) return [];
    if (family !== undefined && one.family.id !== family) return [];
    const rank = rankOf(one, wholes, parts);
    return rank === undefined || !read.conditions.every((condition) => condition(one)) ? [] : [{ one, rank }];
  });
  const by = sort === 'as listed' ? undefined : SORTS[sort];
  ranked.sort((a, b) => (by ? by(a.one) - by(b.one) : a.rank - b.rank));
  return { ok: true, shapes: ranked.map(({ one }) => one) };
}

/** The shape of this designation, however it is spaced; nothing where there is none. */
export function shapeCalled(designation: string): CatalogueShape | undefined {
  const names = typedNames(designation);
  return (
    catalogue().find((one) => names.includes(nameOf(one).spellings[0]!)) ??
    catalogue().find((one) => nameOf(one).spellings.some((name) => names.includes(name)))
  );
}

/** The next lighter or heavier shape of the same family and, where it has one, of the next mass. */
export function neighbour(one: CatalogueShape, way: 'lighter' | 'heavier'): CatalogueShape | undefined {
  const step = way === 'heavier' ? 1 : -1;
  const own = listed(one).A;
  const others = catalogue().filter((other) => other.family === one.family && step * (listed(other).A - own) > 1e-9 * own);
  return others.reduce<CatalogueShape | undefined>(
    (best, other) => (!best || step * (listed(other).A - listed(best).A) < 0 ? other : best),
    undefined,
  );
}
