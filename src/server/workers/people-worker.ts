import { parentPort } from 'node:worker_threads';
import type { Person } from '$core/corpus/person';
import { contactKeys } from '$core/people/contact-keys';
import { partsOf } from '$core/query/parts';
import { join, type Query } from '$core/query/query';
import type { Interval } from '$core/measure/wilson';
import { drawSample } from '$core/measure/draw-sample';
import type { Sheet } from '$core/dialect/sheet';
import { countSenses } from '$core/titles/senses';
import { importedSource } from '$sources/imported-file';
import type { Source } from '$sources/source';
import { makeStandIns, demoWorldSize } from '$sources/stand-ins/stand-ins';
import { tryString } from '$sources/try-string';
import { makeWorld } from '$sources/world/world';
import type { PeopleKind, PeopleRequest, PeopleWork } from './people-messages';

const sources = new Map<string, Source>();
const arriving = new Map<string, { sheet: Sheet; people: Person[] }>();

const sourceOf = (id: string): Source => {
  const source = sources.get(id);
  if (!source) throw new Error(`The people of “${id}” are not loaded.`);
  return source;
};

const countAt = (query: Query, source: Source): Interval | null => {
  const { rendering, count } = tryString(query, source);
  return rendering.exactness === 'impossible' ? null : count;
};

const work: { [K in PeopleKind]: (ask: PeopleWork[K]['ask']) => PeopleWork[K]['answer'] } = {
  'load-stand-ins': ({ size = demoWorldSize }) =>
    makeStandIns(makeWorld(size)).map((source) => {
      sources.set(source.sheet.id, source);
      return { sheet: source.sheet, people: source.index.size };
    }),

  'begin-file': ({ sheet }) => {
    arriving.set(sheet.id, { sheet, people: [] });
    return null;
  },
  'add-people': ({ sourceId, people }) => {
    arriving.get(sourceId)?.people.push(...people);
    return null;
  },
  'finish-file': ({ sourceId }) => {
    const file = arriving.get(sourceId);
    if (!file) throw new Error(`No people of “${sourceId}” have arrived.`);
    arriving.delete(sourceId);
    sources.set(sourceId, importedSource(file.sheet, file.people));
    return { people: file.people.length };
  },
  forget: ({ sourceId }) => {
    sources.delete(sourceId);
    return null;
  },

  try: ({ sourceId, query, size, seed, contacted }) => {
    const { people: seen, ...outcome } = tryString(query, sourceOf(sourceId));
    const known = new Set(contacted);
    const people = known.size ? seen.filter((person) => !contactKeys(person).some((key) => known.has(key))) : seen;
    const ranks = drawSample(
      people.map(({ id }) => id),
      size,
      seed
    );
    const sample = ranks.map((rank) => ({ rank, person: people[rank - 1]! }));
    return { ...outcome, shown: people.length, contacted: seen.length - people.length, sample };
  },

  worth: ({ sourceId, query }) => {
    const source = sourceOf(sourceId);
    const whole = tryString(query, source);
    const parts = partsOf(query);
    return {
      rendering: whole.rendering,
      count: whole.count,
      parts: parts.map(({ query: part, index }) => {
        const others = parts.filter((other) => other.index !== index).map((other) => other.query);
        return {
          alone: countAt(part.kind === 'not' ? part.part : part, source),
          without: others.length ? countAt(join('and', others), source) : null
        };
      })
    };
  },

  senses: ({ sourceId, queries, words }) =>
    queries.map((query) => {
      const { count, people } = tryString(query, sourceOf(sourceId));
      return { count, shown: people.length, words: countSenses(words, people) };
    }),

  'count-each': ({ sourceId, queries }) => queries.map((query) => countAt(query, sourceOf(sourceId))),

  difference: ({ sourceId, from, to, most, judged }) => {
    const source = sourceOf(sourceId);
    const before = tryString(from, source);
    const after = tryString(to, source);
    const had = new Set(before.people.map((person) => person.id));
    const has = new Set(after.people.map((person) => person.id));
    const isJudged = new Set(judged);
    const side = (people: Person[]) => ({
      count: people.length,
      people: people.slice(0, most),
      judged: people.map(({ id }) => id).filter((id) => isJudged.has(id))
    });
    const added = after.people.filter((person) => !had.has(person.id));
    const removed = before.people.filter((person) => !has.has(person.id));
    return {
      kept: after.people.length - added.length,
      added: side(added),
      removed: side(removed),
      capped: [before, after].some((outcome) => outcome.count.high > outcome.people.length)
    };
  }
};

parentPort?.on('message', ({ id, kind, ask }: PeopleRequest) => {
  try {
    parentPort!.postMessage({ id, answer: work[kind](ask as never) });
  } catch (error) {
    parentPort!.postMessage({ id, error: error instanceof Error ? error.message : String(error) });
  }
});
