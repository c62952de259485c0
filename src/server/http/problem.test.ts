import { ConnectionError, DatabaseError, ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { NotNow } from '$server/platform/jobs/not-now';
import { Refusal } from '$server/platform/refusal';
import { problemResponse } from './problem';

/** An error as Sequelize hands on what PostgreSQL says by its SQLSTATE (PostgreSQL documentation, appendix A). */
const said = (code: string) => new DatabaseError(Object.assign(new Error('said'), { code, sql: '' }));
const coded = (code: string) => Object.assign(new Error('of the system'), { code });

describe('an error', () => {
  it.each([
    ['a refusal', new Refusal(409, 'In use', 'It is used by “Cold chain”. Take it out there first.'), 409, 'In use'],
    ['a line that was cut', new ConnectionError(new Error('cut')), 503, 'Database away'],
    ['a database that shuts down', said('57P01'), 503, 'Database away'],
    ['a connection refused', coded('ECONNREFUSED'), 503, 'Database away'],
    ['a closed client', new Error('Client was closed and is not queryable'), 503, 'Database away'],
    ['work that a thread gave up', new NotNow('Broken off.'), 503, 'Interrupted'],
    ['a thread without memory', coded('ERR_WORKER_OUT_OF_MEMORY'), 503, 'Out of memory'],
    ['a full disk of the database', said('53100'), 507, 'Disk full'],
    ['a full disk here', coded('ENOSPC'), 507, 'Disk full'],
    ['what it belongs to is gone', new ForeignKeyConstraintError({}), 404, 'Not there'],
    ['the same, told by PostgreSQL itself', coded('23503'), 404, 'Not there'],
    ['something twice', new UniqueConstraintError({}), 409, 'There already'],
    ['the same, told by PostgreSQL itself', coded('23505'), 409, 'There already'],
    [
      'a line that was cut, told by the driver itself',
      new Error('Connection terminated unexpectedly'),
      503,
      'Database away'
    ],
    ['a character zero', said('22021'), 422, 'Invalid input'],
    ['a number beyond the column', said('22003'), 422, 'Invalid input'],
    ['a body that is too large', Object.assign(new Error('large'), { status: 413 }), 413, 'Too large'],
    ['a syntax error of our own', said('42601'), 500, 'Unforeseen error'],
    ['anything unforeseen', new Error('a secret of the inside'), 500, 'Unforeseen error']
  ])('is told with a sentence: %s', async (_, error, status, title) => {
    const response = problemResponse(error, '/api/route', 'request');
    expect(response.status).toBe(status);
    expect(response.headers.get('content-type')).toBe('application/problem+json');
    const received = (await response.json()) as { status: number; title: string; detail: string };
    expect(received).toMatchObject({ status, title });
    expect(received.detail).toMatch(/^[A-Z].{20,}\.$/);
    expect(JSON.stringify(received)).not.toContain('secret');
  });
});
