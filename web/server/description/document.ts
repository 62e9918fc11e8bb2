import { ValidationTypes } from 'class-validator';
import type { ValidationMetadata } from 'class-validator/types/metadata/ValidationMetadata';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { FILE_BYTES } from '@rigid-beam/core/limits';
import { called, calledOf, entriesOf } from '../nested';
import { problems, type ProblemStatus } from '../problems';
import { MOST_WAITING } from '../work/jobs';
import * as queries from '../file-queries';
import * as requests from '../requests';
import * as answers from './answers';
import { groups, headers, operations, parameters, type Operation } from './operations';

type Class = new () => object;
type Schema = Readonly<Record<string, unknown>>;

const PREFIX = '#/components/schemas/';
function nameOf(one: Class): string {
  const name = calledOf(one);
  if (name === undefined)
    throw new Error('A class has no name: export it where the classes of requests, queries and answers are');
  return name;
}
const refTo = (one: Class): Schema => ({ $ref: PREFIX + nameOf(one) });

/** The names by which their rooms export the classes: those in the code may be shortened where it is built. */
for (const [name, one] of Object.entries({ ...requests, ...queries, ...answers }))
  if (typeof one === 'function' && /^[A-Z]\w+(Request|Query|Answer|Entry|Model|Project|Problem)$|^Problem$/u.test(name))
    called(one as Class, name);

/** What a property with its own class, or one of several by a word, is. */
function nested({ target, propertyName }: ValidationMetadata): Schema {
  const found = entriesOf(target as Class, propertyName);
  if (!found) return {};
  if ('of' in found) return refTo(found.of());
  const mapping = Object.fromEntries(found.classes.map(({ name, value }) => [name, PREFIX + nameOf(value)]));
  return { oneOf: found.classes.map(({ value }) => refTo(value)), discriminator: { propertyName: found.by, mapping } };
}

const count = ({ constraints }: ValidationMetadata): Schema => {
  const [minimum, maximum] = constraints as [number, number];
  return { type: 'integer', minimum, maximum };
};

/** Schemas of all classes that requests are checked by, and of the answers. */
const schemasOf = (): Readonly<Record<string, Schema>> =>
  validationMetadatasToSchemas({
    refPointerPrefix: PREFIX,
    additionalConverters: {
      [ValidationTypes.NESTED_VALIDATION]: nested as never,
      isCount: count as never,
      isObjectOrNull: { type: ['object', 'null'] as never },
      isMoment: { type: 'string', format: 'date-time' },
    },
  }) as never;

/** The schemas that some of them lead to, and no others. */
function reached(all: Readonly<Record<string, Schema>>, from: unknown): Record<string, Schema> {
  const found: Record<string, Schema> = {};
  const look = (part: unknown): void => {
    if (typeof part !== 'object' || part === null) return;
    for (const [key, value] of Object.entries(part)) {
      const name = key === '$ref' && typeof value === 'string' ? value.slice(PREFIX.length) : undefined;
      if (name === undefined) look(value);
      else if (!(name in found)) {
        const schema = all[name];
        if (!schema) throw new Error(`${name} is no class that says what it holds`);
        found[name] = schema;
        look(schema);
      }
    }
  };
  look(from);
  return found;
}

const json = (schema: Schema) => ({ 'application/json': { schema } });
const binary = { schema: { type: 'string', format: 'binary' } };

function pathOf(
  { name, group, words, path, query, body, answers: given, headers: own = [], problems: refusals = [] }: Operation,
  all: Readonly<Record<string, Schema>>,
): Schema {
  const inPath = [...path.matchAll(/\{(\w+)\}/gu)].map(([, part]) => ({
    ...{ name: part!, in: 'path', required: true, description: parameters[part!] },
    schema: { type: 'string' },
  }));
  const { properties = {}, required = [] } = (query ? all[nameOf(query)] : {}) as {
    properties?: Record<string, Schema>;
    required?: string[];
  };
  const inQuery = Object.entries(properties).map(([key, { description, ...schema }]) => ({
    ...{ name: key, in: 'query', schema },
    // A body of JSON says in itself what stands in the address where a file is sent.
    ...(required.includes(key) && !body?.file && { required: true }),
    ...(description !== undefined && { description }),
  }));
  const inHeaders = own.map((key) => ({ name: key, in: 'header', description: headers[key], schema: { type: 'string' } }));
  const told = given.map(({ status, words: description, is }) => [
    status,
    {
      description,
      ...(is && { content: isClass(is) ? json(refTo(is)) : Object.fromEntries(is.map((type) => [type, type === 'application/json' ? { schema: { type: 'object' } } : binary])) }),
    },
  ] as const); // oxfmt-ignore
  const refused = [...new Set<ProblemStatus>([...refusals, 401, 403, 500, 503])].map(
    (status) =>
      [
        status,
        { description: problems[status].title, content: { 'application/problem+json': { schema: refTo(answers.Problem) } } },
      ] as const,
  );
  const content = { ...(body?.json && json(refTo(body.json))), ...(body?.file && { 'application/octet-stream': binary }) };
  return {
    ...{ operationId: name, summary: words, tags: [groups[group]] },
    parameters: [...inPath, ...inQuery, ...inHeaders],
    ...(body && { requestBody: { required: true, content } }),
    responses: Object.fromEntries([...told, ...refused]),
    ...(['ready', 'describe'].includes(name) && { security: [] }),
  };
}

const isClass = (is: Class | readonly string[]): is is Class => typeof is === 'function';

let made: Schema | undefined;

/** The description of the interface (OpenAPI 3.1), of the very classes that check what is sent. */
export function openApi(): Schema {
  if (made) return made;
  const all = schemasOf();
  const paths: Record<string, Record<string, Schema>> = {};
  for (const one of operations) (paths[one.path] ??= {})[one.method] = pathOf(one, all);
  return (made = {
    openapi: '3.1.0',
    info: {
      title: 'Rigid Beam',
      version: '1',
      description: `A body is at most ${FILE_BYTES / 1024 / 1024} MiB, nested 24 levels deep; no more than ${MOST_WAITING} jobs wait at once, and their files are kept for a quarter of an hour.`,
    },
    servers: [{ url: '/' }],
    security: [{ token: [] }],
    tags: Object.values(groups).map((name) => ({ name })),
    paths,
    components: {
      securitySchemes: { token: { type: 'http', scheme: 'bearer', description: 'Made by “rigid-beam token make NAME”' } },
      schemas: reached(all, paths),
    },
  });
}
