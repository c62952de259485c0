import type { Person } from '$core/people';
import { render, readSearch, listedBy } from '$core/dialect';
import { extendSample } from '$core/measure';
import { checkFacts, ruledOut } from '$core/persona';
import { contactKeys, samePeople, type SourceRecord } from '$core/people';
import { cutsOf, neutralWords } from '$core/harvest';
import { join, print, type Query } from '$core/language';
import { matcher, matches, matchingOf, truthReader, unlistedIn } from '$core/semantics';
import { readRuns } from '$core/formats';
import { whyLacking } from '$core/suggest';
import { rowsOf } from '$core/corpus';
import type { IndexedSource } from '$sources/indexed-source';
import { locate } from '$sources/locate';
import { worldPersonAt } from '$sources/stand-ins/stand-ins';
import { gather } from '$sources/try-string';
import { whyUnwanted } from '$sources/world/world';
import { exchange } from '$api/exchange';
import { readJson } from '$server/platform/read-json';
import { check } from '$server/platform/check';
import type { RecordName } from '../people-messages';
import { sampleOf } from './drawn';
import type { Answers } from './kinds';
import { runnable } from './runnable';
import { sourceOf } from './sources';

/** The best record that a source has of a person known from elsewhere. */
export function recordOf(person: Person, source: IndexedSource): Person | null {
  const [row] = locate(person, source);
  return row === undefined ? null : source.personAt(row);
}

/** Who leads a firm. */
const leadingRanks = ['owner', 'chief'];
/** Leaders of one firm looked at, at most. */
const maxLeaders = 300;

/** Doubtful pairs told at most. */
const maxDoubtful = 200;

/** Questions about people and their records at sources. */
export const people: Answers<
  | 'page'
  | 'cut'
  | 'neutral-words'
  | 'check-rows'
  | 'gather'
  | 'ruled-out'
  | 'locate'
  | 'leaders'
  | 'identify'
  | 'lacking'
  | 'people-by-id'
  | 'true-verdicts'
  | 'read-runs'
  | 'run-of-people'
> = {
  page: ({ sourceId, search, page }) => sourceOf(sourceId).page(search, page),

  cut: ({ search, sheet, people: some, count, most }) => {
    const query = readSearch(search, sheet);
    const matching = matchingOf(sheet.matching);
    const seen = query ? some.filter(matcher(query, matching)) : some;
    return cutsOf(search, { sheet, seen, count, most });
  },

  'neutral-words': ({ search, sheet, people: some, count, most, used }) => {
    const query = readSearch(search, sheet);
    const seen = query ? some.filter(matcher(query, matchingOf(sheet.matching))) : some;
    return neutralWords(search, { sheet, seen, count, most }, new Set(used));
  },

  'check-rows': ({ sheet, leftover, people: rows }) => {
    if (!leftover) return rows.map(() => ({ reading: 'met', unlisted: [] }));
    const [reply, matching] = [listedBy(sheet), matchingOf(sheet.matching)];
    const truth = truthReader(leftover, reply, matching);
    return rows.map((person) => {
      const reading = truth(person);
      const unlisted =
        reading === 'unknown' ? unlistedIn(leftover, person, reply, matching).map((term) => print(term)) : [];
      return { reading, unlisted };
    });
  },

  'ruled-out': ({ persona, wordSets, people: those }) =>
    those.map((person) => ruledOut(checkFacts(persona, wordSets, person))),

  gather: ({ sheet, rendering, answers, size, seed, contacted, drawn }) => {
    const { people: seen, open, ...outcome } = gather(rendering, answers, sheet);
    const known = new Set(contacted.flatMap(contactKeys));
    const people = known.size ? seen.filter((person) => !contactKeys(person).some((key) => known.has(key))) : seen;
    const met = new Set<string>();
    let duplicates = 0;
    for (const person of people) {
      const keys = contactKeys(person);
      if (keys.some((key) => met.has(key))) duplicates++;
      for (const key of keys) met.add(key);
    }
    const had = new Set(drawn);
    const before = people.flatMap((person, i) => (had.has(person.id) ? [{ rank: i + 1, person }] : []));
    const ids = people.map(({ id }) => id);
    return {
      answers: outcome.answers,
      filtered: outcome.filtered,
      contacted: seen.length - people.length,
      found: ids,
      open: ids.filter((id) => open.has(id)),
      duplicates,
      // Those drawn before stay drawn where they are still there.
      sample: before.length
        ? [
            ...before,
            ...extendSample(
              ids,
              before.map(({ rank }) => rank),
              size,
              seed
            ).map((rank) => ({ rank, person: people[rank - 1]! }))
          ].sort((a, b) => a.rank - b.rank)
        : sampleOf(people, size, seed)
    };
  },

  leaders: ({ sourceId, firms }) => {
    const { index } = sourceOf(sourceId);
    const { moved } = index.parts.numbers;
    const leading = join(
      'or',
      leadingRanks.map((text): Query => ({ kind: 'word', scope: 'rank', text }))
    );
    return firms.map((firm) => {
      const there: Query = { kind: 'phrase', scope: 'company', text: firm };
      const days = rowsOf(index.rows(join('and', [there, leading])), maxLeaders)
        .map((row) => moved[row]!)
        .filter((value) => !Number.isNaN(value));
      return days.length ? Math.min(...days) : null;
    });
  },

  locate: ({ sourceId, people }) => people.map((person) => recordOf(person, sourceOf(sourceId))),

  identify: ({ records, decisions }) => {
    const names: RecordName[] = [];
    const all: SourceRecord[] = [];
    const at = new Map<string, number>();
    for (const { sourceId, ids, people } of records) {
      const given = people && new Map(people.map((person) => [person.id, person]));
      const source = given ? null : sourceOf(sourceId);
      for (const id of ids) {
        const row = source?.rowOf(id);
        const person = given?.get(id) ?? (row === undefined ? undefined : source!.personAt(row));
        at.set(JSON.stringify([sourceId, id]), all.length);
        names.push({ sourceId, personId: id });
        // A person the source no longer has is skipped.
        all.push({ sourceId, person: person ?? { id, name: '' } });
      }
    }
    const numbers = ({ sourceId, personId }: RecordName) => at.get(JSON.stringify([sourceId, personId]));
    const { personOf, people, doubtful } = samePeople(
      all,
      decisions.flatMap(({ first, second, same }) => {
        const [a, b] = [numbers(first), numbers(second)];
        return a === undefined || b === undefined ? [] : [{ a, b, same }];
      })
    )!;
    const reply: number[][] = [];
    let from = 0;
    for (const { ids } of records) {
      reply.push([...personOf.subarray(from, from + ids.length)]);
      from += ids.length;
    }
    return {
      personOf: reply,
      people,
      doubtful: doubtful.slice(0, maxDoubtful).map(({ a, b, why }) => ({
        first: names[a]!,
        second: names[b]!,
        people: [all[a]!.person, all[b]!.person],
        why
      }))
    };
  },

  lacking: ({ text, sets, at, people: asked, matching }) => {
    const query = runnable({ text, sets });
    const source = sourceOf(at);
    const there = matchingOf(source.sheet.matching);
    const here = matchingOf(matching);
    const searches = render(query, source.sheet).searches.flatMap((search) => readSearch(search, source.sheet) ?? []);
    return asked.map((person) => {
      const record = recordOf(person, source);
      const brought = record !== null && searches.some((search) => matches(search, record, there));
      const reason = whyLacking(
        query,
        { person, matching: here },
        record && { person: record, matching: there, brought }
      );
      return { reason, there: record };
    });
  },

  'true-verdicts': ({ sourceId, ids }) => {
    const source = sourceOf(sourceId);
    return ids.map((id) => {
      const row = source.rowOf(id);
      const person = row === undefined ? undefined : worldPersonAt(source, row);
      return person ? whyUnwanted(person) : 'changed jobs';
    });
  },

  'people-by-id': ({ sourceId, ids }) => {
    const source = sourceOf(sourceId);
    return ids.flatMap((id) => {
      const row = source.rowOf(id);
      return row === undefined ? [] : [source.personAt(row)];
    });
  },

  'read-runs': ({ body }) => {
    const sent = readJson(new TextDecoder().decode(body));
    const { text } = check(exchange.importRuns.body, sent, 'what was sent');
    const { rows, unread } = readRuns(text);
    const runs = new Map<string, { version: number; sourceId: string; ranked: { rank: number; id: string }[] }>();
    for (const { version, sourceId, personId, rank } of rows) {
      const name = `${version} ${sourceId}`;
      let run = runs.get(name);
      if (!run) runs.set(name, (run = { version, sourceId, ranked: [] }));
      run.ranked.push({ rank, id: personId });
    }
    return {
      runs: [...runs.values()].map(({ version, sourceId, ranked }) => ({
        version,
        sourceId,
        ids: [...new Set(ranked.sort((a, b) => a.rank - b.rank).map(({ id }) => id))]
      })),
      unread: unread.slice(0, 100)
    };
  },

  'run-of-people': ({ text, sets, sheet, ids, people: given, size, seed }) => {
    const rendering = render(runnable({ text, sets }), sheet);
    const byId = given && new Map(given.map((person) => [person.id, person]));
    const source = given ? null : sourceOf(sheet.id);
    const known = ids.flatMap((id) => {
      const row = source?.rowOf(id);
      return byId?.get(id) ?? (row === undefined ? [] : source!.personAt(row));
    });
    const truth = rendering.leftover && truthReader(rendering.leftover, listedBy(sheet), matchingOf(sheet.matching));
    return {
      rendering,
      found: known.map(({ id }) => id),
      open: truth ? known.filter((person) => truth(person) !== 'met').map(({ id }) => id) : [],
      people: JSON.stringify(known),
      sample: sampleOf(known, size, seed)
    };
  }
};
