import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { notFound } from '$server/platform/refusals';
import { identify, namesOf, type Identity } from './identity';
import { judgedBy, type Judged } from './judged';
import { rowsOfTrials, type Tried } from './latest-trials';
import { lastChange, newVerdicts, verdictsOf, type NewVerdicts } from './verdicts-of-persona';
import { personas } from '$server/features/briefs/personas';
import { memoize } from '$server/platform/memoize';

/**
 * The state of a brief that most answers are derived from, at one moment. One statement finds out whether anything has changed
 * since it was read before. Read once per request and passed on.
 */
export interface BriefContext {
  briefId: string;
  personaId: string;
  name: string;
  /** The newest trial that is done of each version at each source, the newest version first. Shared: not to be changed. */
  trials: readonly Tried[];
  /** Changes when trials, verdicts or links between records do; `without` ignores verdicts. */
  mark: string;
  without: string;
  /** Changes whenever the page of one of these trials does, verdicts aside; undefined for any other trial. */
  pageMark(trialId: string): string | undefined;
  /** The revision of the people of every source that there is, by id. */
  sources: ReadonlyMap<string, number>;
  identity(): Promise<Identity>;
  judged(): Promise<Judged>;
}

interface Moment {
  personaId: string;
  name: string;
  /** The id of each, and what changes where it is rebuilt by hand under its id, or people are erased from it. */
  trials: string[];
  /** What is kept of the versions: their names and notes change. */
  versions: string;
  verdicts: string;
  /** Those given or changed since verdicts were read last. */
  newVerdicts: NewVerdicts;
  same: string;
  sources: string | null;
  samples: string;
  notes: string;
  known: number;
}

/** All of it by marks. A count alone would not do: one verdict taken back and another given leave it as it was. */
const momentOf = `
  SELECT b.persona_id AS "personaId", b.name,
    ARRAY(SELECT DISTINCT ON (t.version_id, t.source_id) concat(t.id, ' ', extract(epoch FROM t.created_at), ' ', t.erased) FROM trials t JOIN versions v ON v.id = t.version_id
      WHERE v.brief_id = b.id AND t.state = 'done' ORDER BY t.version_id, t.source_id, t.created_at DESC) AS trials,
    (SELECT concat(count(*), ' ', sum(hashtext(concat(number, name, note)))) FROM versions WHERE brief_id = b.id) AS versions,
    (SELECT concat(count(*), ' ', sum(change)) FROM verdicts WHERE persona_id = b.persona_id) AS verdicts,
    (${newVerdicts('b.persona_id', '$2')}) AS "newVerdicts",
    (SELECT concat(count(*), ' ', max(updated_at), sum(hashtext(concat(first_person, second_person, same)))) FROM same_person) AS same,
    (SELECT string_agg(concat(id, ' ', coalesce(people, 0), ' ', people_revision, ' ', revision), '/' ORDER BY id) FROM sources) AS sources,
    (SELECT sum(t.sample_size) FROM trials t JOIN versions v ON v.id = t.version_id WHERE v.brief_id = b.id) AS samples,
    (SELECT concat(count(*), ' ', sum(revision), ' ', max(updated_at)) FROM notes WHERE persona_id = b.persona_id) AS notes,
    (SELECT revision FROM documents WHERE brief_id = b.id AND kind = 'known') AS known
  FROM briefs b WHERE b.id = $1`;

const trialsCache = new LRUCache<string, readonly Tried[]>({ max: 48 });
const identityCache = new LRUCache<string, Promise<Identity>>({ max: 32 });
/** What was judged last of the same people: most of it stays with the next verdict. */
const newestJudged = new WeakMap<Identity, Judged>();
const judgedCache = new LRUCache<string, Promise<Judged>>({ max: 48 });

const idOf = (trial: string): string => trial.split(' ')[0]!;
const hashOf = (reply: unknown) => createHash('sha256').update(JSON.stringify(reply)).digest('base64');

/** The present context of a brief. Refuses an unknown brief. */
export async function contextOf(briefId: string): Promise<BriefContext> {
  const after = lastChange(personas.get(briefId));
  const [now] = await database().query<Moment>(momentOf, { bind: [briefId, after], type: QueryTypes.SELECT });
  if (!now) throw notFound('This brief');
  const { personaId, name } = now;
  personas.set(briefId, personaId);
  const key = `${briefId} ${now.versions} ${now.trials.join()}`;
  let trials = trialsCache.get(key);
  if (!trials) trialsCache.set(key, (trials = await rowsOfTrials(briefId, now.trials.map(idOf))));
  const verdicts = once(() => verdictsOf(personaId, now.verdicts, now.newVerdicts));
  const identityKey = async () => {
    const shown = namesOf(trials);
    // Judged, and not found by any of the newest trials.
    const named: { sourceId: string; personId: string }[] = [];
    for (const [record, { sourceId, personId }] of await verdicts())
      if (!shown.has(record)) named.push({ sourceId, personId });
    named.sort((a, b) => (a.sourceId + a.personId < b.sourceId + b.personId ? -1 : 1));
    return { named, key: hashOf([now.trials, named, now.same, now.sources]) };
  };
  const identity = once(async () => {
    const { named, key: identityName } = await identityKey();
    return memoize(identityCache, identityName, () => identify(trials, named));
  });
  const without = hashOf([key, now.same, now.sources, now.samples, now.known]);
  const mark = hashOf([without, now.verdicts]);
  return {
    briefId,
    personaId,
    name,
    trials,
    mark,
    without,
    pageMark: (trialId) => {
      const trial = now.trials.find((one) => idOf(one) === trialId);
      return trial && `${trial} ${hashOf([now.samples, now.sources, now.notes])}`;
    },
    sources: new Map(
      (now.sources ?? '').split('/').flatMap((one) => {
        const [id, , revision] = one.split(' ');
        return id ? [[id, Number(revision)] as const] : [];
      })
    ),
    identity,
    judged: once(() =>
      memoize(judgedCache, mark, async () => {
        const [who, rows] = await Promise.all([identity(), verdicts()]);
        const judged = judgedBy(who, rows, newestJudged.get(who));
        newestJudged.set(who, judged);
        return judged;
      })
    )
  };
}

/** Computes the answer on the first call and returns the same one afterwards. */
function once<T>(work: () => Promise<T>): () => Promise<T> {
  let answer: Promise<T> | undefined;
  return () => (answer ??= work());
}

/** Milliseconds that a page waits for linked records: right after a start the sources aren't ready. */
const patience = 1500;

/** Number of people judged; null while records aren't linked yet. */
export async function peopleJudged(context: BriefContext): Promise<number | null> {
  const counting = context.judged().then(
    ({ byPerson }) => byPerson.size,
    () => null
  );
  return Promise.race([counting, new Promise<null>((done) => setTimeout(() => done(null), patience).unref())]);
}
