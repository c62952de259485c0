import { Op, QueryTypes, UniqueConstraintError, type Transaction } from 'sequelize';
import { nextStep } from '$core/harvest';
import { middleOf, type Interval } from '$core/measure';
import { atFirms } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import type { HarvestRow, HarvestSliceRow, HarvestSourceRow } from '$server/platform/database/harvest-models';
import { models, type HandEntryRow, type SourceRow } from '$server/platform/database/models';
import { askPeople } from '$server/workers/people';
import { excludedFirms } from '$server/features/briefs/excluded-firms';
import { askWithNextWord } from './ask-with-words';
import { linkSoon } from './link-in-thread';
import { placeOf, reportedOf, tryToCut } from './slices';
import { searchSeen } from '$server/records/hand-rows';

// A harvest at a place run by hand: its slices are searches that a person runs, one after another. What comes of one is in the
// diary of the place, that of a whole search as an entry like any other, and that of a part of it as an entry of the slice.

/** The search of the rendering that a slice is, or was cut out of. */
export const searchOf = ({ place }: Pick<HarvestSliceRow, 'place'>): number => Number(place.split('.')[0]);

/** The diary entries of a slice, oldest first, including those taken back. */
export async function entriesOfSlice(
  { versionId, sourceId }: Pick<HarvestSourceRow, 'versionId' | 'sourceId'>,
  slice: HarvestSliceRow,
  transaction?: Transaction
): Promise<HandEntryRow[]> {
  const whole = { sliceId: null, versionId, sourceId, search: searchOf(slice) };
  const entries = await Promise.all(
    [{ sliceId: slice.id }, ...(slice.parent === null ? [whole] : [])].map((where) =>
      models().HandEntry.findAll({ where, ...(transaction && { transaction }) })
    )
  );
  return entries.flat().sort((a, b) => +a.seenAt - +b.seenAt || +a.createdAt - +b.createdAt || (a.id < b.id ? -1 : 1));
}

/** The slices whose rows some entries of one place tell: those that they belong to, or their whole search in every harvest of the version. */
export async function slicesOfEntries(
  entries: readonly HandEntryRow[],
  transaction: Transaction
): Promise<HarvestSliceRow[]> {
  const { HarvestSlice, HarvestSource } = models();
  const parts = entries.flatMap(({ sliceId }) => sliceId ?? []);
  const [whole] = entries.filter(({ sliceId }) => !sliceId);
  const runs = whole
    ? await HarvestSource.findAll({
        where: { versionId: whole.versionId, sourceId: whole.sourceId },
        attributes: ['harvestId'],
        transaction
      })
    : [];
  const places = entries.flatMap(({ sliceId, search }) => (sliceId ? [] : [placeOf(null, search)]));
  return HarvestSlice.findAll({
    where: {
      [Op.or]: [
        { id: parts },
        {
          harvestId: runs.map(({ harvestId }) => harvestId),
          parent: null,
          place: places,
          sourceId: whole?.sourceId ?? ''
        }
      ]
    },
    transaction
  });
}

/** How far a slice is by the rows that came, and whether somebody said that there are no more. */
function stateOf(
  slice: HarvestSliceRow,
  { rows, reported, open }: { rows: number; reported: Interval | null; open: boolean },
  { sheet }: SourceRow
): HarvestSliceRow['state'] {
  if (slice.state === 'cut' || slice.state === 'left out') return slice.state;
  const { shown } = sheet.limits;
  const all = reported !== null && !open && rows >= reported.high;
  const ended = slice.ended || all || (shown !== null && rows >= shown);
  if (!ended) return 'waiting';
  return reported !== null && rows < reported.low ? 'stuck' : 'read';
}

/** Brings what is gathered of a slice in line with the diary: its rows, its count, and how far it is. */
export async function recountSlice(slice: HarvestSliceRow, transaction: Transaction): Promise<void> {
  const { HarvestSource, Source } = models();
  const { harvestId, sourceId } = slice;
  const [run, source] = await Promise.all([
    HarvestSource.findOne({ where: { harvestId, sourceId }, transaction }),
    Source.findByPk(sourceId, { transaction })
  ]);
  if (!run || !source) return;
  const entries = (await entriesOfSlice(run, slice, transaction)).filter(({ takenBack }) => !takenBack);
  const { people: shown, pages, counted } = searchSeen(entries);
  // Somebody may be shown twice.
  const people = [...new Map(shown.map((person) => [person.id, person])).values()];
  const checked = await askPeople('check-rows', { sheet: source.sheet, leftover: run.rendering.leftover, people });
  const harvest = await models().Harvest.findByPk(harvestId, { transaction });
  const isExcluded = atFirms(harvest ? (await excludedFirms(harvest.briefId, transaction)).all : []);
  const bind = { harvestId, sourceId, slice: slice.id };
  await database().query(
    `UPDATE harvest_rows SET slices = array_remove(slices, $slice::uuid)
     WHERE harvest_id = $harvestId AND source_id = $sourceId AND slices @> ARRAY[$slice::uuid] AND person_id <> ALL($ids::text[])`,
    { bind: { ...bind, ids: people.map(({ id }) => id) }, transaction }
  );
  await database().query(
    `DELETE FROM harvest_rows WHERE harvest_id = $harvestId AND source_id = $sourceId AND slices = '{}'`,
    { bind: { harvestId, sourceId }, transaction }
  );
  // What was corrected since is kept as it stands now.
  await database().query(
    `INSERT INTO harvest_rows (harvest_id, source_id, person_id, slices, person, reading, unlisted)
     SELECT $harvestId, $sourceId, r.person->>'id', ARRAY[$slice::uuid], r.person, r.reading,
       ARRAY(SELECT jsonb_array_elements_text(r.unlisted))
     FROM jsonb_to_recordset($rows::jsonb) AS r (at integer, person jsonb, reading text, unlisted jsonb) ORDER BY r.at
     ON CONFLICT (harvest_id, source_id, person_id) DO UPDATE SET person = excluded.person, reading = excluded.reading,
       unlisted = excluded.unlisted, slices = CASE WHEN harvest_rows.slices @> ARRAY[$slice::uuid] THEN harvest_rows.slices
         ELSE array_append(harvest_rows.slices, $slice::uuid) END`,
    {
      bind: {
        ...bind,
        rows: JSON.stringify(
          people.map((person, at) => ({
            at,
            person,
            ...checked[at]!,
            ...(isExcluded(person) && { reading: 'not met' })
          }))
        )
      },
      transaction
    }
  );
  const [fresh] = await database().query<{ rows: number }>(
    `SELECT count(*)::int AS rows FROM harvest_rows
     WHERE harvest_id = $harvestId AND source_id = $sourceId AND slices[1] = $slice::uuid`,
    { bind, transaction, type: QueryTypes.SELECT }
  );
  const seen = {
    rows: shown.length,
    reported: counted?.count?.interval ?? null,
    open: counted?.count?.open ?? false
  };
  await slice.update(
    {
      said: counted?.count?.said ?? null,
      count: seen.reported,
      pages: pages.length,
      rows: seen.rows,
      fresh: fresh!.rows,
      state: stateOf(slice, seen, source)
    },
    { transaction }
  );
}

/** So many times the rows that came must be reported where a place does not say how many it shows, for it to be taken for a cap. */
const farMore = 1.5;

/** Whether a slice is longer than its place shows. */
function isTooLong(slice: HarvestSliceRow, source: SourceRow): boolean {
  const reported = reportedOf(slice, source);
  if (!reported || !slice.rows) return false;
  const { shown } = source.sheet.limits;
  if (shown !== null) return nextStep(reported, shown) === 'cut';
  return slice.state === 'stuck' && middleOf(reported) > farMore * slice.rows;
}

/**
 * Plans what is to be run next: what was read and is too long is cut, and where nothing waits any more, one more neutral word is put
 * in line where it is worth it.
 */
async function planByHand(
  harvest: HarvestRow,
  run: HarvestSourceRow,
  source: SourceRow,
  read: readonly HarvestSliceRow[]
): Promise<void> {
  const { HarvestSlice } = models();
  const ofRun = { harvestId: harvest.id, sourceId: source.id };
  try {
    for (const { id } of read) {
      const slice = await HarvestSlice.findByPk(id);
      if (slice && ['waiting', 'stuck'].includes(slice.state) && !slice.cutBy && isTooLong(slice, source))
        await tryToCut(harvest, slice, source);
    }
    if (!(await HarvestSlice.count({ where: { ...ofRun, state: 'waiting' } }))) await askWithNextWord(harvest, source);
  } catch (error) {
    // Somebody else wrote at the same moment, and it was planned there.
    if (!(error instanceof UniqueConstraintError)) throw error;
  }
  const left = await HarvestSlice.count({ where: { ...ofRun, state: 'waiting' } });
  await run.update({ state: left ? 'waiting' : 'done', problem: '' });
}

/** Takes what is in the diary into a harvest that is gathered again or goes on, and plans the next search. */
export async function takeFromDiary(harvest: HarvestRow, run: HarvestSourceRow, source: SourceRow): Promise<void> {
  const slices = await models().HarvestSlice.findAll({
    where: { harvestId: harvest.id, sourceId: source.id, parent: null }
  });
  await database().transaction(async (transaction) => {
    for (const slice of slices) await recountSlice(slice, transaction);
  });
  await planByHand(harvest, run, source, slices);
}

/** What is left to do by hand, in a sentence; empty where nothing is. */
export async function leftToHand(harvestId: string): Promise<string> {
  const left = await database().query<{ name: string; searches: number }>(
    `SELECT s.name, count(*)::int AS searches FROM harvest_slices sl JOIN sources s ON s.id = sl.source_id
     WHERE sl.harvest_id = $harvestId AND sl.state = 'waiting' AND s.kind = 'by-hand' GROUP BY s.id, s.name ORDER BY s.name`,
    { bind: { harvestId }, type: QueryTypes.SELECT }
  );
  return left.length
    ? `To be run by hand: ${left.map(({ name, searches }) => `${searches} ${searches === 1 ? 'search' : 'searches'} at ${name}`).join(', ')}.`
    : '';
}

/** Brings a harvest on after slices of a place were `read` or its plan was changed: the plan, who is who, and how it stands. */
export async function bringOn(
  harvestId: string,
  source: SourceRow,
  read: readonly HarvestSliceRow[] = []
): Promise<void> {
  const { Harvest, HarvestSource } = models();
  const [harvest, run] = await Promise.all([
    Harvest.findByPk(harvestId),
    HarvestSource.findOne({ where: { harvestId, sourceId: source.id } })
  ]);
  if (!harvest || !run) return;
  await planByHand(harvest, run, source, read);
  // One that is in progress works that out at its end.
  if (harvest.state === 'running' || harvest.state === 'waiting') return;
  await linkSoon(harvestId);
  const [others] = await database().query<{ sources: number }>(
    `SELECT count(*)::int AS sources FROM harvest_sources hs JOIN sources s ON s.id = hs.source_id
     WHERE hs.harvest_id = $harvestId AND hs.state <> 'done' AND s.kind <> 'by-hand'`,
    { bind: { harvestId }, type: QueryTypes.SELECT }
  );
  if (others!.sources) {
    await Harvest.update({ updatedAt: new Date() }, { where: { id: harvestId } });
    return;
  }
  const problem = await leftToHand(harvestId);
  await Harvest.update(
    { state: problem ? 'paused' : 'done', problem },
    { where: { id: harvestId, state: ['paused', 'done'] } }
  );
}
