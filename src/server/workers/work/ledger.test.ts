import { afterEach, describe, expect, it } from 'vitest';
import { parse, setCheckpoint } from '$core/language';
import { makeStandIns } from '$sources/stand-ins/stand-ins';
import { makeWorld } from '$sources/world/world';
import { tooLong } from '../too-long';
import { ledgerAt } from './ledger';

const world = makeWorld(500);
const query = () => parse('title:(quality OR (QA NOT (sales OR intern))) AND (pharma OR food) NOT title:head').query!;
const nobody = { fits: [], misses: [] };

afterEach(() => setCheckpoint(null));

/** The answer of a source when the time is up after so many checkpoints, and how many it comes by. */
function within(most: number, [source] = makeStandIns(world)) {
  let passed = 0;
  setCheckpoint(() => {
    if (++passed > most) throw tooLong();
  });
  return { answer: ledgerAt(query(), source!, nobody), passed };
}

describe('a ledger', () => {
  it('counts the whole string and says that its parts are not counted where there is no time for them', () => {
    const all = within(Infinity);
    expect(all.answer.unfinished).toBe(false);
    expect(all.answer.rows!.possible.length).toBeGreaterThan(5);
    const { answer } = within(all.passed - 1);
    expect(answer).toMatchObject({ unfinished: true, rows: null, narrowing: [] });
    expect(answer.found).toEqual(all.answer.found);
  });

  it('goes on to all parts when it is asked again with more time', () => {
    const all = within(Infinity);
    const standIns = makeStandIns(world);
    expect(within(all.passed - 1, standIns).answer.unfinished).toBe(true);
    expect(within(Infinity, standIns).answer).toEqual(all.answer);
  });

  it('passes on any other error', () => {
    setCheckpoint(() => {
      throw new Error('Something else');
    });
    expect(() => ledgerAt(query(), makeStandIns(world)[0]!, nobody)).toThrow('Something else');
  });
});
