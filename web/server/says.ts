import { JSONSchema } from 'class-validator-jsonschema';

/** Words for a property, which the description of the interface gives beside its form. */
export const Says = (description: string): PropertyDecorator => JSONSchema({ description }) as PropertyDecorator;

/** Properties that headers may say: a body without them is sound as well. */
export const InHeadersToo = (...names: readonly string[]): ClassDecorator =>
  JSONSchema((schema) => ({
    ...schema,
    required: (schema.required ?? []).filter((name) => !names.includes(name)),
  })) as ClassDecorator;
