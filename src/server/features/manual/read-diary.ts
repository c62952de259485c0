import type { Transaction } from 'sequelize';
import { drawPages, usualPages } from '$core/measure';
import { models, type HandEntryRow, type SourceRow } from '$server/platform/database/models';
import { notFound, refuse } from '$server/platform/refusals';
import { findBrief } from '$server/features/briefs/briefs';
import { findSource } from '$server/features/sources/sources';
import { findVersion, serializeVersion } from '$server/features/trials/versions';
import { searchSeen } from '$server/records/hand-rows';
import { handSearchFor, type HandSearch } from './hand-trial';
import { entriesOfSlice } from '$server/features/harvest/slices-by-hand';

/** Rows of a page where the sheet does not say. */
const usualPage = 25;

export async function placeOf(briefId: string, number: number, sourceId: string): Promise<HandSearch> {
  const [brief, version, source] = await Promise.all([
    findBrief(briefId),
    findVersion(briefId, number),
    findSource(sourceId)
  ]);
  return handSearchFor(brief, version, byHandOnly(source));
}

export function byHandOnly(source: SourceRow): SourceRow {
  if (source.kind !== 'by-hand') throw refuse('not-a-manual-source', source.name);
  return source;
}

/** Entries of whole searches; with `slices`, of their parts in harvests too. */
export const entriesOf = ({ version, source }: HandSearch, transaction?: Transaction, slices = false) =>
  models().HandEntry.findAll({
    where: { versionId: version.id, sourceId: source.id, ...(!slices && { sliceId: null }) },
    order: [
      ['seenAt', 'ASC'],
      ['createdAt', 'ASC'],
      ['id', 'ASC']
    ],
    ...(transaction && { transaction })
  });

/** What was seen of a version at a place run by hand, and what to do next; of the slices of a harvest, where one is named. */
export const readDiary = async (briefId: string, number: number, sourceId: string, harvestId?: string) =>
  readPlace(await placeOf(briefId, number, sourceId), harvestId);

/** What is run of a version at a place: its searches, or the slices of a harvest there. */
async function searchesAt(place: HandSearch, harvestId?: string) {
  const { version, source, rendering } = place;
  if (harvestId === undefined) {
    const entries = await entriesOf(place);
    const own = rendering.searches.map((asked, search) => ({
      asked,
      slice: null,
      entries: entries.filter((entry) => entry.search === search)
    }));
    return { harvest: null, searches: own, entries };
  }
  const { Harvest, HarvestSource, HarvestSlice } = models();
  const ofRun = { harvestId, sourceId: source.id };
  const [harvest, run, slices] = await Promise.all([
    Harvest.findOne({ where: { id: harvestId, briefId: place.brief.id } }),
    HarvestSource.findOne({ where: { ...ofRun, versionId: version.id } }),
    HarvestSlice.findAll({ where: ofRun, order: ['place'] })
  ]);
  if (!harvest || !run) throw notFound('This harvest');
  const searches = await Promise.all(
    slices.map(async (slice) => ({ asked: slice.search, slice, entries: await entriesOfSlice(run, slice) }))
  );
  return {
    harvest: { id: harvest.id, name: harvest.name },
    searches,
    entries: searches
      .flatMap(({ entries }) => entries)
      .sort((a, b) => +a.seenAt - +b.seenAt || +a.createdAt - +b.createdAt)
  };
}

/** What was seen at a place, and what to do next. */
export async function readPlace(place: HandSearch, harvestId?: string) {
  const { version, source, brief, rendering } = place;
  const [{ harvest, searches, entries }, trial] = await Promise.all([
    searchesAt(place, harvestId),
    models().Trial.findOne({
      where: { versionId: version.id, sourceId: source.id },
      attributes: ['id'],
      order: [['createdAt', 'DESC']]
    })
  ]);
  const placeOfEntry = new Map(searches.flatMap((one, i) => one.entries.map(({ id }) => [id, i])));
  const met = searches.map(() => new Set<string>());
  const reply = entries.map((entry) => {
    const at = placeOfEntry.get(entry.id) ?? entry.search;
    const had = met[at];
    const known = entry.takenBack ? 0 : entry.rows.filter(({ id }) => had?.has(id)).length;
    if (!entry.takenBack) for (const { id } of entry.rows) had?.add(id);
    return { ...serializeEntry(entry, known), search: at };
  });
  const size = source.sheet.limits.page ?? usualPage;
  return {
    version: serializeVersion(version),
    sourceId: source.id,
    harvest,
    rendering: { ...rendering, searches: searches.map(({ asked }) => asked) },
    entries: reply.reverse(),
    searches: searches.map(({ slice, entries: all }, search) => {
      const live = all.filter((entry) => !entry.takenBack);
      const { people, pages: pagesRead, counted } = searchSeen(live);
      const high = counted?.count && Math.round((counted.count.interval.low + counted.count.interval.high) / 2);
      // An open count may go on for ever: as deep as it surely goes.
      const deep = counted?.count?.open ? counted.count.interval.low : high;
      const pages =
        deep === null || deep === undefined
          ? null
          : Math.ceil(Math.min(deep, source.sheet.limits.shown ?? Infinity) / size);
      return {
        slice: slice && {
          id: slice.id,
          what: slice.what,
          state: slice.state,
          rest: slice.rest,
          expected: slice.expected ?? null
        },
        entries: live.length,
        rows: people.length,
        pagesRead,
        pages,
        drawn: pages ? drawPages(pages, usualPages, `${brief.personaId}/${source.id}/${version.number}/${search}`) : []
      };
    }),
    trialId: trial?.id ?? null
  };
}

const serializeEntry = (entry: HandEntryRow, known: number) => ({
  id: entry.id,
  search: entry.search,
  seenAt: entry.seenAt.toISOString(),
  said: entry.said,
  count: entry.count,
  page: entry.page,
  rows: entry.rows,
  known,
  takenBack: entry.takenBack,
  revision: entry.revision
});
