import { once } from 'node:events';
import { parentPort, Worker } from 'node:worker_threads';
import { type IndexParts, type Person, keepCommon, rowsOf, takeOut, type Bitmap } from '$core/corpus';
import { contactKeys, samePeople, type SourceRecord } from '$core/people';
import { matchingOf, setQueries, parse, isTerm, type Query, matches } from '$core/query';
import {
  type Estimate,
  type Both,
  narrowingSteps,
  termLedger,
  type PeopleSets,
  drawSample,
  extendSample
} from '$core/measure';
import {
  explain,
  candidates,
  effectOf,
  judgedSource,
  measure,
  type Candidate,
  type Effect,
  whyLacking
} from '$core/suggest';
import { type Sheet, render, readSearch } from '$core/dialect';
import { countSenses } from '$core/titles';
import { locate } from '$sources/locate';
import { importedSource, writtenPeople } from '$sources/imported-file';
import type { IndexedSource } from '$sources/indexed-source';
import {
  demoWorldSize,
  indexName,
  makeStandIn,
  standIns,
  worldName,
  type KeptStandIn
} from '$sources/stand-ins/stand-ins';
import { countString } from '$sources/count-string';
import { inProportion, keptBack, leftOverTerms, partEstimate, peopleOf, type Way } from '$sources/reading';
import { gather, tryString } from '$sources/try-string';
import { makeWorld, recallWorld } from '$sources/world/world';
import { readKept, readKeptWorld, writeKept } from './index-cache';
import type { EffectAnswer, FitOrMiss, PeopleKind, PeopleRequest, PeopleWork, RecordName } from './people-messages';

const sources = new Map<string, IndexedSource>();
/** Files whose people are on the way: each as JSON, and the thread that builds a large one's index. */
const arriving = new Map<string, { sheet: Sheet; people: string[]; thread: Worker | null }>();

const sourceOf = (id: string): IndexedSource => {
  const source = sources.get(id);
  if (!source) throw new Error(`The people of “${id}” are not loaded.`);
  return source;
};

const judgedAt = (
  source: IndexedSource,
  verdicts: readonly FitOrMiss[],
  people: PeopleSets = peopleOf(source, 'possible')
) => judgedSource(people, verdicts, (id) => source.rowOf(id));

function toldEffect(effect: Effect, before: Query, after: Query, source: IndexedSource): EffectAnswer {
  return {
    ...effect,
    sourceId: source.sheet.id,
    before: countString(before, source).found.estimated,
    after: countString(after, source).found.estimated
  };
}

function sampleOf(people: readonly Person[], size: number, seed: string) {
  const ranks = drawSample(
    people.map(({ id }) => id),
    size,
    seed
  );
  return ranks.map((rank) => ({ rank, person: people[rank - 1]! }));
}

/** The best record that a source has of a person known from elsewhere. */
function recordOf(person: Person, source: IndexedSource): Person | null {
  const [row] = locate(person, source);
  return row === undefined ? null : source.personAt(row);
}

/** Milliseconds after its index was made that a stand-in is written to the disk. */
const writeAfter = 30_000;
/** Doubtful pairs told at most. */
const mostDoubtful = 200;

const countAt = (query: Query, source: IndexedSource): Both<Estimate> | null => {
  const { rendering, found } = countString(query, source);
  return rendering.exactness === 'impossible' ? null : found.estimated;
};

/** What every part of a string is worth at a source: the source brings some people, of whom some stay. */
function worthOf(
  query: Query,
  leftover: Query | null,
  whole: Both<Estimate>,
  source: IndexedSource,
  verdicts: readonly FitOrMiss[]
) {
  const nodes = new Map<string, Query>();
  const note = (node: Query, path: number[]): void => {
    if (node.kind === 'not') return note(node.part, path);
    nodes.set(path.join('.'), node);
    if (!isTerm(node)) node.parts.forEach((part, i) => note(part, [...path, i]));
  };
  note(query, []);
  const leftOver = leftOverTerms(leftover);
  const rowsFor = (way: Way) => {
    const people = peopleOf(source, way, (term) => leftOver.has(term));
    const { fits, misses } = judgedAt(source, verdicts, people);
    return termLedger(query, people, { fits, misses });
  };
  const possible = rowsFor('possible');
  const [certain, asked] = leftOver.size ? [rowsFor('certain'), rowsFor('asked')] : [possible, possible];
  const guessed = source.sheet.counting.kind === 'guess';
  const told = (rows: typeof possible, estimated: Estimate) =>
    rows.map(({ path, excludes, alone, without, only, brings }, i) => {
      const node = nodes.get(path.join('.'))!;
      const from = asked[i]!;
      const found = rows[0]!.alone;
      return {
        path,
        excludes,
        alone: partEstimate(from.alone, alone, node, source),
        without:
          without === null || from.without === null
            ? null
            : guessed && found
              ? inProportion(estimated, without, found)
              : partEstimate(from.without, without, { kind: 'not', part: node }, source),
        only,
        brings
      };
    });
  const forPossible = told(possible, whole.possible);
  return { certain: leftOver.size ? told(certain, whole.certain) : forPossible, possible: forPossible };
}

const work: {
  [K in PeopleKind]: (ask: PeopleWork[K]['ask']) => PeopleWork[K]['answer'] | Promise<PeopleWork[K]['answer']>;
} = {
  'load-stand-ins': async ({ size = demoWorldSize, folder }) => {
    const kept = new Map(standIns.map((standIn) => [standIn.sheet.id, readKept(folder, indexName(standIn, size))]));
    const [mine, ...others] = standIns.filter(({ sheet }) => !kept.get(sheet.id));
    let done = standIns.filter(({ sheet }) => kept.get(sheet.id)).length;
    const tell = () => parentPort!.postMessage({ progress: { done, of: standIns.length } });
    tell();
    // A second thread makes all but the largest meanwhile.
    const ids = others.map(({ sheet }) => sheet.id);
    const built = new Promise<void>((ended, failed) => {
      if (!ids.length) return ended();
      const thread = new Worker(new URL('./index-worker.js', import.meta.url), {
        workerData: { size, ids, folder },
        resourceLimits: { maxOldGenerationSizeMb: 4096, maxYoungGenerationSizeMb: 256 }
      });
      thread.on('message', (made: { id: string; kept: KeptStandIn }) => {
        kept.set(made.id, made.kept);
        done++;
        tell();
        if (ids.every((id) => kept.get(id))) ended();
      });
      thread.on('error', failed);
    });
    // It begins before this one is busy.
    await new Promise((next) => setTimeout(next, 20));
    let keptWorld = readKeptWorld(folder, worldName(size));
    if (mine || !keptWorld) {
      const world = makeWorld(size);
      const remembered = world.kept;
      const made = mine && makeStandIn(mine, world).kept;
      if (made) {
        kept.set(mine.sheet.id, made);
        done++;
        tell();
      }
      keptWorld = remembered;
      // Kept for the next start when the first questions have been answered.
      setTimeout(() => {
        writeKept(folder, worldName(size), remembered);
        if (made) writeKept(folder, indexName(mine, size), made);
      }, writeAfter);
    }
    await built;
    // From here on people are made when they are asked for: a heap that holds them all takes long to be swept.
    const world = recallWorld(keptWorld);
    for (const standIn of standIns) {
      const { source } = makeStandIn(standIn, world, kept.get(standIn.sheet.id)!);
      sources.set(source.sheet.id, source);
      setTimeout(() => source.index.prepare());
    }
    return standIns.map(({ sheet }) => ({ sheet, people: sources.get(sheet.id)!.index.size }));
  },

  'begin-file': ({ sheet, large }) => {
    // What a load that broke off left behind.
    void arriving.get(sheet.id)?.thread?.terminate();
    const thread = large
      ? new Worker(new URL('./file-index-worker.js', import.meta.url), { workerData: { matching: sheet.matching } })
      : null;
    arriving.set(sheet.id, { sheet, people: [], thread });
    return null;
  },
  'add-people': ({ sourceId, people }) => {
    const file = arriving.get(sourceId);
    file?.people.push(...people);
    file?.thread?.postMessage(people);
    return null;
  },
  'finish-file': async ({ sourceId }) => {
    const file = arriving.get(sourceId);
    if (!file) throw new Error(`No people of “${sourceId}” have arrived.`);
    arriving.delete(sourceId);
    const { sheet, people, thread } = file;
    thread?.postMessage(null);
    const parts = thread ? ((await once(thread, 'message')) as [IndexParts])[0] : undefined;
    sources.set(sourceId, importedSource(sheet, writtenPeople(people), parts));
    return { people: people.length };
  },
  forget: ({ sourceId }) => {
    sources.delete(sourceId);
    return null;
  },

  page: ({ sourceId, search, page }) => sourceOf(sourceId).page(search, page),

  gather: ({ sheet, rendering, answers, size, seed, contacted, drawn }) => {
    const { people: seen, open, ...outcome } = gather(rendering, answers, sheet);
    const known = new Set(contacted);
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

  ledger: ({ sourceId, query, verdicts, order }) => {
    const source = sourceOf(sourceId);
    const { rendering, found, asked } = countString(query, source);
    if (rendering.exactness === 'impossible') return { rendering, found, keptBack: null, rows: null, narrowing: [] };
    return {
      rendering,
      found,
      keptBack: keptBack(query, rendering.leftover, asked, source),
      rows: worthOf(query, rendering.leftover, found.estimated, source, verdicts),
      narrowing: narrowingSteps(query, order).map(({ part, query: step }) => ({
        part,
        estimated: countAt(step, source)
      }))
    };
  },

  propose: ({ text, sets, sources: asked }) => {
    const named = setQueries(sets);
    const { query } = parse(text, named);
    if (!query) return [];
    const at = asked.map((one) => ({ ...one, source: sourceOf(one.sourceId) }));
    const list = new Map<string, Candidate>();
    for (const { source, verdicts } of at) {
      const judged = verdicts.flatMap(({ id, fit }) => {
        const row = source.rowOf(id);
        return row === undefined ? [] : [{ person: source.personAt(row), fit }];
      });
      for (const one of candidates(text, query, judged, matchingOf(source.sheet.matching), named))
        list.set(JSON.stringify(one.changes), one);
    }
    const judgedSources = at.map(({ source, verdicts }) => judgedAt(source, verdicts));
    return measure(text, query, [...list.values()], judgedSources, named).map(({ effects, ...proposal }) => {
      const after = parse(proposal.text, named).query!;
      return { ...proposal, effects: effects.map((effect, i) => toldEffect(effect, query, after, at[i]!.source)) };
    });
  },

  effect: ({ from, to, sources: asked }) =>
    asked.map(({ sourceId, verdicts }) => {
      const source = sourceOf(sourceId);
      return toldEffect(effectOf(from, to, judgedAt(source, verdicts)), from, to, source);
    }),

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
        // One whom the source no longer has is nobody else.
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
    const told: number[][] = [];
    let from = 0;
    for (const { ids } of records) {
      told.push([...personOf.subarray(from, from + ids.length)]);
      from += ids.length;
    }
    return {
      personOf: told,
      people,
      doubtful: doubtful.slice(0, mostDoubtful).map(({ a, b, why }) => ({
        first: names[a]!,
        second: names[b]!,
        people: [all[a]!.person, all[b]!.person],
        why
      }))
    };
  },

  lacking: ({ query, at, people, matching }) => {
    const source = sourceOf(at);
    const there = matchingOf(source.sheet.matching);
    const here = matchingOf(matching);
    const searches = render(query, source.sheet).searches.flatMap((search) => readSearch(search, source.sheet) ?? []);
    return people.map((person) => {
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

  'people-by-id': ({ sourceId, ids }) => {
    const source = sourceOf(sourceId);
    return ids.flatMap((id) => {
      const row = source.rowOf(id);
      return row === undefined ? [] : [source.personAt(row)];
    });
  },

  known: ({ sourceId, text, sets, known }) => {
    const source = sourceOf(sourceId);
    const named = setQueries(sets);
    const { query } = parse(text, named);
    return known.map((one) => {
      const person = recordOf(one, source);
      const explanation =
        person && query ? explain(text, query, person, matchingOf(source.sheet.matching), named) : null;
      return { id: one.id, person, explanation };
    });
  },

  sample: ({ sourceId, from, to, size, seed, certain }) => {
    const source = sourceOf(sourceId);
    const people = peopleOf(source, certain ? 'certain' : 'possible');
    const [had, has] = [people.rows(from), people.rows(to)];
    const side = (wanted: Bitmap, unwanted: Bitmap | null, name: string) => {
      const set = wanted.slice();
      if (unwanted) takeOut(set, unwanted);
      const rows = rowsOf(set, source.sheet.limits.shown ?? Infinity);
      const ranks = drawSample(
        rows.map((row) => source.index.ids[row]!),
        size,
        `${seed}/${name}`
      );
      return {
        ids: rowsOf(set).map((row) => source.index.ids[row]!),
        shown: rows.length,
        sample: ranks.map((rank) => ({ rank, person: source.personAt(rows[rank - 1]!) }))
      };
    };
    const both = had.slice();
    keepCommon(both, has);
    return {
      goes: side(had, has, 'who goes'),
      comes: side(has, had, 'who comes'),
      stays: side(both, null, 'who stays')
    };
  },

  senses: ({ sourceId, queries, words }) =>
    queries.map((query) => {
      const { found, people } = tryString(query, sourceOf(sourceId));
      return { estimated: found.estimated, shown: people.length, words: countSenses(words, people) };
    }),

  'count-each': ({ sourceId, queries }) => queries.map((query) => countAt(query, sourceOf(sourceId)))
};

parentPort?.on('message', async ({ id, kind, ask }: PeopleRequest) => {
  try {
    parentPort!.postMessage({ id, answer: await work[kind](ask as never) });
  } catch (error) {
    parentPort!.postMessage({ id, error: error instanceof Error ? error.message : String(error) });
  }
});
