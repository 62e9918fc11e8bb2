import { expectedDimension } from './expected';
import { neededPositive, type Fields } from './fields';
import type { Entity } from './findings';
import { combinationFields, listFields, loadFields, optionalLists, structureFields } from './schema';

const lists: ReadonlyMap<string, Fields> = new Map(Object.entries({ ...listFields, ...optionalLists }));

/** What the keys of an entry of a list hold; undefined for a type that is not known. */
export function fieldsOfEntry(list: string, entry: Entity): Fields | undefined {
  if (list === 'loads') return ofType(loadFields, entry);
  if (list === 'combinations') return ofType(combinationFields, entry);
  if (list === 'structures') return ofType(structureFields, entry);
  if (list === 'expected') return { ...optionalLists.expected, value: neededPositive(expectedDimension(entry.quantity)) };
  return lists.get(list);
}

/** The fields of an entry that has a type. */
export function ofType(tables: { readonly [type: string]: Fields }, entry: Entity): Fields | undefined {
  const { type } = entry;
  return typeof type === 'string' && Object.hasOwn(tables, type) ? withPositions(tables[type]!, entry) : undefined;
}

/** Load positions are plain ratios unless `measure` is `length`. */
function withPositions(fields: Fields, load: Entity): Fields {
  if (load.measure === 'length' || !('at' in fields || 'from' in fields)) return fields;
  const ratio = { kind: 'quantity', dimension: 'number' } as const;
  const swap = (inner: Fields): Fields => ({ ...inner, at: ratio });
  if ('at' in fields) return { ...fields, at: { ...ratio, required: true } };
  const { from, to } = fields;
  return {
    ...fields,
    ...(from?.kind === 'object' && { from: { ...from, fields: swap(from.fields) } }),
    ...(to?.kind === 'object' && { to: { ...to, fields: swap(to.fields) } }),
  };
}
