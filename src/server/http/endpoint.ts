import type { RequestEvent } from '@sveltejs/kit';
import type { AnyOperation } from '$api';
import { check } from '$server/platform/check';
import { environment } from '$server/platform/environment';
import { askingFor, type Asker } from '$server/workers/asker';
import { Json } from '$server/workers/people';
import type { AnyHandler } from './handlers';
import { problemResponse } from './problem';
import { readJsonBody } from './read-body';
import { SharedTurns } from './shared-turns';
import { Turns } from './turns';

/** Answers one request with what was found in its path. */
export type Endpoint = (event: RequestEvent, params: Record<string, string | undefined>) => Promise<Response>;

/** Answers requests for an operation: validates what comes in, and answers as its handler does or with an RFC 9457 problem. */
export function endpoint(operation: AnyOperation, handler: AnyHandler): Endpoint {
  const isLong = operation.long === true;
  const isRaw = typeof handler !== 'function';
  const takesParams = operation.path.includes('{');
  const takesBody = !isRaw && !operation.body.safeParse(undefined).success;
  const handle = (isRaw ? handler.raw : handler) as (given: object) => Promise<unknown>;
  return async (event, found) => {
    try {
      const search = Object.fromEntries(event.url.searchParams);
      const params = check(operation.params, takesParams ? found : undefined, 'the address');
      const query = check(operation.query, Object.keys(search).length ? search : undefined, 'the address');
      const work = async (): Promise<() => Response> => {
        const body = takesBody
          ? check(operation.body, await readJsonBody(event.request, operation.bodyLimit), 'what was sent')
          : undefined;
        const answer = await handle({ params, query, body, event });
        if (isRaw) return () => answer as Response;
        if (environment().checkAnswers) checkAnswer(operation, answer);
        if (operation.status === 204) return () => new Response(null, { status: 204 });
        // Serialized once, however many requests share the answer.
        const json = answer instanceof Json ? answer.bytes : new TextEncoder().encode(JSON.stringify(answer));
        return () => jsonBytes(json as Uint8Array<ArrayBuffer>, operation.status);
      };
      const asker = askerOf(event, operation);
      const answer =
        isLong && !isRaw && operation.method === 'GET'
          ? await sharedTurns.take(event.url.pathname + event.url.search, asker, work)
          : await askingFor(asker, () => turns.take(isLong, work));
      return answer();
    } catch (error) {
      return problemResponse(error, operation.path, event.locals.requestId);
    }
  };
}

/** Throws, naming the fields alone, where an answer is not what its schema says. */
function checkAnswer(operation: AnyOperation, answer: unknown): void {
  const reply: unknown = answer instanceof Json ? JSON.parse(new TextDecoder().decode(answer.bytes)) : answer;
  const read = operation.response.safeParse(reply);
  if (read.success) return;
  const wrong = read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
  throw new Error(`${operation.method} ${operation.path} answers otherwise than its schema says: ${wrong.join('; ')}`);
}

/** An answer that was written as JSON elsewhere. */
export const jsonBytes = (json: Uint8Array<ArrayBuffer>, status: number = 200): Response =>
  new Response(json, { status, headers: { 'content-type': 'application/json' } });

const turns = new Turns({ most: 8, patience: 120, counts: 500 });
const sharedTurns = new SharedTurns<() => Response>(turns);

/** Each tab of a page names itself, so that those who ask much take turns with the others. */
const pageHeader = 'x-eave-page';

function askerOf({ request }: RequestEvent, { within }: AnyOperation): Asker {
  const id = request.headers.get(pageHeader)?.slice(0, 60) ?? 'no page';
  return { id, signal: request.signal, ...(within !== undefined && { within }) };
}
