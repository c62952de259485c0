import { ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import { driverErrorOf, isDatabaseAway, isDiskFull } from '$server/platform/database/away';
import { NotNow } from '$server/platform/jobs/not-now';
import { log } from '$server/platform/log';
import { Refusal } from '$server/platform/refusal';

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
