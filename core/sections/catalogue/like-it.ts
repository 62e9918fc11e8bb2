import { searchCatalogue } from './search';

/** What may have been meant by a designation that is unknown: shapes of the same family or the same numbers. */
export function likeIt(designation: string): string {
  for (const text of [designation.replace(/[\d.x/ ]+$/i, ''), designation.replace(/^\D+/, '')]) {
    const found = text === '' ? undefined : searchCatalogue({ text });
    if (found?.ok && found.shapes.length > 0) return `; it has ${found.shapes.slice(0, 3).map((one) => one.designation).join(', ')}`; // oxfmt-ignore
  }
  return '';
}
