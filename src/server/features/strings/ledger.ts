import { hasPeopleHere } from '$api/source-kinds';
import type { Person } from '$core/people';
import type { Change } from '$core/suggest';
import { askForJson, askPeople } from '$server/workers/people';
import type { JudgedIds } from '$server/workers/people-messages';
import { readDocument } from '$server/features/briefs/briefs';
import { isReadyAt, listSources, readySource } from '$server/features/sources/sources';
import { contextOf } from '$server/features/trials/brief-context';
import type { Judged } from '$server/features/trials/judged';
import { stringOf } from '$server/features/library/word-sets';

const judgedIdsCache = new WeakMap<Judged, Map<string, JudgedIds>>();

/** The people of a source who were judged fit or miss, there or as the same person elsewhere, by the verdict the brief goes by. */
function fitsAndMisses(judged: Judged, sourceId: string): JudgedIds {
  let kept = judgedIdsCache.get(judged);
  if (!kept) judgedIdsCache.set(judged, (kept = new Map()));
  let ids = kept.get(sourceId);
  if (!ids) {
    ids = { fits: [], misses: [] };
    for (const [number, verdict] of judged.verdicts) {
      // Two records of one person there are judged once.
      const id = verdict === 'unsure' ? undefined : judged.identity.recordAt(sourceId, number);
      if (id !== undefined) ids[verdict === 'fit' ? 'fits' : 'misses'].push(id);
    }
    kept.set(sourceId, ids);
  }
  return ids;
}

async function judgedSources(briefId: string, sourceIds: readonly string[]) {
  // All at once: asking the database takes longer than counting.
  const context = await contextOf(briefId);
  const [judged] = await Promise.all([
    context.judged(),
    ...sourceIds.map((id) => (isReadyAt(id, context.sources.get(id)) ? null : readySource(id)))
  ]);
  return sourceIds.map((sourceId) => ({ sourceId, judged: fitsAndMisses(judged, sourceId) }));
}

/** What each part of a string is worth at a source, and how the count falls part by part; `atLength` takes more time for it. */
export async function ledgerOf(
  briefId: string,
  text: string,
  sourceId: string,
  order?: readonly number[],
  atLength = false
) {
  const [string, [source]] = await Promise.all([stringOf(text), judgedSources(briefId, [sourceId])]);
  return askForJson(atLength ? 'ledger-at-length' : 'ledger', {
    ...source!,
    ...string,
    ...(order && { order: [...order] })
  });
}

/** Candidates measured between two looks at the clock. */
const measuredAtOnce = 100;

/**
 * Changes of a string that verdicts support, each measured at every source, best first.
 * @param from how many candidates an earlier answer has measured already
 * @param milliseconds after which no more are started, so that a busy machine answers with what it has; at least some are measured
 */
export async function proposalsFor(
  briefId: string,
  text: string,
  sourceIds: readonly string[],
  { from = 0, milliseconds = Infinity }: { from?: number; milliseconds?: number } = {}
) {
  const began = performance.now();
  const [string, sources] = await Promise.all([stringOf(text), judgedSources(briefId, sourceIds)]);
  // The sources work side by side, each in its own thread.
  const found = await Promise.all(sources.map((at) => askPeople('candidates', { ...string, ...at })));
  const all = [...new Map(found.flat().map((one) => [JSON.stringify(one.changes), one])).values()];
  const list: typeof all = [];
  const effects = sources.map((): Awaited<ReturnType<typeof effectsAt>> => []);
  const effectsAt = (at: (typeof sources)[number], some: typeof all) =>
    askPeople('effects-at', { ...string, ...at, list: some });
  let measured = from;
  while (measured < all.length && (!list.length || performance.now() - began < milliseconds)) {
    const some = all.slice(measured, measured + measuredAtOnce);
    const answers = await Promise.all(sources.map((at) => effectsAt(at, some)));
    answers.forEach((more, i) => effects[i]!.push(...more));
    list.push(...some);
    measured += some.length;
  }
  const best = await askPeople('rank-changes', { ...string, list, effects });
  const texts = best.map((proposal) => proposal.text);
  const counts = await Promise.all(
    sources.map(({ sourceId }) => askPeople('count-changed', { ...string, sourceId, texts }))
  );
  const proposals = best.map(({ effects: mine, ...proposal }, i) => ({
    ...proposal,
    effects: mine.map((effect, at) => ({
      ...effect,
      sourceId: sources[at]!.sourceId,
      before: counts[at]!.before,
      after: counts[at]!.after[i]!
    }))
  }));
  return { proposals, measured: Math.min(measured, all.length), of: all.length };
}

/** The text with several changes made, and what they do together at every source. */
export async function jointEffect(
  briefId: string,
  text: string,
  changes: readonly Change[],
  sourceIds: readonly string[]
) {
  const [string, sources] = await Promise.all([stringOf(text), judgedSources(briefId, sourceIds)]);
  return askForJson('effect', { ...string, changes, sources });
}

/** What other sources, whose people are there, say of the same person. */
export async function elsewhere(person: Person, except: string) {
  const sources = (await listSources()).filter(
    ({ id, kind, readiness }) => id !== except && hasPeopleHere(kind) && readiness.state === 'ready'
  );
  const reply = await Promise.all(
    sources.map(async ({ id, name }) => {
      const ready = await readySource(id);
      const [found] = await askPeople('locate', { sourceId: ready.id, people: [person] });
      return found ? [{ sourceId: id, sourceName: name, person: found }] : [];
    })
  );
  return reply.flat();
}

/** Each known-good of a brief at a source: there or not, found or not, and what would let them in. */
export async function knownAt(briefId: string, text: string, sourceId: string) {
  const { body: known } = await readDocument(briefId, 'known');
  if (!known.length) return [];
  const [string, source] = await Promise.all([stringOf(text), readySource(sourceId)]);
  const answers = await askPeople('known', { ...string, sourceId: source.id, known });
  return answers.map((answer, i) => ({ ...answer, name: known[i]!.name, company: known[i]!.jobs?.[0]?.company ?? '' }));
}
