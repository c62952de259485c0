import type { RequestEvent, RequestHandler } from '@sveltejs/kit';
import { ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import type * as z from 'zod';
import { driverErrorOf, isDatabaseAway, isDiskFull } from '$server/platform/database/away';
import { environment } from '$server/platform/environment';
import { NotNow } from '$server/platform/jobs/not-now';
import { log } from '$server/platform/log';
import { Refusal } from '$server/platform/refusal';
import { askingFor, type Asker } from '$server/workers/asker';
import { Json } from '$server/workers/people';
import type { AnyOperation, Operation } from '$api';
import { check } from '$server/platform/check';
import { readJsonBody } from './read-body';
import { SharedTurns } from './shared-turns';
import { Turns } from './turns';

interface Given<P, Q, B> {
  params: P;
  query: Q;
  body: B;
  event: RequestEvent;
}

/** A request handler for an operation: validates what comes in, and answers JSON or an RFC 9457 problem. */
export function endpoint<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  operation: Operation<P, Q, B, R>,
  handle: (given: Given<z.output<P>, z.output<Q>, z.output<B>>) => Promise<z.input<R> | Json<z.input<R>> | void>
): RequestHandler {
  const takesBody = !operation.body.safeParse(undefined).success;
  return answering(operation, operation.method === 'GET', async ({ params, query, event }) => {
    const body = takesBody
      ? check(operation.body, await readJsonBody(event.request, operation.bodyLimit), 'what was sent')
      : (undefined as z.output<B>);
    const answer = await handle({ params, query, body, event });
    if (environment().checkAnswers) checkAnswer(operation, answer);
    if (operation.status === 204) return () => new Response(null, { status: 204 });
    // Written once, however many wait for it.
    const json = answer instanceof Json ? answer.bytes : new TextEncoder().encode(JSON.stringify(answer));
    return () => jsonBytes(json, operation.status);
  });
}

/** Throws, naming the fields alone, where an answer is not what its schema says. */
function checkAnswer(operation: AnyOperation, answer: unknown): void {
  const reply: unknown = answer instanceof Json ? JSON.parse(new TextDecoder().decode(answer.bytes)) : answer;
  const read = operation.response.safeParse(reply);
  if (read.success) return;
  const wrong = read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
  throw new Error(`${operation.method} ${operation.path} answers otherwise than its schema says: ${wrong.join('; ')}`);
}

/** A request handler for an operation whose body, or answer, is read or written elsewhere. */
export function rawEndpoint<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  operation: Operation<P, Q, B, R>,
  handle: (given: Omit<Given<z.output<P>, z.output<Q>, never>, 'body'>) => Promise<Response>
): RequestHandler {
  return answering(operation, false, async (given) => {
    const response = await handle(given);
    return () => response;
  });
}

/** An answer that was written as JSON elsewhere. */
export const jsonBytes = (json: Uint8Array<ArrayBuffer>, status: number = 200): Response =>
  new Response(json, { status, headers: { 'content-type': 'application/json' } });

function answering<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  operation: Operation<P, Q, B, R>,
  canShare: boolean,
  handle: (given: Omit<Given<z.output<P>, z.output<Q>, never>, 'body'>) => Promise<() => Response>
): RequestHandler {
  const isLong = operation.long === true;
  const takesParams = operation.path.includes('{');
  return async (event) => {
    try {
      const search = Object.fromEntries(event.url.searchParams);
      const params = check(operation.params, takesParams ? event.params : undefined, 'the address');
      const query = check(operation.query, Object.keys(search).length ? search : undefined, 'the address');
      const work = () => handle({ params, query, event });
      const asker = askerOf(event, operation);
      const answer =
        isLong && canShare
          ? await sharedTurns.take(event.url.pathname + event.url.search, asker, work)
          : await askingFor(asker, () => turns.take(isLong, work));
      return answer();
    } catch (error) {
      return problemResponse(error, event.route.id ?? '', event.locals.requestId);
    }
  };
}

const turns = new Turns({ most: 8, patience: 120, counts: 500 });
const sharedTurns = new SharedTurns<() => Response>(turns);

/** Each tab of a page names itself, so that those who ask much take turns with the others. */
const pageHeader = 'x-eave-page';

function askerOf({ request }: RequestEvent, { within }: AnyOperation): Asker {
  const id = request.headers.get(pageHeader)?.slice(0, 60) ?? 'no page';
  return { id, signal: request.signal, ...(within !== undefined && { within }) };
}

const known = (error: unknown): Refusal | null => {
  if (error instanceof Refusal) return error;
  if (isDatabaseAway(error))
    return new Refusal(
      503,
      'Database away',
      'Couldn’t reach the database, so nothing was changed. Your changes are kept on this page and will be saved when it is back.'
    );
  if (error instanceof NotNow)
    return new Refusal(503, 'Interrupted', 'This was interrupted before it finished. Nothing was changed. Try again.');
  if (error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY')
    return new Refusal(
      503,
      'Out of memory',
      'This needs more memory than the server has, so it was stopped. Nothing was changed. Do less at once.'
    );
  if (isDiskFull(error))
    return new Refusal(
      507,
      'Disk full',
      'The disk is full, so nothing was saved. Free up space on the machine that runs Eave or its database, then try again.'
    );
  const { code = '' } = driverErrorOf(error);
  if (error instanceof ForeignKeyConstraintError || code === '23503')
    return new Refusal(
      404,
      'Not there',
      'This no longer exists; it may have been deleted in another tab. Nothing was changed. Reload the page.'
    );
  if (error instanceof UniqueConstraintError || code === '23505')
    return new Refusal(
      409,
      'There already',
      'This already exists, or was sent twice. Nothing was changed. Reload the page.'
    );
  // PostgreSQL's text and JSON cannot hold the character zero, nor half a sign.
  if (/^(22021|22P05)$/.test(code))
    return new Refusal(
      422,
      'Invalid input',
      'The text contains a character that can’t be saved (code zero). Remove it and try again.'
    );
  if (/^(22003|22P02|22007|22008)$/.test(code))
    return new Refusal(422, 'Invalid input', 'A number or date is out of range.');
  if ((error as { status?: number } | null)?.status === 413)
    return new Refusal(413, 'Too large', 'This is too large. Split it and try again.');
  return null;
};

/** An error as `application/problem+json`; anything unforeseen is logged and told without its inside. */
export function problemResponse(error: unknown, route: string, request: string): Response {
  const refusal = known(error);
  if (!refusal) log().error({ err: error, route, request }, 'unforeseen error');
  else if (refusal.status >= 500) log().warn({ err: error, route, request, status: refusal.status }, 'not answered');
  return problem(
    refusal ??
      new Refusal(
        500,
        'Unforeseen error',
        'Something went wrong in Eave. Nothing was changed. The server’s log has the details.'
      )
  );
}

/** A refusal as RFC 9457 has it. */
export function problem(refusal: Refusal): Response {
  const { status } = refusal;
  return new Response(refusal.problem(), {
    status,
    headers: {
      'content-type': 'application/problem+json',
      // What was not read of a body is not waited for.
      ...(status === 413 && { connection: 'close' })
    }
  });
}
