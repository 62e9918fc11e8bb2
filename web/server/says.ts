import { JSONSchema } from 'class-validator-jsonschema';

/** Words for a property, which the description of the interface gives beside its form. */
export const Says = (description: string): PropertyDecorator => JSONSchema({ description }) as PropertyDecorator;
