import { describe, expect, it } from 'vitest';
import { parse } from '$core/query/parse';
import { personSchema } from '$core/corpus/person';
import { matcher } from '$core/query/matches';
import { matchingOf } from '$core/query/matching';
import { harrowPeople } from './stand-ins/records';
import { makeStandIns } from './stand-ins/stand-ins';
import { tryString } from './try-string';
import { isTrulyWanted, makeWorld } from './world/world';

const world = makeWorld(20_000);
const [harrow, marlow] = makeStandIns(world) as [
  ReturnType<typeof makeStandIns>[0],
  ReturnType<typeof makeStandIns>[0]
];
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

  it('uses example domains only', () =>
    expect(world.people.every(({ mail }) => /@[a-z0-9-]+\.example$/.test(mail))).toBe(true));
});

describe('stand-ins', () => {
  it('tell people that the schema accepts, each once', () => {
    const people = harrowPeople(world);
    people.slice(0, 300).forEach((person) => expect(personSchema.safeParse(person).error).toBeUndefined());
    expect(new Set(people.map(({ id }) => id)).size).toBe(people.length);
    expect(people.length / world.people.length).toBeCloseTo(0.7, 1);
  });

  it('Harrow Guild rounds long counts and shows the first thousand', () => {
    const answer = harrow.ask({ boxes: { profile: 'quality' }, facts: [] });
    expect(answer.said).toBeGreaterThan(1000);
    expect(answer.said % 100).toBe(0);
    expect(answer.people).toHaveLength(1000);
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
  ])('finds at both sources just those the string means there: %s', (text) => {
    for (const source of [harrow, marlow]) {
      const outcome = tryString(query(text), source);
      if (outcome.rendering.exactness === 'impossible') continue;
      const truth = source.index.count(query(text));
      expect(outcome.count.low).toBeLessThanOrEqual(truth);
      expect(outcome.count.high).toBeGreaterThanOrEqual(truth);
      const means = matcher(query(text), matchingOf(source.sheet.matching));
      expect(outcome.people.every(means)).toBe(true);
      expect(new Set(outcome.people.map(({ id }) => id)).size).toBe(outcome.people.length);
      if (truth <= 500) expect(outcome.people).toHaveLength(truth);
    }
  });
});
