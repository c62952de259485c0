import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { personFromPageRow, readCount, type PageRow } from '$core/formats';
import { drawPages, usualPages } from '$core/measure';
import { database } from '../../database/connection';
import { models, type HandCount, type HandEntryRow, type HandRow, type SourceRow } from '../../database/models';
import { changedElsewhere, notFound, Refusal } from '../../refusal';
import { findBrief } from '../briefs/briefs';
import { withoutObjected } from '../objections/objected';
import { findSource } from '../sources/sources';
import { findVersion, toldVersion } from '../strings/versions';
import { makeHandTrial, placeFor, type Place } from './hand-trial';
import { rowsKept, searchSeen } from './hand-rows';

/** Rows of a page where the sheet does not say. */
const usualPage = 25;

/** What somebody saw of one search. */
export interface Seen {
  said: string;
  page: number | null;
  rows: (Pick<PageRow, 'values'> & Partial<HandRow>)[];
}

async function placeOf(briefId: string, number: number, sourceId: string): Promise<Place> {
  const [brief, version, source] = await Promise.all([
    findBrief(briefId),
    findVersion(briefId, number),
    findSource(sourceId)
  ]);
  return placeFor(brief, version, byHandOnly(source));
}

export function byHandOnly(source: SourceRow): SourceRow {
  if (source.kind !== 'by-hand')
    throw new Refusal(409, 'Not run by hand', `${source.name} is asked by Eave itself: run the string there.`);
  return source;
}

const entriesOf = ({ version, source }: Place, transaction?: Transaction) =>
  models().HandEntry.findAll({
    where: { versionId: version.id, sourceId: source.id },
    order: [
      ['seenAt', 'ASC'],
      ['createdAt', 'ASC'],
      ['id', 'ASC']
    ],
    ...(transaction && { transaction })
  });

/** The count of an entry as it is understood. Refuses what is no count, so that nothing is taken for none. */
function countOf(said: string): HandCount | null {
  if (!said.trim()) return null;
  const read = readCount(said);
  if (!read)
    throw new Refusal(
      422,
      'No count',
      `No count can be read in “${said.trim().slice(0, 60)}”. Write it as the place shows it: 1–10 of 140, about 3,000, 3K+.`
    );
  return read;
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
 * Changes a diary and makes its trial anew; one after another, where two write at once. Gives the trial's id; null where
 * nothing stands there any more.
 */
export async function changeDiary(
  place: Place,
  work: (transaction: Transaction) => Promise<void>
): Promise<string | null> {
  return database().transaction(async (transaction) => {
    await database().query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', {
      bind: [`diary ${place.version.id} ${place.source.id}`],
      transaction
    });
    await work(transaction);
    return makeHandTrial(place, await entriesOf(place, transaction), transaction);
  });
}

/** Writes an entry, within a change of the diary. */
export async function writeEntry(
  place: Place,
  search: number,
  { said, page, rows }: Seen,
  transaction: Transaction,
  { count = countOf(said), seenAt }: { count?: HandCount | null; seenAt?: string | undefined } = {}
): Promise<void> {
  const before = await entriesOf(place, transaction);
  await models().HandEntry.create(
    {
      id: randomUUID(),
      versionId: place.version.id,
      sourceId: place.source.id,
      search,
      said: said.trim(),
      count,
      page,
      rows: await allowedRows(place.source.id, rowsKept(rows, { others: before.flatMap((entry) => entry.rows) })),
      ...(seenAt && { seenAt: new Date(seenAt) })
    },
    { transaction }
  );
}

/** Writes what was seen into the diary. Nothing that stands there gives way to it. */
export async function addEntry(
  briefId: string,
  number: number,
  sourceId: string,
  { search, seenAt, ...seen }: Seen & { search: number; seenAt?: string | undefined }
) {
  const place = await placeOf(briefId, number, sourceId);
  const { searches } = place.rendering;
  if (search >= searches.length)
    throw new Refusal(
      409,
      'Another search',
      `Version ${number} makes ${searches.length} searches at ${place.source.name}.`
    );
  const kept = rowsKept(seen.rows);
  if (!seen.said.trim() && !kept.length)
    throw new Refusal(422, 'Nothing seen', 'An entry has a count, or rows with a name, or both.');
  await changeDiary(place, (transaction) => writeEntry(place, search, seen, transaction, { seenAt }));
  return readPlace(place);
}

/** Corrects an entry, takes it back, or puts it in again, if nobody has changed it since `revision`. */
export async function changeEntry(
  briefId: string,
  entryId: string,
  { said, page, rows, takenBack, revision }: Seen & { takenBack: boolean; revision: number }
) {
  const { HandEntry, Version } = models();
  const entry = await HandEntry.findByPk(entryId);
  const version = entry && (await Version.findOne({ where: { id: entry.versionId, briefId } }));
  if (!entry || !version) throw notFound('This entry');
  const [brief, source] = await Promise.all([findBrief(briefId), findSource(entry.sourceId)]);
  const place = await placeFor(brief, version, source);
  const count = countOf(said);
  const kept = await allowedRows(entry.sourceId, rowsKept(rows, { own: entry.rows }));
  await changeDiary(place, async (transaction) => {
    const [changed] = await HandEntry.update(
      { said: said.trim(), count, page, rows: kept, takenBack, revision: revision + 1 },
      { where: { id: entryId, revision }, transaction }
    );
    if (!changed) throw changedElsewhere('This entry', { current: entryId });
  });
  return readPlace(place);
}

/** What was seen of a version at a place run by hand, and what to do next. */
export const readDiary = async (briefId: string, number: number, sourceId: string) =>
  readPlace(await placeOf(briefId, number, sourceId));

async function readPlace(place: Place) {
  const { version, source, brief, rendering } = place;
  const [entries, trial] = await Promise.all([
    entriesOf(place),
    models().Trial.findOne({
      where: { versionId: version.id, sourceId: source.id },
      attributes: ['id'],
      order: [['createdAt', 'DESC']]
    })
  ]);
  const met = rendering.searches.map(() => new Set<string>());
  const told = entries.map((entry) => {
    const had = met[entry.search];
    const known = entry.takenBack ? 0 : entry.rows.filter(({ id }) => had?.has(id)).length;
    if (!entry.takenBack) for (const { id } of entry.rows) had?.add(id);
    return toldEntry(entry, known);
  });
  const size = source.sheet.limits.page ?? usualPage;
  return {
    version: toldVersion(version),
    sourceId: source.id,
    rendering,
    entries: told.reverse(),
    searches: rendering.searches.map((_, search) => {
      const live = entries.filter((entry) => entry.search === search && !entry.takenBack);
      const { people, pages: pagesRead, counted } = searchSeen(live);
      const high = counted?.count && Math.round((counted.count.interval.low + counted.count.interval.high) / 2);
      // An open count may go on for ever: as deep as it surely goes.
      const deep = counted?.count?.open ? counted.count.interval.low : high;
      const pages =
        deep === null || deep === undefined
          ? null
          : Math.ceil(Math.min(deep, source.sheet.limits.shown ?? Infinity) / size);
      return {
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

const toldEntry = (entry: HandEntryRow, known: number) => ({
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
