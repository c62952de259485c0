import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { countInterval } from '$core/dialect';
import { personFromPageRow, readCount, type PageRow } from '$core/formats';
import { database } from '$server/platform/database/connection';
import type { HarvestSliceRow } from '$server/platform/database/harvest-models';
import {
  models,
  type HandCount,
  type HandEntryRow,
  type HandRow,
  type SourceRow
} from '$server/platform/database/models';
import { changedElsewhere, notFound, refuse } from '$server/platform/refusals';
import { findBrief } from '$server/features/briefs/briefs';
import { withoutObjected } from '$server/records/objections/objected';
import { findSource } from '$server/features/sources/sources';
import { makeHandTrial, handSearchFor, type HandSearch } from './hand-trial';
import { entriesOf, placeOf, readPlace } from './read-diary';
import { bringOn, recountSlice, searchOf, slicesOfEntries } from '$server/features/harvest/slices-by-hand';
import { rowsKept } from '$server/records/hand-rows';

/** What somebody saw of one search. */
export interface Seen {
  said: string;
  page: number | null;
  rows: (Pick<PageRow, 'values'> & Partial<HandRow>)[];
}

/**
 * The count of an entry as it is understood: as wide as its words say, and as the source's way of counting allows. Refuses what is no
 * count, so that nothing is taken for none.
 */
function countOf(said: string, { sheet }: SourceRow): HandCount | null {
  if (!said.trim()) return null;
  const read = readCount(said);
  if (!read) throw refuse('no-count', said.trim().slice(0, 60));
  const counted = countInterval(read.said, sheet.counting);
  return {
    ...read,
    interval: {
      low: Math.min(read.interval.low, counted.low),
      high: Math.max(read.interval.high, counted.high)
    }
  };
}

/** Rows without those of people who objected. */
async function allowedRows(sourceId: string, rows: readonly HandRow[]): Promise<HandRow[]> {
  const records = rows.flatMap((row) => {
    const person = personFromPageRow(row, row.id);
    return person ? [{ row, sourceId, person }] : [];
  });
  return (await withoutObjected(records)).map(({ row }) => row);
}

/**
 * Changes a diary, one after another where two write at once, and what follows from its entries: the trial is rebuilt, and the
 * harvests that have their rows are brought on. `work` gives the entries that it changed. Gives the trial's id; null where
 * nothing is there any more.
 */
export async function changeDiary(
  place: HandSearch,
  work: (transaction: Transaction) => Promise<HandEntryRow[]>
): Promise<string | null> {
  let slices: HarvestSliceRow[] = [];
  const trialId = await database().transaction(async (transaction) => {
    await database().query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', {
      bind: [`diary ${place.version.id} ${place.source.id}`],
      transaction
    });
    slices = await slicesOfEntries(await work(transaction), transaction);
    for (const slice of slices) await recountSlice(slice, transaction);
    return makeHandTrial(place, await entriesOf(place, transaction), transaction);
  });
  for (const harvestId of new Set(slices.map((slice) => slice.harvestId)))
    await bringOn(
      harvestId,
      place.source,
      slices.filter((slice) => slice.harvestId === harvestId)
    );
  return trialId;
}

/** Writes an entry, within a change of the diary. */
export async function writeEntry(
  place: HandSearch,
  search: number,
  { said, page, rows }: Seen,
  transaction: Transaction,
  {
    count = countOf(said, place.source),
    seenAt,
    sliceId = null
  }: { count?: HandCount | null; seenAt?: string | undefined; sliceId?: string | null } = {}
): Promise<HandEntryRow> {
  const before = await entriesOf(place, transaction, true);
  return models().HandEntry.create(
    {
      id: randomUUID(),
      versionId: place.version.id,
      sourceId: place.source.id,
      search,
      said: said.trim(),
      count,
      page,
      sliceId,
      rows: await allowedRows(place.source.id, rowsKept(rows, { others: before.flatMap((entry) => entry.rows) })),
      ...(seenAt && { seenAt: new Date(seenAt) })
    },
    { transaction }
  );
}

/**
 * Adds an entry to the diary; nothing in it is overwritten. `slice` is the slice of a harvest that was run,
 * where it was one.
 */
export async function addEntry(
  briefId: string,
  number: number,
  sourceId: string,
  {
    search,
    slice: sliceId,
    seenAt,
    ...seen
  }: Seen & { search: number; slice?: string | undefined; seenAt?: string | undefined }
) {
  const place = await placeOf(briefId, number, sourceId);
  const slice = sliceId === undefined ? null : await sliceAt(place, sliceId);
  const { searches } = place.rendering;
  const of = slice ? searchOf(slice) : search;
  if (of >= searches.length) throw refuse('no-such-search', number, searches.length, place.source.name);
  const kept = rowsKept(seen.rows);
  if (!seen.said.trim() && !kept.length) throw refuse('nothing-entered');
  // A whole search is the trial's as well.
  const part = slice && slice.parent !== null ? slice.id : null;
  await changeDiary(place, async (transaction) => [
    await writeEntry(place, of, seen, transaction, { seenAt, sliceId: part })
  ]);
  return readPlace(place, slice?.harvestId);
}

async function sliceAt({ version, source }: HandSearch, id: string): Promise<HarvestSliceRow> {
  const { HarvestSlice, HarvestSource } = models();
  const slice = await HarvestSlice.findOne({ where: { id, sourceId: source.id } });
  const { harvestId } = slice ?? {};
  if (
    !harvestId ||
    !(await HarvestSource.findOne({ where: { harvestId, sourceId: source.id, versionId: version.id } }))
  )
    throw refuse('plan-changed');
  return slice!;
}

/** Corrects an entry, takes it back, or puts it in again, if nobody has changed it since `revision`. */
export async function changeEntry(
  briefId: string,
  entryId: string,
  {
    said,
    page,
    rows,
    takenBack,
    revision,
    harvest: harvestId
  }: Seen & { takenBack: boolean; revision: number; harvest?: string | undefined }
) {
  const { HandEntry, Version } = models();
  const entry = await HandEntry.findByPk(entryId);
  const version = entry && (await Version.findOne({ where: { id: entry.versionId, briefId } }));
  if (!entry || !version) throw notFound('This entry');
  const [brief, source] = await Promise.all([findBrief(briefId), findSource(entry.sourceId)]);
  const place = await handSearchFor(brief, version, source);
  const count = countOf(said, source);
  const kept = await allowedRows(entry.sourceId, rowsKept(rows, { own: entry.rows }));
  await changeDiary(place, async (transaction) => {
    const [changed] = await HandEntry.update(
      { said: said.trim(), count, page, rows: kept, takenBack, revision: revision + 1 },
      { where: { id: entryId, revision }, transaction }
    );
    if (!changed) throw changedElsewhere('This entry', { current: entryId });
    return [entry];
  });
  return readPlace(place, harvestId);
}
