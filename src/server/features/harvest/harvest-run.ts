import { ForeignKeyConstraintError, QueryTypes, UniqueConstraintError } from 'sequelize';
import * as z from 'zod';
import { countInterval } from '$core/dialect';
import { nextStep } from '$core/harvest';
import { atFirms } from '$core/shortlist';
import { spendOn } from '$core/measure';
import { isDatabaseAway } from '$server/platform/database/away';
import { database } from '$server/platform/database/connection';
import type { HarvestRow, HarvestSliceRow, HarvestSourceRow } from '$server/platform/database/harvest-models';
import { models, type SourceRow, type TrialEvent } from '$server/platform/database/models';
import { addJob, alone, defineTask, hasNoJob, type JobContext } from '$server/platform/jobs/queue';
import { Later, NotNow } from '$server/platform/jobs/not-now';
import { askPeople } from '$server/workers/people';
import { excludedFirms } from '$server/features/briefs/excluded-firms';
import { askPage } from '$server/features/sources/ask-source';
import { sourceToAsk } from '$server/features/sources/sources';
import { faultOfSource, whyItBrokeOff } from '$server/features/sources/why-it-broke-off';
import { linkInThread } from './link-in-thread';
import { askWithNextWord, isAskedWithWords } from './ask-with-words';
import { leftToHand, takeFromDiary } from './slices-by-hand';
import { touch, tryToCut } from './slices';

const task = 'harvest';
const maxEvents = 300;

/** A harvest that stands still until somebody gives it more, with why. */
class Paused extends Error {}

/** Queues a harvest behind trials, because somebody is waiting to judge the people of those. */
export async function enqueueHarvest(id: string, runAt?: Date): Promise<void> {
  const [service] = await database().query<{ id: string }>(
    `SELECT s.id FROM harvest_sources h JOIN sources s ON s.id = h.source_id WHERE h.harvest_id = $id AND s.kind = 'connected' ORDER BY h.position LIMIT 1`,
    { bind: { id }, type: QueryTypes.SELECT }
  );
  await addJob(task, { harvestId: id }, { key: `harvest ${id}`, priority: 50, runAt, service: service?.id ?? null });
}

export const harvestTask = defineTask(task, z.object({ harvestId: z.string() }), ({ harvestId }, { stopping, log }) =>
  alone(`harvest ${harvestId}`, (lost) => work(harvestId, AbortSignal.any([lost, stopping]), log))
);

/** Queues harvests again that no server works on any more. */
export async function resumeHarvests(): Promise<void> {
  const left = await database().query<{ id: string; goesOnAt: Date | null }>(
    `SELECT id, goes_on_at AS "goesOnAt" FROM harvests h WHERE state IN ('waiting', 'running')
       AND ${hasNoJob("'harvest ' || h.id")} ORDER BY created_at`,
    { type: QueryTypes.SELECT }
  );
  for (const { id, goesOnAt } of left) await enqueueHarvest(id, goesOnAt ?? new Date());
}

/** Brings a harvest to its end: slice by slice, page by page, each kept as it comes. Then who is who is worked out. */
async function work(harvestId: string, halt: AbortSignal, log: JobContext['log']): Promise<void> {
  const { Harvest, HarvestSource } = models();
  const [, [harvest]] = await Harvest.update(
    { state: 'running', goesOnAt: null, problem: '' },
    { where: { id: harvestId, state: ['waiting', 'running'] }, returning: true }
  );
  if (!harvest) return;
  try {
    const sources = await HarvestSource.findAll({ where: { harvestId, state: 'waiting' }, order: ['position'] });
    let wait: Later | null = null;
    for (const run of sources) {
      try {
        const place = await models().Source.findOne({ where: { id: run.sourceId, kind: 'by-hand' } });
        if (place) {
          await takeFromDiary(harvest, run, place);
          continue;
        }
        await gather(harvest, run, halt);
        // Anybody who has come can be read while the next source is asked.
        if (run !== sources.at(-1)) await tellApart(harvest, halt);
      } catch (error) {
        // Another source goes on while one waits.
        if (!(error instanceof Later)) throw error;
        await noteEvents(harvest, run.sourceId, [error.message]);
        if (!wait || error.wait < wait.wait) wait = error;
      }
    }
    if (wait) throw wait;
    await tellApart(harvest, halt);
    const [left] = await database().query<{ failed: string }>(
      `SELECT count(*) AS failed FROM harvest_sources WHERE harvest_id = $harvestId AND state = 'failed'`,
      { bind: { harvestId }, type: QueryTypes.SELECT }
    );
    const byHand = await leftToHand(harvestId);
    const end = Number(left!.failed)
      ? { state: 'failed' as const, problem: 'Some sources couldn’t be read completely; see below.' }
      : { state: byHand ? ('paused' as const) : ('done' as const), problem: byHand };
    await Harvest.update(end, { where: { id: harvestId, state: 'running' } });
  } catch (error) {
    await settle(harvest, error, log);
  }
}

/** Works out who is who, for those who look at the harvest; a watch does that itself, and nobody looks. */
const tellApart = async ({ id, watchId }: HarvestRow, halt?: AbortSignal): Promise<void> => {
  if (!watchId) await linkInThread(id, halt);
};

/** What becomes of a harvest that could not go on. */
async function settle(harvest: HarvestRow, error: unknown, log: JobContext['log']): Promise<void> {
  const { Harvest } = models();
  const mine = { where: { id: harvest.id, state: 'running' } };
  if (error instanceof NotNow || isDatabaseAway(error)) throw error;
  if (error instanceof UniqueConstraintError) throw new NotNow('Another server works on this.');
  if (error instanceof ForeignKeyConstraintError) return;
  if (error instanceof Later) {
    const goesOnAt = new Date(Date.now() + error.wait);
    await Harvest.update({ state: 'waiting', problem: error.message, goesOnAt }, mine);
    throw error;
  }
  // The people collected so far can be judged.
  if (error instanceof Paused) {
    await tellApart(harvest);
    await Harvest.update({ state: 'paused', problem: error.message }, mine);
    return;
  }
  log.warn({ err: error, harvest: harvest.id }, 'harvest failed');
  await Harvest.update({ state: 'failed', problem: whyItBrokeOff(error) }, mine);
}

async function noteEvents(harvest: HarvestRow, source: string, whats: readonly string[]): Promise<void> {
  if (!whats.length) return;
  const events = whats.map((what) => ({ at: new Date().toISOString(), source, what }));
  await harvest.update({ events: [...harvest.events, ...events].slice(-maxEvents) });
}

/** All slices of one source, until none waits. */
async function gather(harvest: HarvestRow, run: HarvestSourceRow, halt: AbortSignal): Promise<void> {
  const { HarvestSlice } = models();
  const source = await sourceToAsk(run.sourceId);
  try {
    for (;;) {
      const slice = await HarvestSlice.findOne({
        where: { harvestId: run.harvestId, sourceId: run.sourceId, state: 'waiting' },
        order: ['place']
      });
      if (!slice) {
        const now = await models().Harvest.findByPk(harvest.id);
        if (now?.state === 'running' && (await askWithNextWord(now, source))) continue;
        break;
      }
      await readSlice(harvest, run, source, slice, halt);
    }
    await run.update({ state: 'done', problem: '' });
  } catch (error) {
    const fault = faultOfSource(source, error);
    if (fault === null) throw error;
    // One source that cannot be asked keeps the others from nothing.
    await run.update({ state: 'failed', problem: fault });
  }
}

/** Reads a slice to its end, or cuts it where it is too long. */
async function readSlice(
  harvest: HarvestRow,
  run: HarvestSourceRow,
  source: SourceRow,
  slice: HarvestSliceRow,
  halt: AbortSignal
): Promise<void> {
  const { limits, counting } = source.sheet;
  const seen = await idsOf(slice);
  const parent = slice.parent === null ? null : await models().HarvestSlice.findByPk(slice.parent);
  // What is asked with words is not cut, and neither is what a word brings.
  const whole = isAskedWithWords(slice) || (parent !== null && isAskedWithWords(parent));
  while (!slice.ended) {
    if (halt.aborted) throw new NotNow('This server stops, or has lost its line to the database.');
    const still = await models().Harvest.findByPk(harvest.id, { attributes: ['state', 'budget'] });
    if (still?.state !== 'running') throw new NotNow('It was stopped.');
    await keepBudget(still.budget, run, source);
    await readPage(harvest, run, source, slice, seen, halt);
    // The first page says how long it is.
    if (!whole && slice.pages === 1 && nextStep(countInterval(slice.said!, counting), limits.shown) === 'cut')
      if (await tryToCut(harvest, slice, source)) return;
  }
  // As many as are shown, and more there: what stands beyond is not seen.
  if (whole) {
    await slice.update({ state: isAskedWithWords(slice) ? 'cut' : 'read' });
    return;
  }
  const beyond =
    limits.shown !== null && slice.rows >= limits.shown && countInterval(slice.said!, counting).high > slice.rows;
  if (beyond && (await tryToCut(harvest, slice, source))) return;
  await slice.update({ state: beyond ? 'stuck' : 'read' });
}

/** Stops before a request that the budget has no room for: until tomorrow, or until somebody gives more. */
async function keepBudget(
  { requestsPerDay, records, spend }: HarvestRow['budget'],
  run: HarvestSourceRow,
  source: SourceRow
): Promise<void> {
  const today = new Date().toISOString().slice(0, 10);
  if (run.day !== today) await run.update({ day: today, dayRequests: 0 });
  if (requestsPerDay !== null && run.dayRequests >= requestsPerDay) {
    const tomorrow = Date.parse(`${today}T00:00:00Z`) + 86_400_000;
    throw new Later(
      tomorrow - Date.now(),
      `The ${requestsPerDay.toLocaleString('en')} requests for today at ${source.name} are used up; it resumes tomorrow (UTC).`
    );
  }
  if (records === null && spend === null) return;
  const [taken] = await database().query<{ records: string; spent: number }>(
    `SELECT coalesce(sum(sl.rows), 0) AS records, (SELECT coalesce(sum(spent), 0) FROM harvest_sources WHERE harvest_id = $id) AS spent
     FROM harvest_slices sl WHERE harvest_id = $id`,
    { bind: { id: run.harvestId }, type: QueryTypes.SELECT }
  );
  if (records !== null && Number(taken!.records) >= records)
    throw new Paused(
      `The ${records.toLocaleString('en')} records in its budget are used up. Raise the limit to resume.`
    );
  if (spend !== null && source.sheet.price && taken!.spent >= spend)
    throw new Paused(
      `The ${spend.toLocaleString('en')} ${source.sheet.price.unit}s in its budget are spent. Raise the limit to resume.`
    );
}

/** Reads the next page of a slice and saves it with the slice's progress, in one transaction. `seen` are the ids the slice brought so far. */
async function readPage(
  harvest: HarvestRow,
  run: HarvestSourceRow,
  source: SourceRow,
  slice: HarvestSliceRow,
  seen: Set<string>,
  halt: AbortSignal
): Promise<void> {
  const { answer, events, requests } = await askPage(source, {
    search: slice.search,
    number: 0,
    page: slice.pages,
    cursor: slice.cursor,
    seen,
    halt
  });
  const checked = await askPeople('check-rows', {
    sheet: source.sheet,
    leftover: run.rendering.leftover,
    people: answer.people
  });
  const spent = answer.spent ?? spendOn(source.sheet, slice.pages ? 0 : 1, answer.people.length)?.amount ?? 0;
  // People at firms that the brief excludes came, and are counted so; they are no part of its result.
  const isExcluded = atFirms((await excludedFirms(harvest.briefId)).all);
  let excluded = 0;
  const rows = answer.people.map((person, i) => {
    const one = { person, ...checked[i]! };
    if (!isExcluded(person)) return one;
    excluded++;
    return { ...one, reading: 'not met' as const };
  });
  if (excluded)
    events.push({
      at: new Date().toISOString(),
      search: 0,
      page: slice.pages,
      what: `${excluded} people at firms that the brief excludes`
    });
  await database().transaction(async (transaction) => {
    const [kept] = await database().query(
      `INSERT INTO harvest_rows (harvest_id, source_id, person_id, slices, person, reading, unlisted)
       SELECT $harvestId, $sourceId, r.person->>'id', ARRAY[$slice::uuid], r.person, r.reading,
         ARRAY(SELECT jsonb_array_elements_text(r.unlisted))
       FROM jsonb_to_recordset($rows::jsonb) AS r (at integer, person jsonb, reading text, unlisted jsonb) ORDER BY r.at
       ON CONFLICT (harvest_id, source_id, person_id) DO UPDATE SET slices = array_append(harvest_rows.slices, $slice::uuid)
         WHERE NOT harvest_rows.slices @> ARRAY[$slice::uuid]
       RETURNING cardinality(slices) AS slices`,
      {
        bind: {
          harvestId: harvest.id,
          sourceId: source.id,
          slice: slice.id,
          rows: JSON.stringify(rows.map((row, at) => ({ at, ...row })))
        },
        transaction
      }
    );
    const fresh = (kept as { slices: number }[]).filter(({ slices }) => slices === 1).length;
    await slice.update(
      {
        said: slice.pages ? slice.said! : answer.said,
        pages: slice.pages + 1,
        cursor: answer.cursor,
        ended: answer.last,
        rows: slice.rows + rows.length,
        fresh: slice.fresh + fresh
      },
      { transaction }
    );
    await run.update(
      { requests: run.requests + requests, dayRequests: run.dayRequests + requests, spent: run.spent + spent },
      { transaction }
    );
    await touch(harvest.id, transaction);
  });
  for (const { id } of answer.people) seen.add(id);
  await noteEvents(harvest, source.id, events.map(reply));
}

const reply = ({ page, what }: TrialEvent) => `page ${page + 1}: ${what}`;

/** The ids of the rows that came of a slice. */
async function idsOf(slice: HarvestSliceRow): Promise<Set<string>> {
  if (!slice.pages) return new Set();
  const rows = await database().query<{ id: string }>(
    `SELECT person_id AS id FROM harvest_rows WHERE harvest_id = $harvestId AND source_id = $sourceId AND slices @> ARRAY[$id::uuid]`,
    { bind: { harvestId: slice.harvestId, sourceId: slice.sourceId, id: slice.id }, type: QueryTypes.SELECT }
  );
  return new Set(rows.map(({ id }) => id));
}
