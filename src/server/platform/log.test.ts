import { DatabaseError } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { causeOf } from './log';

describe('an error in the log', () => {
  it('tells the SQLSTATE and where, and never what somebody typed', () => {
    const parent = Object.assign(new Error('duplicate key: (Anna Secret)'), {
      code: '23505',
      table: 'verdicts',
      constraint: 'verdicts_pkey',
      sql: `INSERT 'Anna Secret'`,
      parameters: ['Anna Secret']
    });
    const received = causeOf(new DatabaseError(parent));
    expect(JSON.stringify(received)).not.toContain('Secret');
    expect(received.cause).toMatchObject({ sqlstate: '23505', table: 'verdicts', constraint: 'verdicts_pkey' });
    let syntax: unknown;
    try {
      JSON.parse('{"name": Secret}');
    } catch (error) {
      syntax = error;
    }
    expect(JSON.stringify(causeOf(syntax))).not.toContain('Secret');
  });

  it('tells the message of a fault of our own', () => {
    expect(causeOf(new TypeError('x is not a function'))).toMatchObject({
      type: 'TypeError',
      message: 'x is not a function'
    });
    expect(causeOf('text')).toEqual({ type: 'string' });
  });
});
