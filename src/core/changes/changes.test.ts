import * as fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/random';
import { emptyPersona } from '../persona/persona';
import { applyDifferences, differences, type Known } from './differences';
import { driftOf, reachDrift } from './drift';
import { steadyFacts, type Facts } from './watched';
import { nextTime, rhythmFault } from './rhythm';
import { watchName } from './watch-name';
import { factsOf } from './watched';
import { whyNew } from './why-new';

const facts = fc.record(
  { title: fc.constantFrom('QA', 'Head'), company: fc.constantFrom('A', 'B'), place: fc.constantFrom('x', 'y') },
  { requiredKeys: [] }
);
const key = fc.constantFrom('a', 'b', 'c', 'd', 'e');
const received = fc.dictionary(key, facts).map((one) => new Map(Object.entries(one as Record<string, Facts>)));
const knownOf = fc
  .dictionary(key, fc.record({ present: fc.boolean(), facts }))
  .map((one) => new Map(Object.entries(one as Record<string, Known>)));

describe('differences', () => {
  it('applied to the earlier set give the later one', () => {
    fc.assert(
      fc.property(knownOf, received, (known, now) => {
        const after = applyDifferences(known, differences(known, now));
        expect(new Set([...after].filter(([, { present }]) => present).map(([name]) => name))).toEqual(
          new Set(now.keys())
        );
        for (const [name, one] of now) expect(after.get(name)!.facts).toMatchObject(one);
        for (const [name] of known) expect(after.has(name)).toBe(true);
        // What was reported once is not reported again.
        expect(differences(after, now)).toEqual([]);
      })
    );
  });

  it('tell new, changed, left and back again, old and new side by side', () => {
    const known = new Map<string, Known>([
      ['a', { present: true, facts: { title: 'QA', company: 'A' } }],
      ['b', { present: true, facts: { title: 'QA' } }],
      ['c', { present: false, facts: { title: 'QA' } }],
      ['d', { present: true, facts: { title: 'QA', place: 'x' } }]
    ]);
    const now = new Map<string, Facts>([
      ['a', { title: 'Head', company: 'A' }],
      ['c', { title: 'QA' }],
      ['d', { title: 'QA' }],
      ['e', { title: 'New' }]
    ]);
    expect(differences(known, now)).toEqual([
      {
        kind: 'changed',
        key: 'a',
        facts: { title: 'Head', company: 'A' },
        changes: [{ field: 'title', before: 'QA', now: 'Head' }]
      },
      { kind: 'back', key: 'c', facts: { title: 'QA' }, changes: [] },
      { kind: 'new', key: 'e', facts: { title: 'New' } },
      { kind: 'left', key: 'b' }
    ]);
  });
});

describe('why somebody is new', () => {
  it.each([
    [null, { title: 'QA' }, 'not seen before'],
    [{ company: 'Old A/S' }, { company: 'New' }, 'moved here from Old A/S'],
    [{ company: 'Old A/S' }, { company: 'OLD', place: 'x' }, 'the profile changed'],
    [{ title: 'Quality Manager' }, { title: 'Quality Director' }, 'promoted from Quality Manager'],
    [{ title: 'Quality Director' }, { title: 'Quality Manager' }, 'was Quality Director'],
    [{ country: 'Denmark' }, { country: 'Sweden' }, 'came from Denmark'],
    [{ headcount: '40' }, { headcount: '60' }, 'the firm grew from 40 to 60']
  ])('%j, %j: %s', (before, now, why) => expect(whyNew(before, now)).toBe(why));
  it('goes by what a record tells', () => {
    expect(
      factsOf({
        id: '1',
        name: 'A',
        country: 'DK',
        contact: ['x.example', 'A@B.example'],
        jobs: [{ title: 'Old', company: 'O', to: '2020' }]
      })
    ).toEqual({ name: 'A', country: 'Denmark', mail: 'a@b.example' });
  });
});

describe('a rhythm', () => {
  const weekly = { rule: 'FREQ=WEEKLY;BYDAY=MO,TH', from: '2026-03-02', hour: 6, zone: 'Europe/Copenhagen' };
  it('comes at the same hour of the clock on both sides of daylight saving', () => {
    expect(nextTime(weekly, '2026-03-27T00:00:00Z')).toBe('2026-03-30T04:00:00.000Z');
    expect(nextTime(weekly, '2026-03-23T00:00:00Z')).toBe('2026-03-23T05:00:00.000Z');
    // 02:00 is left out on the day on which clocks are put forward.
    const night = { rule: 'FREQ=DAILY', from: '2026-03-01', hour: 2, zone: 'Europe/Copenhagen' };
    expect(nextTime(night, '2026-03-28T23:30:00Z')).toBe('2026-03-29T01:00:00.000Z');
  });
  it('always comes later, on one of its days, and ends where the rule says', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2026-03-02'), max: new Date('2030-01-01'), noInvalidDate: true }),
        (date) => {
          const next = nextTime(weekly, date.toISOString())!;
          expect(Date.parse(next)).toBeGreaterThan(date.getTime());
          const there = DateTime.fromISO(next, { zone: weekly.zone });
          expect([1, 4]).toContain(there.weekday);
          expect(there.hour).toBe(6);
          expect(there.diff(DateTime.fromJSDate(date)).as('days')).toBeLessThan(5);
        }
      )
    );
    expect(nextTime({ ...weekly, rule: 'FREQ=DAILY;COUNT=2' }, '2026-03-10T00:00:00Z')).toBeNull();
    expect(
      nextTime({ ...weekly, rule: 'FREQ=MONTHLY;BYMONTHDAY=31', from: '2026-01-01' }, '2026-02-01T12:00:00Z')
    ).toBe('2026-03-31T04:00:00.000Z');
  });
  it('says what is wrong with it', () => {
    expect(rhythmFault({ rule: 'FREQ=WEEKLY', zone: 'Europe/Oslo' })).toBeNull();
    expect(rhythmFault({ rule: 'every monday', zone: 'Europe/Oslo' })).toContain('RFC 5545');
    expect(rhythmFault({ rule: 'FREQ=SECONDLY', zone: 'Europe/Oslo' })).toContain('daily');
    expect(rhythmFault({ rule: 'FREQ=DAILY', zone: 'Europe/Nowhere' })).toContain('time zone');
  });
});

describe('small changes', () => {
  it('are reported from a threshold on, and once small steps have added up to it', () => {
    let known = { headcount: '100', title: 'QA' } as Facts;
    const reported: string[] = [];
    for (const headcount of ['104', '107', '109', '110', '115', '121', '109', '108']) {
      const now = steadyFacts(known, { headcount, title: 'QA' }, { headcount: 10 });
      if (now.headcount !== known.headcount) reported.push(headcount);
      known = now;
    }
    expect(reported).toEqual(['110', '121', '108']);
    expect(steadyFacts({ title: 'QA' }, { title: 'QA Manager' }, { headcount: 10 })).toEqual({ title: 'QA Manager' });
    expect(steadyFacts({ place: 'Oslo' }, { place: 'Bergen' }, { place: null })).toEqual({ place: 'Oslo' });
    expect(steadyFacts({}, { headcount: '5' }, { headcount: null })).toEqual({ headcount: '5' });
  });
});

describe('a drift of precision', () => {
  const drawn = (luck: () => number, judged: number, share: number) =>
    Array.from({ length: judged }, () => luck() < share);
  const counted = (verdicts: readonly boolean[]) => ({
    fits: verdicts.filter(Boolean).length,
    judged: verdicts.length
  });
  /** The share of worlds in which it is reported within the verdicts, looked at after every so many. */
  const alarms = (
    seed: string,
    before: number,
    verdicts: (luck: () => number) => boolean[],
    every: number,
    worlds: number
  ) => {
    let received = 0;
    for (let world = 0; world < worlds; world++) {
      const luck = seededRandom(`${seed} ${world}`);
      const was = counted(drawn(luck, before, 0.7));
      const all = verdicts(luck);
      for (let seen = every; seen <= all.length; seen += every)
        if (driftOf(was, all.slice(0, seen)) === 'worse') {
          received++;
          break;
        }
    }
    return received / worlds;
  };

  it.each([10, 40, 100])('raises at most 5%% false alarms over 26 looks, after %i verdicts before', (before) => {
    for (const every of [2, 10])
      expect(
        alarms(`same ${before} ${every}`, before, (luck) => drawn(luck, 26 * every, 0.7), every, 800),
        `${every} a look`
      ).toBeLessThanOrEqual(0.058);
  });

  it('finds a fall from 70 to 50% after 120 verdicts in at least 80% within 60 more', () => {
    expect(alarms('fall', 120, (luck) => drawn(luck, 60, 0.5), 5, 1000)).toBeGreaterThan(0.79);
  });

  it('finds a fall behind a long good series, and forgets one that was made good', () => {
    const luck = seededRandom('series');
    const before = { fits: 42, judged: 60 };
    const good = drawn(luck, 60, 0.7);
    expect(driftOf(before, [...good, ...Array<boolean>(200).fill(false)])).toBe('worse');
    expect(driftOf(before, [...good, ...Array<boolean>(12).fill(false)])).toBe('worse');
    expect(driftOf(before, [...Array<boolean>(30).fill(false), ...Array<boolean>(60).fill(true)])).not.toBe('worse');
    expect(driftOf(before, drawn(luck, 120, 0.7))).toBe('as before');
    expect(driftOf(before, [true, false])).toBe('goes on');
    expect(driftOf({ fits: 0, judged: 0 }, [false])).toBe('goes on');
  });
});

describe('a drift of reach', () => {
  const runs = (share: number, seed: string) => {
    const luck = seededRandom(seed);
    return Array.from({ length: 26 }, () => {
      const came = Array.from({ length: 12 }, () => luck() < share).filter(Boolean).length;
      return { came, gone: 12 - came };
    });
  };
  const says = (share: number, what: string) =>
    Array.from({ length: 500 }, (_, i) => reachDrift(runs(share, `${share} ${i}`))).filter((one) => one === what)
      .length / 500;
  it('is reported beyond chance: seldom where who comes and who leaves balance, mostly where they don’t', () => {
    expect(says(0.5, 'goes on')).toBeGreaterThan(0.95);
    expect(says(1 / 3, 'fewer')).toBeGreaterThan(0.93);
    expect(says(2 / 3, 'more')).toBeGreaterThan(0.93);
    expect(reachDrift([])).toBe('goes on');
    expect(reachDrift([{ came: 1, gone: 3 }])).toBe('goes on');
  });
});

describe('a name for a watch', () => {
  it('says who it looks for', () => {
    expect(
      watchName({
        ...emptyPersona,
        titles: ['head of quality'],
        industries: ['46'],
        size: { from: 51, to: 1000 },
        countries: ['DK', 'SE', 'NO']
      })
    ).toMatch(/^Head of quality, Wholesale.*, 51–1,000, /);
    expect(watchName(emptyPersona)).toBe('Everybody found');
  });
});
