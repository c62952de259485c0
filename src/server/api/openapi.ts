import { z } from 'zod';
import { sheetSchema } from '$core/dialect';
import { briefFileSchema } from './brief-file';
import { contract, type AnyOperation } from './contract';

const problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string().describe('What happened and what to do, in a sentence')
});

const schemaOf = (schema: z.ZodType, io: 'input' | 'output') => {
  const json = z.toJSONSchema(schema, { target: 'draft-2020-12', io, unrepresentable: 'any', cycles: 'ref' });
  delete json.$schema;
  return json;
};

const isNone = (schema: z.ZodType) => schema instanceof z.ZodUndefined;

function parameters(schema: z.ZodType, where: 'path' | 'query') {
  if (isNone(schema)) return [];
  const json = schemaOf(schema, 'input') as { properties: Record<string, unknown>; required?: string[] };
  return Object.entries(json.properties).map(([name, shape]) => ({
    name,
    in: where,
    required: where === 'path' || (json.required ?? []).includes(name),
    schema: shape
  }));
}

function describeOperation(name: string, operation: AnyOperation) {
  return {
    operationId: name,
    summary: operation.summary,
    parameters: [...parameters(operation.params, 'path'), ...parameters(operation.query, 'query')],
    ...(!isNone(operation.body) && {
      requestBody: { required: true, content: { 'application/json': { schema: schemaOf(operation.body, 'input') } } }
    }),
    ...(name === 'receiveFile' && {
      requestBody: {
        required: true,
        content: { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } }
      }
    }),
    responses: {
      [operation.status]: {
        description: 'Done',
        ...(!isNone(operation.response) && {
          content: { 'application/json': { schema: schemaOf(operation.response, 'output') } }
        })
      },
      default: {
        description: 'Refused, with a sentence (RFC 9457)',
        content: { 'application/problem+json': { schema: schemaOf(problem, 'output') } }
      }
    }
  };
}

/** The JSON Schema (2020-12) of a capability sheet: what can be imported as one. */
export const sheetJsonSchema = () => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Capability sheet of a people-search source',
  ...schemaOf(sheetSchema, 'input')
});

/** The JSON Schema (2020-12) of a brief's file: what leaves as one and comes back in. */
export const briefJsonSchema = () => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'A brief of Eave with all that belongs to it',
  ...schemaOf(briefFileSchema, 'input')
});

/** The OpenAPI 3.1 document of the API, made from the schemas that validate it. */
export function openApi() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const [name, operation] of Object.entries(contract) as [string, AnyOperation][])
    (paths[operation.path] ??= {})[operation.method.toLowerCase()] = describeOperation(name, operation);
  return { openapi: '3.1.0', info: { title: 'Eave', version: '1', description: 'Everything the screens do.' }, paths };
}
