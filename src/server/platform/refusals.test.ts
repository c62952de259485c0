import { describe, expect, it } from 'vitest';
import { Refusal } from './refusal';
import { refusals, refuse } from './refusals';

describe('the catalogue of refusals', () => {
  it('has a code of lower-case words, an HTTP error and a short title for each', () => {
    for (const [code, { status, title }] of Object.entries(refusals)) {
      expect(code).toMatch(/^[a-z]+(-[a-z]+)*$/);
      expect(status, code).toBeGreaterThanOrEqual(400);
      expect(title, code).toMatch(/^[A-Z][^.]{2,40}$/);
    }
  });

  it('makes a sentence of what is given, and keeps code and extra from thread to thread', () => {
    const refusal = refuse('not-run-there', 3, 'Harrow Guild').with({ version: 3 });
    expect(refusal.message).toBe('Version 3 has no results from Harrow Guild yet. Run it there first.');
    const received = Refusal.of(structuredClone(refusal.serialize()));
    expect(JSON.parse(received.problem())).toEqual({
      type: '/api/problems/not-run-there',
      status: 409,
      title: 'Not run there',
      detail: refusal.message,
      version: 3
    });
  });

  it('fills every sentence with what it is given', () => {
    const samples = ['Cold chain', 'cold', 'warm', 'other'];
    for (const [code, { detail }] of Object.entries(refusals)) {
      const said = (detail as (...given: unknown[]) => string)(
        ...samples
          .slice(0, detail.length)
          .map((sample, i) =>
            code === 'word-set-in-use' && i === 1
              ? [sample]
              : code === 'own-value-not-a-choice' && i === 2
                ? [sample]
                : sample
          )
      );
      expect(said, code).not.toMatch(/undefined|\[object|NaN/);
      expect(said.length, code).toBeGreaterThan(3);
    }
  });
});
