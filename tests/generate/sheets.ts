import fc from 'fast-check';
import { sheetSchema, type Sheet } from '../../src/core/dialect/sheet';
import { scopes } from '../../src/core/language/scopes';

const sometimes = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: null, freq: 3 });
/** Null twice as often as not. */
const seldom = <T>(one: fc.Arbitrary<T>) =>
  fc.oneof({ weight: 2, arbitrary: fc.constant(null) }, { weight: 1, arbitrary: one });

const box = (id: string) =>
  fc.constantFrom(true, true, true, false).chain((full) =>
    fc.record({
      id: fc.constant(id),
      label: fc.constant(id),
      searches: id === 'one' ? fc.constantFrom('any', 'any', 'title') : fc.constantFrom('title', 'company', 'about'),
      and: full ? sometimes(fc.constantFrom('AND', '&', '+')) : fc.constant(null),
      or: full ? sometimes(fc.constantFrom('OR', '|', ',', ';')) : fc.constant(null),
      not: full ? sometimes(fc.constantFrom('NOT', '-', '!')) : fc.constant(null),
      phrase: full ? fc.boolean() : fc.constant(false),
      group: full ? fc.boolean() : fc.constant(false),
      prefix: full ? fc.boolean() : fc.constant(false),
      beside: fc.constantFrom('and', 'and', 'or', 'phrase'),
      binding: fc.constantFrom('standard', 'or-first', 'left-to-right'),
      excludesAlone: fc.boolean(),
      opening: fc.constantFrom('', '', 'site:pages.example')
    })
  );

/** As places offer sizes; some leave gaps, some overlap. */
const buckets = fc.constantFrom(
  undefined,
  undefined,
  [
    { label: 'up to 1', low: null, high: 1 },
    { label: '2–3', low: 2, high: 3 },
    { label: '4+', low: 4, high: null }
  ],
  [
    { label: '0–2', low: 0, high: 2 },
    { label: '2–5', low: 2, high: 5 }
  ],
  [{ label: '3+', low: 3, high: null }]
);

const fact = fc.record({
  scope: fc.constantFrom('country', 'place', 'headcount', 'tenure', 'title', 'company'),
  include: fc.boolean(),
  exclude: fc.boolean(),
  range: fc.boolean(),
  values: fc.constantFrom(null, null, ['Denmark', 'quality']),
  most: sometimes(fc.integer({ min: 1, max: 3 })),
  buckets
});

/** Sheets of every make: any way of writing, binding and matching, facts known or not, limits tight or none. */
export const sheets: fc.Arbitrary<Sheet> = fc
  .record({
    boxes: fc.oneof(
      { weight: 4, arbitrary: fc.tuple(box('one'), box('two')) },
      { weight: 3, arbitrary: fc.tuple(box('one')) },
      { weight: 1, arbitrary: fc.constant([]) }
    ),
    facts: fc.array(fact, { maxLength: 4 }),
    searches: fc.integer({ min: 1, max: 20 }),
    characters: seldom(fc.integer({ min: 10, max: 120 })),
    words: seldom(fc.integer({ min: 2, max: 12 })),
    operators: seldom(fc.integer({ min: 1, max: 8 })),
    nesting: seldom(fc.integer({ min: 1, max: 3 })),
    stemming: fc.constantFrom('english' as const, null),
    diacritics: fc.constantFrom('kept' as const, 'folded' as const),
    stopWords: fc.constantFrom([], [], ['head', 'test']),
    lists: fc.subarray([...scopes]),
    shown: seldom(fc.integer({ min: 1, max: 50 }))
  })
  .map(({ boxes, facts, searches, characters, words, operators, nesting, lists, shown, ...matching }) =>
    sheetSchema.parse({
      id: 'made',
      name: 'Made',
      about: '',
      boxes,
      facts: facts.filter((one, i) => facts.findIndex((other) => other.scope === one.scope) === i),
      lists,
      limits: { characters, words, operators, nesting, shown, searches },
      matching,
      counting: { kind: 'exact' }
    })
  );
