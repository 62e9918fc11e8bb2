import { expect, test } from '@jest/globals';
import { formOf, type Schema } from './form';

test.each<[Schema, string]>([
  [{ type: 'integer', minimum: 2, maximum: 9 }, 'a whole number from 2 to 9'],
  [{ type: 'integer', minimum: 1 }, 'a whole number, at least 1'],
  [{ type: 'string', minLength: 8, maxLength: 64 }, 'a text of 8 to 64 letters'],
  [{ type: 'string', maxLength: 200 }, 'a text of at most 200 letters'],
  [{ type: 'string', format: 'binary' }, 'a file as it is'],
  [{ type: 'string', enum: ['a', 'b'] }, 'one of a · b'],
  [{ type: 'string', enum: ['put'] }, '“put”'],
  [{ type: 'array', items: { $ref: '#/components/schemas/PutEdit' } }, 'a list, each PutEdit'],
  [{ type: 'array', items: {} }, 'a list, each anything'],
  [{ type: ['object', 'null'] }, 'an object, or null'],
  [{ oneOf: [{ $ref: '#/components/schemas/A' }, { $ref: '#/components/schemas/B' }] }, 'one of A · B'],
])('%j is %s', (schema, words) => expect(formOf(schema)).toBe(words));
