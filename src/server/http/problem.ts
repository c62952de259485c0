import { ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import { driverErrorOf, isDatabaseAway, isDiskFull } from '$server/platform/database/away';
import { NotNow } from '$server/platform/jobs/not-now';
import { log } from '$server/platform/log';
import { Refusal } from '$server/platform/refusal';
import { refuse } from '$server/platform/refusals';

const known = (error: unknown): Refusal | null => {
  if (error instanceof Refusal) return error;
  if (isDatabaseAway(error)) return refuse('database-away');
  if (error instanceof NotNow) return refuse('interrupted');
  if (error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY')
    return refuse('out-of-memory');
  if (isDiskFull(error)) return refuse('disk-full');
  const { code = '' } = driverErrorOf(error);
  if (error instanceof ForeignKeyConstraintError || code === '23503') return refuse('gone');
  if (error instanceof UniqueConstraintError || code === '23505') return refuse('already-exists');
  // PostgreSQL's text and JSON cannot hold the character zero, nor half a sign.
  if (/^(22021|22P05)$/.test(code)) return refuse('unsavable-character');
  if (/^(22003|22P02|22007|22008)$/.test(code)) return refuse('out-of-range');
  if ((error as { status?: number } | null)?.status === 413) return refuse('body-too-large', 0);
  return null;
};

/** An error as `application/problem+json`; anything unforeseen is logged and told without its inside. */
export function problemResponse(error: unknown, route: string, request: string): Response {
  const refusal = known(error);
  if (!refusal) log().error({ err: error, route, request }, 'unforeseen error');
  else if (refusal.status >= 500) log().warn({ err: error, route, request, status: refusal.status }, 'not answered');
  return problem(refusal ?? refuse('unforeseen'));
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
