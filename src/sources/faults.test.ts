import { describe, expect, it } from 'vitest';
import { demoMinute, FaultyPlace, noFaults, Refused, TimedOut, type Clock } from './faults';

function testClock(): Clock & { time: number } {
  const clock = {
    time: 0,
    now: () => clock.time,
    sleep: (milliseconds: number) => {
      clock.time += milliseconds;
      return Promise.resolve();
    }
  };
  return clock;
}
const ask = (page: number) =>
  Promise.resolve({ said: 1000, people: [{ id: `p${page}`, name: `Person ${page}` }], last: page === 99 });

describe('a place with faults', () => {
  it('without any is the place itself', async () => {
    const place = new FaultyPlace(2, testClock());
    for (let page = 0; page < 10; page++) expect(await place.page(ask, page, 's', noFaults)).toEqual(await ask(page));
  });

  it('refuses too many requests in a minute and says how long to wait, after which it answers', async () => {
    const clock = testClock();
    const place = new FaultyPlace(3, clock);
    const faults = { ...noFaults, refusals: true };
    for (let page = 0; page < 3; page++) {
      await place.page(ask, page, 's', faults);
      clock.time += 100;
    }
    const refused = await place.page(ask, 3, 's', faults).catch((error: unknown) => error);
    expect(refused).toBeInstanceOf(Refused);
    expect((refused as Refused).wait).toBe(demoMinute - 300);
    clock.time += (refused as Refused).wait;
    expect((await place.page(ask, 3, 's', faults)).people[0]!.id).toBe('p3');
  });

  it('times out, repeats a page and drifts now and then, and answers rightly when asked again', async () => {
    const place = new FaultyPlace(null, testClock());
    const faults = { ...noFaults, timeOuts: true, repeats: true, drift: true };
    let [timeOuts, repeats] = [0, 0];
    const said = new Set<number>();
    for (let page = 0; page < 100; page++) {
      let answer = await place.page(ask, page, 's', faults).catch((error: unknown) => {
        expect(error).toBeInstanceOf(TimedOut);
        timeOuts++;
        return null;
      });
      answer ??= await place.page(ask, page, 's', faults);
      if (answer.people[0]!.id !== `p${page}`) {
        repeats++;
        answer = await place.page(ask, page, 's', faults);
      }
      expect(answer.people[0]!.id).toBe(`p${page}`);
      said.add(answer.said);
    }
    expect(timeOuts).toBeGreaterThan(0);
    expect(timeOuts).toBeLessThan(12);
    expect(repeats).toBeGreaterThan(0);
    expect(said.size).toBeGreaterThan(10);
    expect(Math.min(...said)).toBeGreaterThanOrEqual(970);
  });
});
