import type { RequestEvent, RequestHandler } from '@sveltejs/kit';
import { ConnectionError, DatabaseError, ForeignKeyConstraintError } from 'sequelize';
import type { z } from 'zod';
import { Refusal } from '../refusal';
import type { Operation } from './contract';

interface Given<P, Q, B> {
  params: P;
  query: Q;
  body: B;
  event: RequestEvent;
}

/** A request handler for an operation: validates what comes in, and answers JSON or an RFC 9457 problem. */
export function endpoint<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  operation: Operation<P, Q, B, R>,
  handle: (given: Given<z.output<P>, z.output<Q>, z.output<B>>) => Promise<z.input<R> | void>
): RequestHandler {
  const takesParams = operation.path.includes('{');
  return async (event) => {
    try {
      const search = Object.fromEntries(event.url.searchParams);
      const params = check(operation.params, takesParams ? event.params : undefined, 'the address');
      const query = check(operation.query, Object.keys(search).length ? search : undefined, 'the address');
      const body = operation.body.safeParse(undefined).success
        ? (undefined as z.output<B>)
        : check(operation.body, (operation.upgrade ?? same)(await readBody(event.request)), 'what was sent');
      const answer = await handle({ params, query, body, event });
      return operation.status === 204
        ? new Response(null, { status: 204 })
        : Response.json(answer, { status: operation.status });
    } catch (error) {
      return problemResponse(error, `${event.request.method} ${event.url.pathname}`);
    }
  };
}

const same = (raw: unknown) => raw;

const halfSign = /\\u[dD][89a-fA-F]/;
const loneSurrogate = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

async function readBody(request: Request): Promise<unknown> {
  try {
    const text = await request.text();
    // PostgreSQL keeps no half of a sign, as a text cut in the middle of one may end with.
    return halfSign.test(text)
      ? JSON.parse(text, (_, value: unknown) =>
          typeof value === 'string' ? value.replaceAll(loneSurrogate, '\ufffd') : value
        )
      : JSON.parse(text);
  } catch (error) {
    if (error instanceof SyntaxError) throw new Refusal(400, 'Not JSON', 'What was sent is not valid JSON.');
    throw error;
  }
}

function check<S extends z.ZodType>(schema: S, value: unknown, where: string): z.output<S> {
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  const issues = read.error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
  const [first] = issues;
  throw new Refusal(422, 'Not accepted', `In ${where}: ${first!.path ? `${first!.path}: ` : ''}${first!.message}`, {
    issues
  });
}

/** Whether an error means that the database cannot be reached now. */
export function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  const cause = error instanceof DatabaseError ? error.parent : error;
  const { code, message } = (cause ?? {}) as { code?: string; message?: string };
  return (
    /^(57P0[123]|08\w{3}|ECONN\w+|EPIPE)$/.test(code ?? '') ||
    /Connection terminated|ConnectionManager/.test(message ?? '')
  );
}

/** PostgreSQL's text and JSON cannot hold the character zero. */
const isZeroByte = (error: unknown) =>
  error instanceof DatabaseError && /^(22021|22P05)$/.test((error.parent as { code?: string }).code ?? '');

const known = (error: unknown): Refusal | null => {
  if (error instanceof Refusal) return error;
  if (isDatabaseAway(error))
    return new Refusal(
      503,
      'Database away',
      'The database does not answer, so nothing was changed. What you typed is still on this page; it is kept as soon as the database is back.'
    );
  if (error instanceof ForeignKeyConstraintError)
    return new Refusal(
      404,
      'Not there',
      'What this belongs to is not there, or not any more: it may have been deleted in another tab. Nothing was changed; load the page again.'
    );
  if (isZeroByte(error))
    return new Refusal(
      422,
      'Not accepted',
      'The text holds a character that cannot be kept (code zero). Take it out and try again.'
    );
  if ((error as { status?: number }).status === 413)
    return new Refusal(413, 'Too large', 'This is larger than Eave takes. Split it and try again.');
  return null;
};

/** An error as `application/problem+json`; anything unforeseen is logged and told without its inside. */
export function problemResponse(error: unknown, where: string): Response {
  const refusal = known(error);
  if (!refusal) console.error(`${where}: ${error instanceof Error ? error.stack : String(error)}`);
  const { status, title, message, extra } =
    refusal ??
    new Refusal(
      500,
      'Unforeseen error',
      'Something went wrong in Eave itself. Nothing of yours was changed; the server’s log tells more.'
    );
  return new Response(JSON.stringify({ type: 'about:blank', title, status, detail: message, ...extra }), {
    status,
    headers: { 'content-type': 'application/problem+json' }
  });
}
