import { expect, test } from '@jest/globals';
import { Validator } from '@seriousme/openapi-schema-validator';
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { intentArguments } from '@rigid-beam/core/model/edits/intent';
import { openApi } from './document';
import { operations } from './operations';

const document = openApi() as {
  paths: Record<string, Record<string, { operationId: string }>>;
  components: {
    schemas: Record<string, { type?: string; properties?: Record<string, object>; required?: string[]; oneOf?: object[] }>;
  };
};

test('the description is sound OpenAPI 3.1', async () => {
  const found = await new Validator().validate(JSON.parse(JSON.stringify(document)) as never);
  expect(found).toEqual({ valid: true });
  const text = JSON.stringify(document);
  for (const [, name] of text.matchAll(/"#\/components\/schemas\/([^"]+)"/gu))
    expect(document.components.schemas).toHaveProperty(name!);
});

const api = path.join(__dirname, '..', '..', 'app', 'api');

test('every route is in it, with every method that it answers, and nothing else', async () => {
  const routes = readdirSync(api, { recursive: true, encoding: 'utf8' }).filter(
    (file) => path.basename(file) === 'route.ts' && !file.includes('...'),
  );
  const { notAllowed } = await import('../respond');
  const there: string[] = [];
  for (const file of routes) {
    const at = `/api/${path.dirname(file).replaceAll('[', '{').replaceAll(']', '}')}`;
    const methods = (await import(path.join(api, file))) as Record<string, unknown>;
    for (const method of ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'])
      if (methods[method] && methods[method] !== notAllowed) there.push(`${method.toLowerCase()} ${at}`);
  }
  expect(there.toSorted()).toEqual(operations.map(({ method, path: at }) => `${method} ${at}`).toSorted());
});

test('what checks an edit is what describes it: each kind with its arguments, and what may be left out', () => {
  const { schemas } = document.components;
  const kinds = Object.keys(intentArguments).map((kind) => `${kind.charAt(0).toUpperCase()}${kind.slice(1)}Edit`);
  expect(Object.keys(schemas)).toEqual(expect.arrayContaining(kinds));
  expect(schemas['RevisionRequest']).toMatchObject({
    properties: {
      base: { type: 'integer', minimum: 0 },
      edit: { type: 'string', minLength: 8, maxLength: 64 },
      kind: { enum: ['edit', 'undo', 'redo'] },
      intent: { oneOf: kinds.map((name) => ({ $ref: `#/components/schemas/${name}` })), discriminator: { propertyName: 'type' } },
    },
    required: ['intent'],
  });
  expect(schemas['MoveNodesEdit']).toMatchObject({
    properties: {
      type: { enum: ['moveNodes'] },
      moves: { type: 'array', minItems: 1, items: { $ref: '#/components/schemas/MoveNodesEditArgumentsMoves' } },
    },
    required: expect.arrayContaining(['type', 'moves']),
  });
  expect(schemas['MoveNodesEditArgumentsMoves']!.required).toEqual(expect.arrayContaining(['id', 'x', 'y']));
  expect(schemas['MoveNodesEditArgumentsMoves']!.required).toHaveLength(3);
  expect(schemas['UnderlayEdit']).toMatchObject({ properties: { change: { type: ['object', 'null'] } } });
});
