import { describe, expect, it } from 'vitest';
import { numberFacts, parse } from '$core/language';
import { personSchema } from '$core/people';
import { makeStandIn, moveStandIn, standIns, type KeptStandIn } from '../stand-ins/stand-ins';
import { dateOf, dayAfter, firstDayOf, lastDay, monthOf } from './calendar';
import { FirmHistory } from './firms';
import { lastPost, lifeBetween } from './life';
import { headcountAt, isTrulyWanted, makeWorld, recallWorld } from './world';

const size = 4000;
const made = makeWorld(size);
const { firms, people } = made;
const on = (day: number) => recallWorld(made.kept, day);

describe('the calendar', () => {
  it('counts days and months on from the first of November 2026, and ends at its last day', () => {
    expect([dateOf(0), dateOf(30), dateOf(61)]).toEqual(['2026-11-01', '2026-12-01', '2027-01-01']);
    expect([-400, 0, 29, 30, 60, 61].map(monthOf)).toEqual([0, 0, 0, 1, 1, 2]);
    expect([dayAfter(0, 'day'), dayAfter(0, 'week'), dayAfter(0, 'month')]).toEqual([1, 7, 30]);
    // The 31st of January is followed by the last of February.
    expect(dateOf(dayAfter(91, 'month'))).toBe('2027-02-28');
    expect(dayAfter(lastDay, 'month')).toBe(lastDay);
    for (let month = 0; month < 119; month++) expect(monthOf(firstDayOf(month + 1) - 1)).toBe(month);
  });
});

describe('a world that moves on', () => {
  it('has as many change jobs and post as in the trade: about 15 in 100 a year, and 2 in 100 a month', () => {
    const numbers = Array.from({ length: 20_000 }, (_, number) => number);
    const moved = numbers.filter((number) => lifeBetween(number, 0, 365).some(({ kind }) => kind === 'moves'));
    expect(moved.length / numbers.length).toBeGreaterThan(0.13);
    expect(moved.length / numbers.length).toBeLessThan(0.17);
    const post = numbers.filter((number) => lastPost(number, 0, 30) !== null);
    expect(post.length / numbers.length).toBeCloseTo(0.02, 2);
  });

  it('tells growth over one year, and has firms that hire, stop hiring, are funded, open places and take on technology', () => {
    const history = new FirmHistory(firms);
    let grown = 0;
    for (const firm of firms) {
      for (let month = 12; month < 48; month++) {
        const day = firstDayOf(month);
        const [before, now] = [history.on(firm.number, day), history.on(firm.number, firstDayOf(month + 1))];
        if (before.headcount === now.headcount) continue;
        grown++;
        const then = [0, 1].map((late) => history.on(firm.number, day - 365 + late * 31).headcount);
        const growths = then.map((count) => Math.round((now.headcount / count - 1) * 100));
        expect(now.growth).toBeGreaterThanOrEqual(Math.min(...growths));
        expect(now.growth).toBeLessThanOrEqual(Math.max(...growths));
      }
    }
    expect(grown).toBeGreaterThan(firms.length);
    const later = firms.map(({ number }) => history.on(number, 720));
    expect(later.some((firm, i) => firm.hiring && !firms[i]!.hiring)).toBe(true);
    expect(later.some((firm, i) => !firm.hiring && firms[i]!.hiring)).toBe(true);
    expect(later.some((firm) => firm.funded)).toBe(true);
    expect(later.every((firm, i) => !(firm.funded && firms[i]!.funded) || firm !== firms[i])).toBe(true);
    expect(later.some((firm, i) => firm.tech.length > firms[i]!.tech.length)).toBe(true);
    expect(later.some(({ opened }) => opened.length)).toBe(true);
    expect(headcountAt(firms[0]!, 0)).toBe(firms[0]!.headcount);
  });

  it('is at its first day as it was made, and comes to a day the same way whenever it is asked', () => {
    const first = on(0);
    for (let number = 0; number < size; number += 37) expect(first.people.at(number)).toEqual(people[number]);
    const [late, later] = [on(200), on(500)];
    for (let number = 0; number < size; number += 41) {
      expect(later.people.at(number, 200)).toEqual(late.people.at(number));
      const now = later.people.at(number)!;
      const began = now.career.map((job) => job.began);
      expect(began).toEqual([...began].sort((a, b) => a - b));
      if (now.present) expect(now.career[0]!.firm).toEqual(later.people.at(number)!.career[0]!.firm);
    }
  });

  it('has people come and go, and wanted ones among them', () => {
    const [now, later] = [on(0), on(365)];
    expect(later.people.length).toBeGreaterThan(now.people.length);
    const all = Array.from({ length: later.people.length }, (_, number) => later.people.at(number)!);
    const gone = all.slice(0, size).filter(({ present }) => !present);
    expect(gone.length / size).toBeCloseTo(0.036, 1);
    expect(gone.some(isTrulyWanted)).toBe(false);
    const came = all.filter(
      (person, number) =>
        isTrulyWanted(person) && !isTrulyWanted(now.people.at(number) ?? { ...person, present: false })
    );
    expect(came.length).toBeGreaterThan(3);
  });
});

describe.each(standIns)('$sheet.name', (standIn) => {
  it('moved on step by step has the people, the order and the answers of one rebuilt on that day', () => {
    let kept: KeptStandIn = makeStandIn(standIn, on(0)).kept;
    let day = 0;
    let changed = 0;
    expect(kept.order).toEqual(makeStandIn(standIn, made).kept.order);
    expect(kept.order.length).toBeGreaterThan(50);
    for (const next of [1, 8, 39, 100, 470, 900]) {
      const world = on(next);
      const before = kept;
      kept = moveStandIn(standIn, kept, day, world);
      const moved = makeStandIn(standIn, world, kept).source;
      const { source: anew, kept: keptAnew } = makeStandIn(standIn, world);
      expect(kept.order).toEqual(keptAnew.order);
      expect(moved.index.ids).toEqual(anew.index.ids);
      // A growth of -0 is one of 0.
      for (const fact of numberFacts)
        expect(moved.index.parts.numbers[fact].map((value) => value + 0)).toEqual(
          anew.index.parts.numbers[fact].map((value) => value + 0)
        );
      expect(moved.index.parts.holders.length).toBe(anew.index.parts.holders.length);
      for (const text of [
        'title:quality*',
        '"cold chain" OR pharma*',
        'headcount:[51 TO *] NOT country:Denmark',
        'moved:[* TO 90]',
        'contact:example',
        'hiring:yes active:[* TO 30]'
      ]) {
        const query = parse(text).query!;
        expect(moved.index.find(query)).toEqual(anew.index.find(query));
      }
      for (let row = 0; row < moved.index.size; row += 97)
        expect(personSchema.safeParse(moved.personAt(row)).error).toBeUndefined();
      if (before.order.length !== kept.order.length) changed++;
      day = next;
    }
    expect(changed).toBeGreaterThan(2);
  });
});
