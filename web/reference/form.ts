import { reference as WORDS } from './words';

/** A part of a schema, as far as this page reads it. */
export interface Schema {
  readonly type?: string | readonly string[];
  readonly description?: string;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly items?: Schema;
  readonly enum?: readonly unknown[];
  readonly oneOf?: readonly Schema[];
  readonly $ref?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly format?: string;
}

/** The name of a class that a schema leads to. */
export const nameOf = ({ $ref }: Schema): string | undefined => $ref?.slice('#/components/schemas/'.length);

/** What a value may be, in words. */
export function formOf(schema: Schema): string {
  const { type, items, minimum, maximum, minLength, maxLength } = schema;
  const name = nameOf(schema);
  if (name !== undefined) return name;
  if (schema.oneOf) return WORDS.oneOf(schema.oneOf.map(formOf));
  if (schema.enum) return schema.enum.length === 1 ? WORDS.just(String(schema.enum[0])) : WORDS.oneOf(schema.enum.map(String));
  const one = Array.isArray(type) ? (type as readonly string[]).find((each) => each !== 'null') : (type as string | undefined);
  const words = ((): string => {
    switch (one) {
      case 'string':
        return schema.format === 'binary' ? WORDS.aFile : WORDS.letters(minLength, maxLength);
      case 'integer':
        return WORDS.from(WORDS.wholeNumber, minimum, maximum);
      case 'number':
        return WORDS.from(WORDS.aNumber, minimum, maximum);
      case 'boolean':
        return WORDS.yesOrNo;
      case 'array':
        return WORDS.list(items && Object.keys(items).length > 0 ? formOf(items) : WORDS.anything);
      case 'object':
        return WORDS.anObject;
      default:
        return WORDS.anything;
    }
  })();
  return Array.isArray(type) && type.includes('null') ? WORDS.orNothing(words) : words;
}
