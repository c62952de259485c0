import { ConnectionError, DatabaseError, ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { NotNow } from '$server/platform/jobs/not-now';
import { refuse } from '$server/platform/refusals';
import { problemResponse } from './problem';

/** An error as Sequelize hands on what PostgreSQL says by its SQLSTATE (PostgreSQL documentation, appendix A). */
const said = (code: string) => new DatabaseError(Object.assign(new Error('said'), { code, sql: '' }));
const coded = (code: string) => Object.assign(new Error('of the system'), { code });

describe('an error', () => {
  it.each([
    ['a refusal', refuse('no-fits'), 409, 'no-fits'],
    ['a cut connection', new ConnectionError(new Error('cut')), 503, 'database-away'],
    ['a database that shuts down', said('57P01'), 503, 'database-away'],
    ['a connection refused', coded('ECONNREFUSED'), 503, 'database-away'],
    ['a closed client', new Error('Client was closed and is not queryable'), 503, 'database-away'],
    ['work that a thread gave up', new NotNow('Broken off.'), 503, 'interrupted'],
    ['a thread without memory', coded('ERR_WORKER_OUT_OF_MEMORY'), 503, 'out-of-memory'],
    ['a full disk of the database', said('53100'), 507, 'disk-full'],
    ['a full disk here', coded('ENOSPC'), 507, 'disk-full'],
    ['what it belongs to is gone', new ForeignKeyConstraintError({}), 404, 'gone'],
    ['the same, reported by PostgreSQL itself', coded('23503'), 404, 'gone'],
    ['something twice', new UniqueConstraintError({}), 409, 'already-exists'],
    ['the same, reported by PostgreSQL itself', coded('23505'), 409, 'already-exists'],
    ['a cut connection, reported by the driver', new Error('Connection terminated unexpectedly'), 503, 'database-away'],
    ['a character zero', said('22021'), 422, 'unsavable-character'],
    ['a number beyond the column', said('22003'), 422, 'out-of-range'],
    ['a body that is too large', Object.assign(new Error('large'), { status: 413 }), 413, 'body-too-large'],
    ['a syntax error of our own', said('42601'), 500, 'unforeseen'],
    ['anything unforeseen', new Error('a secret of the inside'), 500, 'unforeseen']
  ])('becomes a problem with a sentence: %s', async (_, error, status, code) => {
    const response = problemResponse(error, '/api/route', 'request');
    expect(response.status).toBe(status);
    expect(response.headers.get('content-type')).toBe('application/problem+json');
    const received = (await response.json()) as { detail: string };
    expect(received).toMatchObject({ type: `/api/problems/${code}`, status });
    expect(received.detail).toMatch(/^[A-Z].{20,}\.$/);
    expect(JSON.stringify(received)).not.toContain('secret');
  });
});
