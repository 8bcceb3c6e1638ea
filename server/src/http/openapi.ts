import { z } from 'zod';
import { Case, Guide } from '@pause/core';
import { BODIES, FindRecord, FindSummary, KINDS } from '@pause/core/notebook';
import { Pack, QUESTIONS } from '@pause/core/questions';

type Json = Record<string, unknown>;

const jsonSchema = (schema: z.ZodType): Json => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, {
    target: 'draft-2020-12',
    unrepresentable: 'any',
    io: 'input',
  }) as Json;
  return rest;
};

/** The published JSON Schemas (2020-12), by name: `/api/v1/schemas/guide` and so on. */
export const SCHEMAS: Readonly<Record<string, z.ZodType>> = { guide: Guide, pack: Pack, case: Case };

export function publishedSchema(name: string): Json | undefined {
  const schema = Object.hasOwn(SCHEMAS, name) ? SCHEMAS[name] : undefined;
  return schema
    ? { $schema: 'https://json-schema.org/draft/2020-12/schema', title: name, ...jsonSchema(schema) }
    : undefined;
}

const problem = {
  description: 'Refused',
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
};
const json = (schema: Json) => ({ 'application/json': { schema } });
const found = (description: string, schema: Json = {}) => ({ description, content: json(schema) });
const post = (summary: string, schema: Json, ok: Json) => ({
  post: {
    summary,
    requestBody: { required: true, content: json(schema) },
    responses: { ...ok, default: problem },
  },
});
const get = (summary: string, schema: Json = {}) => ({
  get: { summary, responses: { 200: found(summary, schema), default: problem } },
});
const findParameter = {
  parameters: [{ name: 'find', in: 'path', required: true, schema: { type: 'string' } }],
};
const appended = { 200: found('It had arrived before, with the same content'), 201: found('Added') };

/** The OpenAPI 3.1 document of this interface, made from the schemas that parse the requests. */
export function openApi(): Json {
  made ??= document();
  return made;
}
let made: Json | undefined;

const document = (): Json => ({
  openapi: '3.1.0',
  info: {
    title: 'Pause',
    version: '1',
    description:
      'Readings are only ever added. Ids are made by the client, so that sending twice changes nothing.',
    license: { name: 'MIT', identifier: 'MIT' },
  },
  servers: [{ url: '/api/v1' }],
  paths: { ...generalPaths(), ...findPaths(), ...questionPaths() },
  components: { schemas: { Guide: jsonSchema(Guide), Problem: PROBLEM } },
});

const generalPaths = (): Json => ({
  '/health': get('Whether the server and its database answer'),
  '/me': get('Who keeps this notebook, and its clock'),
  '/openapi.json': get('This document'),
  '/schemas/{name}': {
    parameters: [{ name: 'name', in: 'path', required: true, schema: { enum: Object.keys(SCHEMAS) } }],
    ...get('A JSON Schema of an open format'),
  },
  '/guides/{version}': {
    parameters: [{ name: 'version', in: 'path', required: true, schema: { type: 'string' } }],
    ...get('A guide by its content hash', { $ref: '#/components/schemas/Guide' }),
  },
  '/groups/{group}/confusion': {
    parameters: [{ name: 'group', in: 'path', required: true, schema: { type: 'string' } }],
    ...get('What the people of a group take for what in practice, added up without names'),
  },
  '/recalls': get('What was gathered and made and no longer holds, with all that descends from it'),
});

const findPaths = (): Json => ({
  '/finds': {
    ...get('The newest finds', {
      type: 'object',
      properties: { finds: { type: 'array', items: jsonSchema(FindSummary) } },
    }),
    ...post('Begin a find', jsonSchema(BODIES.finds), appended),
  },
  '/finds/{find}': {
    ...findParameter,
    ...get('A find with everything that was added to it', jsonSchema(FindRecord)),
  },
  ...Object.fromEntries(
    KINDS.filter((kind) => kind !== 'finds').map((kind) => [
      `/finds/{find}/${kind}`,
      { ...findParameter, ...post(`Add to the ${kind} of a find`, jsonSchema(BODIES[kind]), appended) },
    ]),
  ),
});

const questionPaths = (): Json =>
  Object.fromEntries(
    Object.entries(QUESTIONS).map(([name, { says, schema }]) => [
      `/${name}`,
      post(says, jsonSchema(schema), { 200: found(says) }),
    ]),
  );

const PROBLEM: Json = {
  type: 'object',
  required: ['type', 'title', 'status'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    errors: {
      type: 'array',
      items: { type: 'object', properties: { field: { type: 'string' }, reason: { type: 'string' } } },
    },
  },
};
