import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { nearly, type JsonSchema } from '../generate/json-of-schema';
import { api } from './browser';

// Every operation that the API's own document lists, given what is nearly right: it answers, or refuses with a sentence.

interface Operation {
  operationId: string;
  parameters?: { name: string; in: 'path' | 'query'; schema: JsonSchema }[];
  requestBody?: { content: Record<string, { schema?: JsonSchema }> };
  responses: Record<string, { content?: Record<string, unknown> }>;
}
interface Listed {
  method: string;
  path: string;
  operation: Operation;
}
const {
  paths,
  components: { schemas: named }
} = await api<{
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: Record<string, JsonSchema> };
}>('GET', '/openapi.json');
const listed: Listed[] = Object.entries(paths).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, operation]) => ({ method: method.toUpperCase(), path, operation }))
);
// A stream of events has no end to wait for.
const answering = listed.filter(({ operation }) =>
  Object.values(operation.responses).every(({ content }) => !content?.['text/event-stream'])
);
const nobody = '00000000-0000-4000-8000-000000000000';
let briefId: string;
beforeAll(async () => {
  briefId = (await api<{ id: string }>('POST', '/briefs', { name: 'Awkward' })).id;
  await api('POST', `/briefs/${briefId}/versions`, { text: 'title:"head of quality" NOT software' });
});
// What was begun is not left to those who come after: trials of this brief would wait before theirs.
afterAll(async () => {
  const { revision } = await api<{ revision: number }>('GET', `/briefs/${briefId}`);
  await api('PATCH', `/briefs/${briefId}`, { archived: true, revision });
  await api('DELETE', `/briefs/${briefId}`);
});

async function expectAnswer(method: string, path: string, body?: unknown) {
  const response = await fetch(`${inject('address')}${path}`, {
    method,
    ...(body !== undefined && { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
  });
  const received = await response.text();
  const asked = `${method} ${path} ${JSON.stringify(body)?.slice(0, 400)} → ${response.status} ${received.slice(0, 400)}`;
  // Not being ready is an answer of that operation, not a fault of it.
  if (path === '/api/health/ready' && response.status === 503) return;
  expect(response.status, asked).toBeLessThan(500);
  if (response.status < 400) return;
  expect(response.headers.get('content-type'), asked).toBe('application/problem+json');
  const { status, title, detail } = JSON.parse(received) as { status: number; title: string; detail: string };
  expect(status).toBe(response.status);
  expect(title.length, asked).toBeGreaterThan(3);
  // A sentence, and not what a library says of types.
  expect(detail.length, asked).toBeGreaterThan(15);
}

/** The path with its parts filled in: those of the test's own brief where `real`, otherwise of nothing that is there. */
const filled = (path: string, real: boolean) =>
  path.replace(/\{(\w+)\}/g, (_, name: string) => {
    if (name === 'id' && path.startsWith('/api/briefs/')) return real ? briefId : nobody;
    if (name === 'source') return real ? 'harrow-guild' : 'nobody';
    if (name === 'judge') return 'second';
    if (name === 'name') return 'no-such-set';
    return nobody;
  });
/** Operations besides reading that keep nothing. */
const asking = new Set(['parse', 'render', 'read', 'counts', 'senses', 'elsewhere'].map((name) => `/api/${name}`));
/** What others rely on is asked for, not changed: only briefs of the test's own are written to with what may be right. */
const isSafe = ({ method, path }: Listed) =>
  method === 'GET' || asking.has(path) || (path.startsWith('/api/briefs/{id}/') && method !== 'DELETE');

describe('every operation of the API, given what is nearly right', () => {
  it('lists them all', () => expect(listed.length).toBeGreaterThan(80));

  it.each(answering.map((one) => [`${one.method} ${one.path}`, one] as const))('%s', async (_, one) => {
    const { method, path, operation } = one;
    const content = operation.requestBody?.content ?? {};
    const schema = content['application/json']?.schema ?? (operation.requestBody && {});
    const query = (operation.parameters ?? []).filter((parameter) => parameter.in === 'query');
    const safe = isSafe(one);
    const bodies = schema && safe ? nearly(schema, named) : fc.constantFrom<unknown>(null, 7, 'text', [], { x: 1 });
    const asked = fc.record({
      real: safe ? fc.boolean() : fc.constant(false),
      body: schema ? bodies : fc.constant(undefined),
      search: fc.tuple(...query.map(({ schema: one }) => fc.option(nearly(one, named), { nil: undefined })))
    });
    await fc.assert(
      fc.asyncProperty(asked, async ({ real, body, search }) => {
        const received = new URLSearchParams();
        search.forEach((value, i) => {
          if (value !== undefined)
            received.set(query[i]!.name, typeof value === 'string' ? value : JSON.stringify(value));
        });
        await expectAnswer(method, `${filled(path, real)}${received.size ? `?${received}` : ''}`, body);
      }),
      { numRuns: 22, seed: 20_261_125 }
    );
  });
});
