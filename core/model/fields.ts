import type { DimensionName } from '../quantities/dimension';

/** What one key of the model file holds. One table serves the reader, the check after every edit, the forms and the messages. */
export type Field =
  | {
      readonly kind: 'quantity';
      readonly dimension: DimensionName;
      readonly required?: true;
      readonly sign?: 'positive' | 'notNegative';
      readonly degrees?: true;
    }
  | { readonly kind: 'restraint'; readonly dimension: DimensionName }
  | { readonly kind: 'id'; readonly required?: true }
  | { readonly kind: 'text'; readonly required?: true; readonly most?: number }
  | { readonly kind: 'flag' }
  | { readonly kind: 'choice'; readonly of: readonly string[]; readonly required?: true }
  | { readonly kind: 'object'; readonly fields: Fields; readonly required?: true }
  | { readonly kind: 'vector'; readonly dimension: DimensionName; readonly required?: true }
  | { readonly kind: 'factors'; readonly required?: true }
  | { readonly kind: 'ids'; readonly required: true }
  | { readonly kind: 'names'; readonly required?: true }
  | { readonly kind: 'steps'; readonly required: true }
  | { readonly kind: 'picture'; readonly required: true }
  | {
      readonly kind: 'list';
      readonly of: Field;
      readonly most: number;
      readonly words: string;
      readonly least?: number;
      readonly required?: true;
    }
  | { readonly kind: 'corners' }
  | { readonly kind: 'place' };

export type Fields = { readonly [key: string]: Field };

export const quantity = (dimension: DimensionName): Field => ({ kind: 'quantity', dimension });
export const needed = (dimension: DimensionName): Field => ({ kind: 'quantity', dimension, required: true });
export const positive = (dimension: DimensionName): Field => ({ kind: 'quantity', dimension, sign: 'positive' });
export const neededPositive = (dimension: DimensionName): Field => ({
  kind: 'quantity',
  dimension,
  required: true,
  sign: 'positive',
});
/** Stored in degrees; a string with a unit is converted. */
export const degrees: Field = { kind: 'quantity', dimension: 'angle', degrees: true };
export const id: Field = { kind: 'id', required: true };
export const choice = (...of: readonly string[]): Field => ({ kind: 'choice', of });
export const each = (keys: readonly string[], field: (key: string) => Field): Fields =>
  Object.fromEntries(keys.map((key) => [key, field(key)]));

/** A load position is a ratio or a length; which, depends on `measure`. The reader resolves it. */
export const position = quantity('length');
export const intensity: Fields = { at: position, ...each(['wx', 'wy', 'wz'], () => quantity('intensity')) };
export const measure = choice('ratio', 'length');

/** The keys of a load that lies along members between two intensities. */
export const stretchFields: Fields = {
  axes: choice('global', 'local', 'projected'),
  measure,
  from: { kind: 'object', fields: intensity, required: true },
  to: { kind: 'object', fields: intensity, required: true },
};
