import type { CatalogueShape } from './family';

/** A name in small letters without spaces; × is written x. */
export const plain = (text: string): string => text.toLowerCase().replace(/[×*]/g, 'x').replace(/\s+/g, '');

/** European wide flanges as their standard writes them: HE 300 B. */
const WIDE: Readonly<Record<string, string>> = { hea: 'a', heb: 'b', hem: 'm', heaa: 'aa' };

/** Nominal depths of W shapes, inches and millimetres, as they are called by both. */
const NOMINAL: Readonly<Record<string, string>> = {
  ...{ 4: '100', 5: '130', 6: '150', 8: '200', 10: '250', 12: '310', 14: '360', 16: '410', 18: '460', 21: '530', 24: '610' },
  ...{ 27: '690', 30: '760', 33: '840', 36: '920', 40: '1000', 44: '1100' },
};
/** kg/m in lb/ft. */
const PER_POUND = 0.45359237 / 0.3048;

/**
 * The plain names of a shape, its designation first: square tubes and equal angles with one side, wide flanges with their letter behind,
 * American shapes by millimetres and kg/m, Australian ones by their mass without decimals, British ones in the other order.
 */
export function spellingsOf({ designation }: Pick<CatalogueShape, 'designation'>): readonly string[] {
  const name = plain(designation);
  const others: string[] = [];
  const [, wide, size] = /^(heaa|hea|heb|hem)(\d+)$/.exec(name) ?? [];
  if (wide) others.push(`he${size}${WIDE[wide]!}`);
  const [, kind, a, b, wall] = /^(shs|hss|l)([\d.]+)x([\d.]+)x(.+)$/.exec(name) ?? [];
  if (kind && a === b) others.push(`${kind}${a}x${wall!}`);
  const [, inches, pounds] = /^w(\d+)x([\d.]+)$/.exec(name) ?? [];
  if (inches && NOMINAL[inches]) {
    const mass = Number(pounds) * PER_POUND;
    for (const text of new Set([mass.toFixed(1), mass.toFixed(0)])) others.push(`w${NOMINAL[inches]}x${text}`);
  }
  const [, depth, letters, mass] = /^(\d+)(ub|uc)(\d+\.\d+)$/.exec(name) ?? [];
  if (depth) others.push(`${depth}${letters!}${Number(mass).toFixed(0)}`);
  const [, series, rest] = /^(ub|uc|pfc)(\d+x\d+x\d+)$/.exec(name) ?? [];
  if (series) others.push(`${rest!}${series}`);
  return [name, ...others];
}

/** What somebody typed, as a plain name; and without the dashes that some write behind letters: HEA-300. */
export const typedNames = (text: string): readonly string[] => {
  const name = plain(text);
  const bare = name.replace(/(?<=[a-z])[-_](?=\d)/g, '');
  return bare === name ? [name] : [name, bare];
};
