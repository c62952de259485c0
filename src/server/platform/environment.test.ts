import { describe, expect, it } from 'vitest';
import { readEnvironment } from './environment';

const DATABASE_URL = 'postgres://eave@127.0.0.1/eave';

describe('the settings', () => {
  it('have a usual value each, and names to answer by from ORIGIN and EAVE_HOSTS', () => {
    expect(readEnvironment({ DATABASE_URL })).toMatchObject({
      host: '127.0.0.1',
      port: 4310,
      hosts: [],
      log: 'stdout'
    });
    const set = { DATABASE_URL, ORIGIN: 'https://eave.example/x', EAVE_HOSTS: ' One.example, ,two.example' };
    expect(readEnvironment(set)).toMatchObject({
      hosts: ['one.example', 'two.example', 'eave.example'],
      origin: 'https://eave.example'
    });
  });

  it('are refused together, each by its name, in a sentence', () => {
    const wrong = { DATABASE_URL: 'mysql://x', HOST: '0.0.0.0', PORT: 'x', EAVE_LOG: 'paper' };
    for (const name of Object.keys(wrong)) expect(() => readEnvironment(wrong)).toThrow(new RegExp(`${name} `));
    expect(() => readEnvironment({ DATABASE_URL, HOST: '0.0.0.0' })).toThrow(/no sign-in/);
    expect(() => readEnvironment({})).toThrow(/npm start/);
  });
});
