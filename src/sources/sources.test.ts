import { describe, expect, it } from 'vitest';
import { parse } from '$core/language';
import { matcher, matchingOf } from '$core/semantics';
import { personSchema } from '$core/people';
import { countString } from './count-string';
import type { IndexedSource } from './indexed-source';
import { harrowPeople, lanternfieldPeople, quillbankPeople } from './stand-ins/records';
import { makeStandIns } from './stand-ins/stand-ins';
import { tryString } from './try-string';
import { headcountAt, isTrulyWanted, makeWorld, recallWorld } from './world/world';

const world = makeWorld(20_000);
const standIns = makeStandIns(world);
const [harrow, lantern, quill, marlow] = standIns as [IndexedSource, IndexedSource, IndexedSource, IndexedSource];
const query = (text: string) => parse(text).query!;

describe('the world', () => {
  it('is the same for the same seed', () => {
    const again = makeWorld(500, 'x');
    expect(makeWorld(500, 'x').people.map(({ name, about }) => name + about)).toEqual(
      again.people.map(({ name, about }) => name + about)
    );
    expect(makeWorld(500, 'y').people[3]!.name + makeWorld(500, 'y').people[4]!.name).not.toBe(
      again.people[3]!.name + again.people[4]!.name
    );
  });

  it('makes each of its people again alone, in any order, out of the few bytes kept of them', () => {
    const recalled = recallWorld(world.kept);
    const asked = [19_999, 7, 7, 0, 12_345, ...Array.from({ length: 500 }, (_, i) => (i * 7919) % 20_000)];
    for (const number of asked) expect(recalled.people.at(number)).toEqual(world.people[number]);
    expect(recalled.people.length).toBe(20_000);
    expect(recalled.people.at(20_000)).toBeUndefined();
    // Somebody shares name and firm with another, and so the address has a number.
    const second = world.people.findIndex(({ mail }) => /[a-z]2@/.test(mail));
    expect(recalled.people.at(second)!.mail).toBe(world.people[second]!.mail);
  });

  it('has wanted people, and traps', () => {
    const share = world.people.filter(isTrulyWanted).length / world.people.length;
    expect(share).toBeGreaterThan(0.005);
    expect(share).toBeLessThan(0.05);
    const titled = (words: RegExp, trade: string) =>
      world.people.filter(({ career: [now] }) => words.test(now!.title) && now!.firm.trade.id === trade).length;
    expect(titled(/\bQA\b/, 'software')).toBeGreaterThan(50);
    expect(titled(/\bGDP\b/, 'finance')).toBeGreaterThan(5);
    expect(titled(/\bRP\b/, 'machinery')).toBeGreaterThan(5);
  });

  it('has people who change jobs every month, firms that grow and firms that shrink, and titles with signs in them', () => {
    const moved = new Set(world.people.map(({ career }) => career[0]!.began).filter((months) => months <= 24));
    expect([...Array(22).keys()].every((month) => moved.has(month + 3))).toBe(true);
    const [grew, shrank] = [1, -1].map((way) => world.firms.filter(({ growth }) => Math.sign(growth) === way));
    expect(grew!.length).toBeGreaterThan(world.firms.length / 5);
    expect(shrank!.length).toBeGreaterThan(world.firms.length / 5);
    expect(headcountAt({ ...world.firms[0]!, headcount: 120, growth: 20 }, 12)).toBe(100);
    expect(headcountAt({ ...world.firms[0]!, headcount: 90, growth: -10 }, 12)).toBe(100);
    const signs = world.people.filter(({ career }) => /\p{Extended_Pictographic}/u.test(career[0]!.title)).length;
    expect(signs / world.people.length).toBeCloseTo(0.025, 2);
  });
  it('uses example domains only', () =>
    expect(world.people.every(({ mail }) => /@[a-z0-9-]+\.example$/.test(mail))).toBe(true));
});

describe('stand-ins', () => {
  it('tell people that the schema accepts, each once', () => {
    const people = [...harrowPeople(world)];
    people.slice(0, 300).forEach((person) => expect(personSchema.safeParse(person).error).toBeUndefined());
    expect(new Set(people.map(({ id }) => id)).size).toBe(people.length);
    expect(people.length / world.people.length).toBeCloseTo(0.7, 1);
  });

  it.each([
    ['Lanternfield', lanternfieldPeople, 0.4],
    ['Quillbank', quillbankPeople, 0.45]
  ] as const)('%s tells people that the schema accepts, each once', (_, make, share) => {
    const people = [...make(world)];
    people.slice(0, 300).forEach((person) => expect(personSchema.safeParse(person).error).toBeUndefined());
    expect(new Set(people.map(({ id }) => id)).size).toBe(people.length);
    expect(people.length / world.people.length).toBeCloseTo(share, 1);
  });

  it('Lanternfield guesses its counts within the factor it lists, the same every time, and shows 300', () => {
    let off = 0;
    for (const word of ['quality', 'manager', 'pharma', 'cold', 'chain', 'utrecht', 'audits']) {
      const search = { boxes: { search: `site:lanternfield.example ${word}` }, facts: [] };
      const { said, people } = lantern.ask(search);
      const truth = lantern.index.count(query(word));
      expect(said).toBeGreaterThanOrEqual(Math.floor(truth / 3));
      expect(said).toBeLessThanOrEqual(Math.ceil(truth * 3));
      expect(people.length).toBe(Math.min(300, truth));
      expect(lantern.ask(search).said).toBe(said);
      if (said !== truth) off++;
    }
    expect(off).toBeGreaterThan(3);
  });

  it('Lanternfield drops small words inside quotes', () => {
    const found = (search: string) => lantern.ask({ boxes: { search }, facts: [] }).people.map(({ id }) => id);
    expect(found('"head of quality"')).toEqual(found('"head quality"'));
    expect(found('"head of quality"')).not.toEqual(found('head of quality'));
    expect(lantern.index.count(query('"head of quality"'))).toBe(lantern.index.count(query('"head quality"')));
  });

  it('Quillbank finds titles as phrases, by lists', () => {
    const { people } = quill.ask({ boxes: {}, facts: [{ scope: 'title', include: ['quality manager'] }] });
    expect(people.length).toBeGreaterThan(50);
    expect(people.every(({ jobs }) => /quality manager/i.test(jobs![0]!.title))).toBe(true);
    const mails = [...quillbankPeople(world)].map(({ mail }) => mail);
    expect(mails.filter((state) => state === 'good').length / mails.length).toBeCloseTo(0.5, 1);
    expect(mails.filter((state) => state === 'uncertain').length / mails.length).toBeCloseTo(0.27, 1);
  });

  it('Harrow Guild rounds long counts and shows the first 1,200', () => {
    const answer = harrow.ask({ boxes: { profile: 'quality' }, facts: [] });
    expect(answer.said).toBeGreaterThan(1000);
    expect(answer.said % 100).toBe(0);
    expect(answer.people).toHaveLength(1200);
  });

  it('Marlow Register joins words by and, whatever they are', () => {
    const both = marlow.ask({ boxes: { words: 'quality manager' }, facts: [] });
    const titles = both.people.map(({ jobs }) => jobs![0]!.title.toLowerCase());
    expect(titles.every((title) => title.includes('quality') || title.includes('manager'))).toBe(true);
    expect(marlow.ask({ boxes: { words: 'quality OR manager' }, facts: [] }).said).toBe(0);
  });
});

describe('try-string', () => {
  it.each([
    'title:("quality manager" OR QA) AND country:(Denmark OR Sweden)',
    'title:quality OR company:pharma',
    '"cold chain" NOT title:quality',
    'title:manag*'
  ])('finds at every source just those the string means there: %s', (text) => {
    for (const source of standIns) {
      const outcome = tryString(query(text), source);
      if (outcome.rendering.exactness === 'impossible') continue;
      const means = matcher(query(text), matchingOf(source.sheet.matching));
      const certain = outcome.people.filter(({ id }) => !outcome.open.has(id));
      expect(certain.every(means)).toBe(true);
      expect(outcome.found).toMatchObject({ certain: certain.length, possible: outcome.people.length });
      expect(new Set(outcome.people.map(({ id }) => id)).size).toBe(outcome.people.length);
      const cap = source.sheet.limits.shown ?? Infinity;
      if (outcome.answers.every(({ shown }) => shown < cap)) {
        const found = new Set(outcome.people.map(({ id }) => id));
        expect(source.index.find(query(text)).every((id) => found.has(id))).toBe(true);
        expect(outcome.found.estimated.possible).toEqual({
          low: outcome.people.length,
          middle: outcome.people.length,
          high: outcome.people.length
        });
      }
    }
  });
});

describe('counting a string on sets', () => {
  it.each([
    'title:(QA OR "head of quality") NOT software',
    'title:quality AND (cold OR pharma OR gdp) AND headcount:[51 TO 1000]',
    'quality manager NOT intern',
    'country:(Denmark OR Sweden) AND title:director',
    'title:manager',
    'title:(qa OR rp) AND any:"cold chain" AND country:Germany NOT (intern OR tester OR "software engineer")',
    'zzzz'
  ])('says of %s what running it says, at every stand-in', (text) => {
    for (const source of standIns)
      expect(countString(query(text), source).found).toEqual(tryString(query(text), source).found);
  });
});
