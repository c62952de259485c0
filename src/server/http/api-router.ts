import type { RequestEvent } from '@sveltejs/kit';
import findMyWay, { type HTTPMethod } from 'find-my-way';
import { contract, type AnyOperation } from '$api';
import { isRefusalCode, refusals, refuse } from '$server/platform/refusals';
import { endpoint, type Endpoint } from './endpoint';
import type { AnyHandler, Handlers } from './handlers';
import { briefJsonSchema, connectorOpenApi, openApi, sheetJsonSchema } from './openapi';
import { problem } from './problem';

const methods = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;

/** What describes the API and its files to programs. */
const documents = {
  '/api/openapi.json': openApi,
  '/api/connector.openapi.json': connectorOpenApi,
  '/api/brief.schema.json': briefJsonSchema,
  '/api/sheet.schema.json': sheetJsonSchema
};

/** Answers every request under /api by the contract; what it doesn't have gets a 404, or a 405 that says what is allowed. */
export function apiRouter(handlers: Handlers): (event: RequestEvent) => Promise<Response> {
  // SvelteKit has refused longer addresses before.
  const router = findMyWay({ maxParamLength: 10_000 });
  for (const name of Object.keys(contract) as (keyof Handlers)[]) {
    const operation: AnyOperation = contract[name];
    const { method, path } = operation;
    const answer = endpoint(operation, handlers[name] as AnyHandler);
    // A handler's store is what the router finds; its own calling convention, of Node's requests, is not used.
    router.on(method, path.replaceAll(/\{(\w+)\}/g, ':$1'), () => {}, { path, answer });
  }
  for (const [path, document] of Object.entries(documents)) {
    const answer: Endpoint = async () => Response.json(document());
    router.on('GET', path, () => {}, { path, answer });
  }
  const describe: Endpoint = async (_, { code = '' }) => {
    if (!isRefusalCode(code)) return problem(refuse('not-found', `The problem “${code}”`));
    const { status, title } = refusals[code];
    return Response.json({ code, status, title });
  };
  router.on('GET', '/api/problems/:code', () => {}, { path: '/api/problems/{code}', answer: describe });
  return async (event) => {
    const { pathname } = event.url;
    // RFC 9110, 9.3.2: HEAD is answered as GET is, without the body.
    const method = event.request.method === 'HEAD' ? 'GET' : event.request.method;
    const found = router.find(method as HTTPMethod, pathname);
    if (!found) return nothingAt(pathname, event.request.method, (one) => router.find(one, pathname) !== null);
    const { path, answer } = found.store as { path: string; answer: Endpoint };
    event.locals.route = path;
    event.locals.brief = found.params.id;
    const response = await answer(event, found.params);
    return event.request.method === 'HEAD' ? new Response(null, response) : response;
  };
}

function nothingAt(pathname: string, method: string, takes: (method: HTTPMethod) => boolean): Response {
  const allowed = methods.filter(takes);
  if (!allowed.length) return problem(refuse('no-such-address', pathname));
  const refused = problem(refuse('method-not-allowed', pathname, method));
  // RFC 9110, 15.5.6: it says what is allowed.
  refused.headers.set('allow', [...allowed, ...(allowed.includes('GET') ? ['HEAD'] : [])].join(', '));
  return refused;
}
