import { answerSchema, askSchema } from '$sources/connector/protocol';
import * as z from 'zod';
import { documentSchemas } from '$api/documents';
import { jobSchema, personSchema } from '$core/people';
import { searchSchema, sheetSchema } from '$core/dialect';
import { estimateSchema, figuresSchema, foundSchema, searchAnswerSchema } from '$core/measure';
import { problemSchema, querySchema } from '$core/language';
import { changeSchema } from '$core/suggest';
import { briefFileSchema } from '$api/brief-file';
import type { OperationName } from '$api/paths';
import { verdictShape } from '$api/shapes';
import { summaries } from '$api/summaries';
import { contract, type AnyOperation } from '$api';

const problem = z.object({
  type: z
    .string()
    .describe('Path that ends in the stable code of this kind of problem; ask it for its title and status'),
  title: z.string(),
  status: z.int(),
  detail: z.string().describe('What happened and what to do, in a sentence')
});

/** Schemas that many operations share, by the name that the document gives them. */
const named = z.registry<{ id: string }>();
const { jointEffect, listTrials, listVersions, readBrief, readImport, readSource, readTrial, sideBySide } = contract;
const shared: Record<string, z.ZodType> = {
  Problem: problem,
  Brief: readBrief.response,
  BriefHead: contract.createBrief.response,
  BriefFile: briefFileSchema,
  Change: changeSchema,
  Choice: documentSchemas.choice,
  Diary: contract.readDiary.response,
  Draft: documentSchemas.draft,
  Effect: jointEffect.response.shape.effects.element,
  Estimate: estimateSchema,
  Figures: figuresSchema,
  Found: foundSchema,
  CutBy: contract.cutsOfSlice.response.element.shape.by,
  Harvest: contract.readHarvest.response,
  HarvestPerson: contract.listHarvestPeople.response.shape.people.element,
  HarvestBudget: contract.startHarvest.body.shape.budget,
  Kept: contract.listKept.response.shape.people.element,
  ColumnProfile: contract.writeProfile.body.shape.body,
  Shortlist: contract.readShortlist.response,
  Leaving: contract.previewExport.body,
  WatchRun: contract.runsOfWatch.response.element,
  Rhythm: contract.createWatch.body.options[0].shape.rhythm,
  WatchRules: contract.createWatch.body.options[1].shape.people.shape.rules,
  HandRow: contract.addEntry.body.shape.rows.unwrap().element,
  Import: readImport.response,
  Job: jobSchema,
  Person: personSchema,
  Persona: documentSchemas.persona,
  Query: querySchema,
  Rendering: contract.ledger.response.shape.rendering,
  Search: searchSchema,
  SearchAnswer: searchAnswerSchema,
  Sheet: sheetSchema,
  Sides: sideBySide.response,
  Source: readSource.response,
  StringProblem: problemSchema,
  VerdictOnPerson: verdictShape,
  Trial: listTrials.response.element,
  TrialDetail: readTrial.response,
  Version: listVersions.response.element,
  WordSet: contract.createWordSet.response,
  WordSets: documentSchemas.wording
};
for (const [id, schema] of Object.entries(shared)) named.add(schema, { id });

type JsonSchema = Record<string, unknown>;
type Side = 'input' | 'output';

const dialect = { target: 'draft-2020-12', unrepresentable: 'any', cycles: 'ref' } as const;

const jsonSchema = (schema: z.ZodType, io: Side, described = false): JsonSchema => {
  const json = z.toJSONSchema(schema, {
    ...dialect,
    io,
    metadata: named,
    // What every whole number in JSON is bound by need not be said.
    override: ({ zodSchema, jsonSchema: one }) => {
      const description = described && z.globalRegistry.get(zodSchema)?.description;
      if (description) one.description = description;
      // Nor how a format is spelled that has a name.
      if (one.format !== undefined) delete one.pattern;
      if (one.minimum === Number.MIN_SAFE_INTEGER) delete one.minimum;
      if (one.maximum === Number.MAX_SAFE_INTEGER) delete one.maximum;
    }
  }) as JsonSchema;
  delete json.$schema;
  return json;
};

/** Makes the references of one schema point to where the document keeps what they name. */
const referring = (json: unknown, to: (name: string) => string): unknown => {
  if (Array.isArray(json)) return json.map((one) => referring(one, to));
  if (typeof json !== 'object' || json === null) return json;
  return Object.fromEntries(
    Object.entries(json).map(([key, value]) => {
      const name = key === '$ref' && typeof value === 'string' && /^#\/\$defs\/(.*)$/.exec(value)?.[1];
      return [key, name ? to(name) : referring(value, to)];
    })
  );
};

/** The components of one document. What is sent may be written otherwise than what is answered: then it has its own name. */
class Components {
  readonly schemas: Record<string, unknown> = {};
  readonly #described: boolean;

  /** `described`: with what is said of each field, for a document that somebody reads. */
  constructor(described = false) {
    this.#described = described;
  }

  /** A schema with references into the document, in place of what is named. */
  of(schema: z.ZodType, io: Side): unknown {
    const whole = jsonSchema(schema, io, this.#described);
    const { $defs = {}, id, ...json } = whole as JsonSchema & { $defs?: Record<string, JsonSchema>; id?: string };
    if (id !== undefined) $defs[id] = json;
    const nameOf = (name: string) => (io === 'input' && this.#differs(name) ? `${name}Sent` : name);
    const to = (name: string) => `#/components/schemas/${nameOf(name)}`;
    for (const [name, part] of Object.entries($defs)) {
      delete part.id;
      this.schemas[nameOf(name)] ??= referring(part, to);
    }
    return id === undefined ? referring(json, to) : { $ref: to(id) };
  }

  readonly #known = new Map<string, boolean>();
  #differs(name: string): boolean {
    let differs = this.#known.get(name);
    if (differs === undefined) {
      const [sent, answered] = (['input', 'output'] as const).map((io) =>
        JSON.stringify(jsonSchema(shared[name]!, io))
      );
      this.#known.set(name, (differs = sent !== answered));
    }
    return differs;
  }
}

/** A schema without references, for what is sent. */
const alone = (schema: z.ZodType) => {
  const json = z.toJSONSchema(schema, { ...dialect, io: 'input' });
  delete json.$schema;
  return json;
};

const isNone = (schema: z.ZodType) => schema instanceof z.ZodUndefined;

function parameters(schema: z.ZodType, where: 'path' | 'query') {
  if (isNone(schema)) return [];
  const json = alone(schema) as { properties: Record<string, unknown>; required?: string[] };
  return Object.entries(json.properties).map(([name, shape]) => ({
    name,
    in: where,
    required: where === 'path' || (json.required ?? []).includes(name),
    schema: shape
  }));
}

function describeOperation(name: OperationName, operation: AnyOperation, components: Components) {
  return {
    operationId: name,
    summary: summaries[name],
    parameters: [...parameters(operation.params, 'path'), ...parameters(operation.query, 'query')],
    ...(!isNone(operation.body) && {
      requestBody: {
        required: true,
        content: { 'application/json': { schema: components.of(operation.body, 'input') } }
      }
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
          content: {
            [operation.streams ? 'text/event-stream' : 'application/json']: {
              schema: components.of(operation.response, 'output')
            }
          }
        })
      },
      default: { $ref: '#/components/responses/Refused' }
    }
  };
}

/** The JSON Schema (2020-12) of a capability sheet: what can be imported as one. */
export const sheetJsonSchema = () => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Capability sheet of a people-search source',
  ...alone(sheetSchema)
});

/** The JSON Schema (2020-12) of a brief's file: what leaves as one and comes back in. */
export const briefJsonSchema = () => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'A brief of Eave with all that belongs to it',
  ...alone(briefFileSchema)
});

/** The OpenAPI 3.1 document of what a connected service answers (docs/connector.md). */
export function connectorOpenApi() {
  const components = new Components(true);
  const json = (schema: z.ZodType, io: Side) => ({
    content: { 'application/json': { schema: components.of(schema, io) } }
  });
  const refusals = {
    401: { description: 'The key is not taken; 403 likewise' },
    429: {
      description: 'Too many requests for now',
      headers: { 'Retry-After': { description: 'Seconds, or a date', schema: { type: 'string' } } }
    }
  };
  const paths = {
    '/sheet': {
      get: {
        operationId: 'sheet',
        summary: 'The capability sheet: what can be asked here, and how',
        responses: { 200: { description: 'The sheet', ...json(sheetSchema, 'input') }, ...refusals }
      }
    },
    '/search': {
      post: {
        operationId: 'search',
        summary: 'One page of the result of one search, which is in the form of the sheet',
        requestBody: { required: true, ...json(askSchema, 'output') },
        responses: {
          200: { description: 'The page', ...json(answerSchema, 'input') },
          400: { description: 'No search of this protocol' },
          ...refusals
        }
      }
    }
  };
  return {
    openapi: '3.1.0',
    info: { title: 'Eave connector', version: '1', description: 'What a place answers so that Eave can ask it.' },
    security: [{ key: [] }, {}],
    paths,
    components: { schemas: components.schemas, securitySchemes: { key: { type: 'http', scheme: 'bearer' } } }
  };
}

/** The OpenAPI 3.1 document of the API, made from the schemas that validate it. */
export function openApi() {
  const components = new Components();
  const paths: Record<string, Record<string, unknown>> = {};
  for (const [name, operation] of Object.entries(contract) as [OperationName, AnyOperation][])
    (paths[operation.path] ??= {})[operation.method.toLowerCase()] = describeOperation(name, operation, components);
  return {
    openapi: '3.1.0',
    info: { title: 'Eave', version: '1', description: 'Everything the screens do.' },
    paths,
    components: {
      schemas: components.schemas,
      responses: {
        Refused: {
          description: 'Refused, with a sentence (RFC 9457)',
          content: { 'application/problem+json': { schema: components.of(problem, 'output') } }
        }
      }
    }
  };
}
