import fc from 'fast-check';
import type { Person } from '../../src/core/people/person';
import type { Query } from '../../src/core/language/query';
import { numberFacts, textScopes, type Scope } from '../../src/core/language/scopes';

/** Few words, so that generated people and queries meet often. */
const words = [
  'head',
  'quality',
  'manager',
  'managers',
  'cold',
  'chain',
  'pharma',
  'software',
  'søren',
  'soren',
  'test',
  'gdp'
] as const;
const word = fc.constantFrom(...words);
const text = fc.array(word, { minLength: 1, maxLength: 4 }).map((list) => list.join(' '));
const few = <T>(one: fc.Arbitrary<T>, most = 2) => fc.array(one, { maxLength: most });
const country = fc.constantFrom('DK', 'SE', 'GB');
const small = fc.integer({ min: 0, max: 6 });
const sometimes = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: undefined });

const day = fc.constantFrom('2026-01-31', '2026-02-01', '2026-03-15');

function clean(object: object) {
  return Object.fromEntries(Object.entries(object).filter(([, value]) => value !== undefined));
}

const job = fc
  .record({ title: text, company: text, to: sometimes(fc.constantFrom('2020-05', 'past' as const)) })
  .map(({ to, ...rest }) => ({ ...rest, ...(to && { to }) }));

const person = fc.record({
  name: text,
  jobs: few(job, 3),
  about: sometimes(text),
  skills: few(text),
  schools: few(text, 1),
  groups: few(text, 1),
  contact: few(text, 1),
  place: sometimes(text),
  country: sometimes(country),
  headcount: sometimes(small),
  tenure: sometimes(small),
  growth: sometimes(fc.integer({ min: -3, max: 3 })),
  language: sometimes(fc.constantFrom('da', 'de')),
  own: sometimes(
    fc
      .record({
        diet: sometimes(text),
        score: sometimes(small),
        rating: sometimes(small),
        seen: sometimes(day),
        wine: sometimes(fc.boolean())
      })
      .map(clean)
  )
});

/** People with distinct ids, at most `most` of them. */
export const people = (most = 12): fc.Arbitrary<Person[]> =>
  fc
    .array(person, { minLength: 1, maxLength: most })
    .map((list) => list.map((one, i) => ({ ...clean(one), id: `p${i}` }) as Person));

const scopes: fc.Arbitrary<Scope> = fc.constantFrom(...textScopes, 'place', 'any', 'title');
const bound = fc.option(fc.integer({ min: -3, max: 6 }), { nil: null });

const termIn = (scope: fc.Arbitrary<Scope>): fc.Arbitrary<Query> =>
  fc.oneof(
    { weight: 5, arbitrary: fc.record({ kind: fc.constant('word' as const), scope, text: word }) },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('word' as const),
        scope,
        text: fc.constantFrom('cold-chain', 'head/quality')
      })
    },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('word' as const),
        scope,
        text: fc.constantFrom('man', 'qual', 'sør'),
        prefix: fc.constant(true)
      })
    },
    { weight: 4, arbitrary: fc.record({ kind: fc.constant('phrase' as const), scope, text }) },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('word' as const),
        scope: fc.constant('country' as const),
        text: fc.constantFrom('DK', 'Denmark', 'Sweden', 'uk')
      })
    },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('range' as const),
        scope: fc.constantFrom(...numberFacts.slice(0, 3), 'own.score' as const),
        low: bound,
        high: bound
      })
    },
    {
      weight: 1,
      arbitrary: fc.oneof(
        fc.record({
          kind: fc.constant('word' as const),
          scope: fc.constantFrom('own.diet' as const, 'own.score' as const, 'own.wine' as const),
          text: fc.constantFrom('quality', 'cold', 'yes')
        }),
        fc.record({
          kind: fc.constant('word' as const),
          scope: fc.constantFrom('own.diet' as const, 'own.rating' as const),
          text: fc.constantFrom('3', '5')
        }),
        fc.record({ kind: fc.constant('phrase' as const), scope: fc.constant('own.diet' as const), text }),
        fc.record({
          kind: fc.constant('word' as const),
          scope: fc.constant('language' as const),
          text: fc.constantFrom('de', 'German', 'dansk')
        }),
        fc.record({
          kind: fc.constant('range' as const),
          scope: fc.constant('own.seen' as const),
          low: fc.constantFrom(null, 20260201),
          high: fc.constantFrom(null, 20260228, 20260315)
        })
      )
    }
  );

/** Queries over the same few words, up to a few levels deep; terms have the given scopes. */
export const queries = (depth = 3, scope: fc.Arbitrary<Scope> = scopes): fc.Arbitrary<Query> =>
  depth === 0
    ? termIn(scope)
    : fc.oneof(
        { weight: 3, arbitrary: termIn(scope) },
        { weight: 2, arbitrary: group('and', depth, scope) },
        { weight: 2, arbitrary: group('or', depth, scope) },
        { weight: 1, arbitrary: queries(depth - 1, scope).map((part) => ({ kind: 'not' as const, part })) }
      );

const group = (kind: 'and' | 'or', depth: number, scope: fc.Arbitrary<Scope>): fc.Arbitrary<Query> =>
  fc.array(queries(depth - 1, scope), { minLength: 1, maxLength: 3 }).map((parts) => ({ kind, parts }));
