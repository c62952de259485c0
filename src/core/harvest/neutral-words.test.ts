import { describe, expect, it } from 'vitest';
import { matcher, matchingOf } from '../semantics';
import { parse } from '../language/parse';
import type { Person } from '../people/person';
import { seededRandom } from '../measure/random';
import { sheetSchema } from '../dialect/sheet';
import { readSearch, writeSearch } from '../dialect/search';
import { render } from '../dialect/render';
import { missingRows, type SliceState } from './coverage';
import { isWorthIt, neutralWords, outlookOf, searchWith, type TimesMet } from './neutral-words';

/** A place with one box, that shows a hundred and can exclude nothing. */
const sheet = sheetSchema.parse({
  id: 'place',
  name: 'Place',
  about: '',
  boxes: [
    {
      id: 'words',
      label: 'Words',
      searches: 'any',
      and: '+',
      or: null,
      not: null,
      phrase: true,
      group: false,
      prefix: false
    }
  ],
  facts: [],
  lists: ['any', 'title', 'company', 'place'],
  limits: { characters: 200, words: 32, operators: null, shown: 100, searches: 1, page: 50 },
  matching: { stemming: null, diacritics: 'kept' },
  counting: { kind: 'exact' }
});
const matching = matchingOf(sheet.matching);
const search = render(parse('kitchen').query!, sheet).searches[0]!;

const towns = ['Palma', 'Porto', 'Bari', 'Lugo', 'Braga', 'Parma', 'Siena', 'Faro', 'Vigo', 'Turin', 'Lecce', 'Elche'];
const names = [
  'Ana',
  'Rui',
  'Ugo',
  'Eva',
  'Lea',
  'Iker',
  'Pia',
  'Nuno',
  'Marta',
  'Inês',
  'Sara',
  'Luca',
  'Tomás',
  'Gaia'
];
const trades = ['hotel', 'school', 'hospital', 'factory', 'airport', 'museum'];

/** People in the order of the place, of towns, names and trades that are unevenly many. */
function peopleBy(seed: string, size = 800): Person[] {
  const random = seededRandom(seed);
  const pick = (list: readonly string[]) => list[Math.floor(random() ** 1.6 * list.length)]!;
  return Array.from({ length: size }, (_, i) => ({
    id: String(i),
    name: `${pick(names)} Nr${i}`,
    jobs: [{ title: 'kitchen manager', company: `${pick(trades)} ${i}` }],
    place: pick(towns)
  }));
}

/** Asks with words until few are new; what was met, and the curve of people by rows. */
function askedWithWords(people: readonly Person[], least: number) {
  const show = (one: typeof search) => people.filter(matcher(readSearch(one, sheet)!, matching)).slice(0, 100);
  const times = new Map<string, number>();
  let rows = 0;
  const take = (some: readonly Person[]) => {
    for (const { id } of some) times.set(id, (times.get(id) ?? 0) + 1);
    rows += some.length;
  };
  const met = (): TimesMet => {
    const of = (n: number) => [...times.values()].filter((one) => one === n).length;
    return { rows, people: times.size, once: of(1), twice: of(2) };
  };
  take(show(search));
  const used = new Set<string>();
  const fresh: number[] = [];
  while (used.size < 60 && (!used.size || isWorthIt(met(), least))) {
    const seen = people.filter(({ id }) => times.has(id));
    const [next] = neutralWords(search, { sheet, seen, count: people.length, most: 100 }, used);
    if (!next) break;
    used.add(next.word);
    const before = times.size;
    take(show(next.search));
    fresh.push(times.size - before);
  }
  return { met: met(), words: [...used], fresh };
}

describe('neutral words', () => {
  it('are asked beside the search, in one search that the place can be asked', () => {
    expect(searchWith(search, 'Palma', sheet)).toEqual({ boxes: { words: 'kitchen + Palma' }, facts: [] });
    expect(searchWith(search, 'San Juan', sheet)).toEqual({ boxes: { words: 'kitchen + "San Juan"' }, facts: [] });
    expect(searchWith(search, '—', sheet)).toBeNull();
    expect(searchWith(search, 'x'.repeat(300), sheet)).toBeNull();
    expect(writeSearch({ boxes: {}, include: {}, exclude: {}, range: {} }, sheet).boxes).toEqual({});
  });

  it('come first that should bring most new people: as many as are shown, and few of them seen', () => {
    const people = peopleBy('order');
    const seen = people.slice(0, 100);
    const offered = neutralWords(search, { sheet, seen, count: 800, most: 100 }, new Set());
    expect(offered.length).toBe(12);
    for (const [i, one] of offered.entries()) {
      expect(one.expected).toBeLessThanOrEqual(100);
      if (i) expect(one.fresh).toBeLessThanOrEqual(offered[i - 1]!.fresh);
      expect(['kitchen', 'manager']).not.toContain(one.word);
    }
    const used = new Set([offered[0]!.word]);
    expect(neutralWords(search, { sheet, seen, count: 800, most: 100 }, used)[0]!.word).toBe(offered[1]!.word);
    expect(neutralWords(search, { sheet, seen: [], count: 800, most: 100 }, used)).toEqual([]);
  });

  it('bring home nearly everybody a hundred at a time, and stop when few are new', () => {
    for (const seed of ['a', 'b', 'c']) {
      const { met, words, fresh } = askedWithWords(peopleBy(seed), 0.05);
      expect(met.people / 800, seed).toBeGreaterThan(0.9);
      expect(words.length).toBeLessThan(60);
      expect(outlookOf(met).share).toBeLessThan(0.05);
      // The curve flattens.
      expect(fresh.slice(-3).reduce((a, b) => a + b, 0)).toBeLessThan(fresh.slice(0, 3).reduce((a, b) => a + b, 0) / 4);
    }
  });

  // Words are no independent draws, so the interval does not hold the truth in 95 of 100 runs: too high where words bring
  // everybody who has them, too low where some people have none. Both are said beside the figure.
  it('say how many were not seen with an interval that holds the truth in most runs, and is too low where some have no word', () => {
    const runs = (hidden: number) =>
      Array.from({ length: 25 }, (_, i) => {
        const people = peopleBy(`coverage ${i}`, 600).map((person, row) =>
          // Who stands low in the list and says nothing that others say.
          row % 100 >= 100 - hidden && row >= 100
            ? { id: person.id, name: `X${row}`, jobs: [{ title: 'kitchen manager', company: `Z${row}` }] }
            : person
        );
        const { met } = askedWithWords(people, 0.1);
        const { unseen } = outlookOf(met);
        const truth = people.length - met.people;
        return { above: unseen.low > truth, below: unseen.high < truth };
      });
    const share = (some: ReturnType<typeof runs>, of: 'above' | 'below') =>
      some.filter((run) => run[of]).length / some.length;
    const [even, uneven] = [runs(0), runs(20)];
    console.log(
      `Chao's 95 % interval by neutral words: everybody has some, too high in ${share(even, 'above') * 100} % of runs, too low in ${share(even, 'below') * 100} %; ` +
        `a fifth has none, too low in ${share(uneven, 'below') * 100} %`
    );
    expect(share(even, 'above') + share(even, 'below')).toBeLessThan(0.35);
    expect(share(even, 'below')).toBeLessThan(0.05);
    expect(share(uneven, 'below')).toBeGreaterThan(0.5);
  });

  it('are no cut: what they bring comes on top of the search, and is missing no more', () => {
    const slice = (more: Partial<SliceState>): SliceState => ({
      id: 'whole',
      parent: null,
      state: 'cut',
      reported: { low: 800, high: 800 },
      expected: null,
      rows: 100,
      fresh: 100,
      lost: null,
      ...more
    });
    const words = [
      slice({ id: 'a', parent: 'whole', state: 'read', reported: { low: 90, high: 90 }, rows: 90, fresh: 80 }),
      slice({ id: 'b', parent: 'whole', state: 'read', reported: { low: 300, high: 300 }, rows: 100, fresh: 70 })
    ];
    expect(missingRows([slice({ neutral: true }), ...words])).toEqual({ low: 550, high: 550 });
    expect(missingRows([slice({ neutral: true, reported: { low: 240, high: 240 } }), ...words])).toEqual({
      low: 0,
      high: 0
    });
  });
});
