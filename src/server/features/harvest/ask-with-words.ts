import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { isWorthIt, outlookOf, searchWith, type NeutralWord, type TimesMet } from '$core/harvest';
import { fold } from '$core/language';
import { database } from '$server/platform/database/connection';
import type { HarvestRow, HarvestSliceRow } from '$server/platform/database/harvest-models';
import { models, type SourceRow } from '$server/platform/database/models';
import { askPeople } from '$server/workers/people';
import { needsOf, placeOf } from './slices';

// A search that is longer than its source shows, and cannot be cut, is asked again with words that nobody cares about, until
// few of the people that come are new. What comes with a word is no part of a cut: it overlaps, and comes on top.

/** Words asked beside one search at most. */
const maxWords = 60;

export const isAskedWithWords = ({ cutBy }: Pick<HarvestSliceRow, 'cutBy'>): boolean => cutBy?.kind === 'neutral';

/** The word that a slice was asked with. */
const wordOf = ({ what }: Pick<HarvestSliceRow, 'what'>): string => /“([^“”]+)”/.exec(what)?.[1] ?? '';

const withWords = (slice: HarvestSliceRow): Promise<HarvestSliceRow[]> =>
  models().HarvestSlice.findAll({ where: { parent: slice.id }, order: ['place'] });

/** How often each person came by a search and by its words. */
export async function timesMet(slices: readonly HarvestSliceRow[]): Promise<TimesMet> {
  const [{ harvestId, sourceId }] = slices as [HarvestSliceRow];
  const counts = await database().query<{ times: number; people: number }>(
    `SELECT times, count(*)::int AS people FROM (
       SELECT (SELECT count(*)::int FROM unnest(slices) AS one WHERE one = ANY($ids::uuid[])) AS times
       FROM harvest_rows WHERE harvest_id = $harvestId AND source_id = $sourceId AND slices && $ids::uuid[]) met
     GROUP BY times`,
    { bind: { harvestId, sourceId, ids: slices.map(({ id }) => id) }, type: QueryTypes.SELECT }
  );
  const of = (times: number) => counts.find((one) => one.times === times)?.people ?? 0;
  return {
    rows: counts.reduce((sum, { times, people }) => sum + times * people, 0),
    people: counts.reduce((sum, { people }) => sum + people, 0),
    once: of(1),
    twice: of(2)
  };
}

/** The words that should bring most new people beside a search, best first. */
export async function wordsFor(slice: HarvestSliceRow, source: SourceRow, briefId: string): Promise<NeutralWord[]> {
  const [asked, needs] = await Promise.all([withWords(slice), needsOf(briefId, slice, source)]);
  return askPeople('neutral-words', { ...needs, used: asked.map((one) => fold(wordOf(one))) });
}

/** Puts a search with a word in line. False where the source cannot be asked so, or has been. */
export async function askWith(
  slice: HarvestSliceRow,
  source: SourceRow,
  { word, expected }: { word: string; expected: number | null },
  transaction?: Transaction
): Promise<boolean> {
  const search = searchWith(slice.search, word, source.sheet);
  const asked = await withWords(slice);
  if (!search || asked.some((one) => fold(wordOf(one)) === fold(word.trim()))) return false;
  const how = transaction ? { transaction } : {};
  await slice.update({ state: slice.ended ? 'cut' : 'waiting', cutBy: { kind: 'neutral' } }, how);
  await models().HarvestSlice.create(
    {
      id: randomUUID(),
      harvestId: slice.harvestId,
      sourceId: slice.sourceId,
      parent: slice.id,
      place: placeOf(slice.place, asked.length),
      search,
      what: `with “${word.trim()}”`,
      expected
    },
    how
  );
  return true;
}

/**
 * Queues the next neutral word for a search of a source, where the people found so far make it worthwhile. False where no search
 * of it needs one more.
 */
export async function askWithNextWord(harvest: HarvestRow, source: SourceRow): Promise<boolean> {
  const least = harvest.budget.newShare;
  if (least === null || least === undefined || harvest.watchId) return false;
  const slices = await models().HarvestSlice.findAll({
    where: { harvestId: harvest.id, sourceId: source.id, state: ['stuck', 'cut'] },
    order: ['place']
  });
  for (const slice of slices) {
    if (slice.state === 'cut' && !isAskedWithWords(slice)) continue;
    const asked = await withWords(slice);
    if (asked.length >= maxWords) continue;
    // The first word is always asked: one search alone says nothing about the people it doesn't show.
    if (asked.length && !isWorthIt(await timesMet([slice, ...asked]), least)) continue;
    for (const word of await wordsFor(slice, source, harvest.briefId))
      if (await askWith(slice, source, word)) return true;
  }
  return false;
}

/** How a search that is asked with words stands; null for one that is not. */
export async function readWords(slice: HarvestSliceRow, slices: readonly HarvestSliceRow[], least: number | null) {
  if (!isAskedWithWords(slice)) return null;
  const asked = slices.filter(({ parent }) => parent === slice.id);
  const met = await timesMet([slice, ...asked]);
  const { share, unseen } = outlookOf(met);
  const waits = asked.some(({ state }) => state === 'waiting');
  return {
    rows: met.rows,
    people: met.people,
    share,
    unseen,
    end:
      waits || !asked.length
        ? null
        : least !== null && !isWorthIt(met, least)
          ? ('few are new' as const)
          : asked.length >= maxWords
            ? ('enough words' as const)
            : null
  };
}
