import { randomUUID } from 'node:crypto';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { missingRows } from '$core/harvest';
import type { Interval } from '$core/measure';
import { database } from '$server/platform/database/connection';
import type { HarvestBudget, HarvestRow, HarvestSliceRow } from '$server/platform/database/harvest-models';
import { models, type SourceRow, type VersionRow } from '$server/platform/database/models';
import { notFound, refuse } from '$server/platform/refusals';
import { askPeople } from '$server/workers/people';
import { findBrief } from '$server/features/briefs/briefs';
import { findRunnable, findSource } from '$server/features/sources/sources';
import { findVersion, versionString } from '$server/features/trials/versions';
import { enqueueHarvest } from './harvest-run';
import { linkInThread } from './link-in-thread';
import { isAskedWithWords, readWords } from './ask-with-words';
import { reportedOf, wholeSlices } from './slices';

interface Wanted {
  name: string;
  /** The watch whose run it is. */
  watchId?: string;
  from: { sourceId: string; version: number }[];
  budget: HarvestBudget;
  /** What is kept along with it, or not at all. */
  along?: (harvestId: string, transaction: Transaction) => Promise<unknown>;
}

/** Starts to gather the whole result of a version at each of some sources. All of it or nothing. */
export async function startHarvest(briefId: string, { name, from, budget, watchId, along }: Wanted) {
  await findBrief(briefId);
  if (new Set(from.map(({ sourceId }) => sourceId)).size < from.length) throw refuse('source-harvested-twice');
  const runs = await Promise.all(
    from.map(async ({ sourceId, version: number }) => {
      const [source, version] = await Promise.all([findGathered(sourceId), findVersion(briefId, number)]);
      return { source, version, rendering: await renderedFor(source, version) };
    })
  );
  const id = randomUUID();
  await database().transaction(async (transaction) => {
    const { Harvest, HarvestSource, HarvestSlice } = models();
    await Harvest.create({ id, briefId, name, state: 'waiting', budget, watchId: watchId ?? null }, { transaction });
    for (const [position, { source, version, rendering }] of runs.entries()) {
      const run = { harvestId: id, sourceId: source.id, versionId: version.id, position, rendering };
      await HarvestSource.create(run, { transaction });
      await HarvestSlice.bulkCreate(wholeSlices(run), { transaction });
    }
    await along?.(id, transaction);
  });
  await enqueueHarvest(id);
  return readHarvest(briefId, id);
}

/** A source that can be gathered from: one that Eave asks, or one that a person runs search by search. */
async function findGathered(id: string): Promise<SourceRow> {
  const source = await findSource(id);
  return source.kind === 'by-hand' ? source : findRunnable(id);
}

async function renderedFor(source: SourceRow, version: VersionRow) {
  const rendering = await askPeople('render', { ...versionString(version), sheet: source.sheet });
  if (rendering.exactness === 'impossible')
    throw refuse('version-cannot-be-asked', source.name, version.number, rendering.notes[0] ?? 'it has nothing for it');
  return rendering;
}

export async function findHarvest(briefId: string, id: string): Promise<HarvestRow> {
  const harvest = await models().Harvest.findOne({ where: { id, briefId } });
  if (!harvest) throw notFound('This harvest');
  return harvest;
}

const serializeHead = (harvest: HarvestRow) => ({
  id: harvest.id,
  name: harvest.name,
  state: harvest.state,
  problem: harvest.problem,
  budget: harvest.budget,
  people: harvest.people,
  goesOnAt: harvest.goesOnAt?.toISOString() ?? null,
  createdAt: harvest.createdAt.toISOString(),
  updatedAt: harvest.updatedAt.toISOString()
});

/** The harvests of a brief, the newest first, with how many people each has. */
export async function listHarvests(briefId: string) {
  await findBrief(briefId);
  const rows = await models().Harvest.findAll({ where: { briefId, watchId: null }, order: [['createdAt', 'DESC']] });
  return rows.map(serializeHead);
}

const serializeSlice = (slice: HarvestSliceRow, source: SourceRow) => ({
  id: slice.id,
  parent: slice.parent,
  what: slice.what,
  rest: slice.rest,
  state: slice.state,
  cutBy: slice.cutBy ?? null,
  lost: slice.lost ?? null,
  expected: slice.expected ?? null,
  reported: reportedOf(slice, source),
  rows: slice.rows,
  fresh: slice.fresh,
  search: slice.search
});

const sum = (counts: readonly Interval[]): Interval =>
  counts.reduce((a, b) => ({ low: a.low + b.low, high: a.high + b.high }), { low: 0, high: 0 });

/** What a source reports of all searches together that were not cut out of others; null until each was asked. */
function reportedBy(wholes: readonly Pick<HarvestSliceRow, 'said' | 'count'>[], source: SourceRow): Interval | null {
  const reply = wholes.flatMap((one) => reportedOf(one, source) ?? []);
  return reply.length < wholes.length ? null : sum(reply);
}

/** What the sources reported of the newest harvest of a brief, and how many people it gathered; null for what is not known. */
export async function newestTotals(briefId: string): Promise<{ reported: Interval | null; gathered: number | null }> {
  const { Harvest, HarvestSlice, Source } = models();
  const newest = await Harvest.findOne({
    where: { briefId, watchId: null },
    order: [['createdAt', 'DESC']],
    attributes: ['id', 'people']
  });
  if (!newest) return { reported: null, gathered: null };
  const wholes = await HarvestSlice.findAll({
    where: { harvestId: newest.id, parent: null },
    attributes: ['sourceId', 'said', 'count']
  });
  const sources = await Source.findAll({ where: { id: wholes.map(({ sourceId }) => sourceId) } });
  const reported = sources.map((source) =>
    reportedBy(
      wholes.filter(({ sourceId }) => sourceId === source.id),
      source
    )
  );
  const reply = reported.flatMap((one) => one ?? []);
  return { reported: reply.length < reported.length ? null : sum(reply), gathered: newest.people };
}

/** A harvest with its sources, their slices, and how far each is. */
export async function readHarvest(briefId: string, id: string) {
  const harvest = await findHarvest(briefId, id);
  const { HarvestSource, HarvestSlice, Source, Version } = models();
  const runs = await HarvestSource.findAll({ where: { harvestId: id }, order: ['position'] });
  const [slices, sources, versions, counts, [whole]] = await Promise.all([
    HarvestSlice.findAll({ where: { harvestId: id }, order: ['sourceId', 'place'] }),
    Source.findAll({ where: { id: runs.map(({ sourceId }) => sourceId) } }),
    Version.findAll({ where: { id: runs.map(({ versionId }) => versionId) } }),
    database().query<{ sourceId: string; reading: string; rows: string }>(
      `SELECT source_id AS "sourceId", reading, count(*) AS rows FROM harvest_rows WHERE harvest_id = $id GROUP BY 1, 2`,
      { bind: { id }, type: QueryTypes.SELECT }
    ),
    database().query<{ certain: number; several: number }>(
      `SELECT count(*) FILTER (WHERE certain)::int AS certain, count(*) FILTER (WHERE cardinality(sources) > 1)::int AS several
       FROM harvest_people WHERE harvest_id = $id`,
      { bind: { id }, type: QueryTypes.SELECT }
    )
  ]);
  const words = new Map<string, Awaited<ReturnType<typeof readWords>>>();
  for (const slice of slices) words.set(slice.id, await readWords(slice, slices, harvest.budget.newShare ?? null));
  const count = (sourceId: string, reading: string) =>
    Number(counts.find((row) => row.sourceId === sourceId && row.reading === reading)?.rows ?? 0);
  return {
    ...serializeHead(harvest),
    events: harvest.events.slice(-50).reverse(),
    certain: whole!.certain,
    atSeveral: whole!.several,
    learnt: harvest.learnt ?? null,
    sources: runs.flatMap((run) => {
      const source = sources.find(({ id: one }) => one === run.sourceId);
      const version = versions.find(({ id: one }) => one === run.versionId);
      if (!source || !version) return [];
      const mine = slices.filter(({ sourceId }) => sourceId === run.sourceId);
      const wholes = mine.filter(({ parent }) => parent === null);
      const met = count(run.sourceId, 'met');
      const open = count(run.sourceId, 'unknown');
      const reported = reportedBy(wholes, source);
      const missing = missingRows(
        mine.map((slice) => ({
          id: slice.id,
          parent: slice.parent,
          state: slice.state,
          reported: reportedOf(slice, source),
          expected: slice.expected ?? null,
          rows: slice.rows,
          fresh: slice.fresh,
          lost: slice.lost ?? null,
          neutral: isAskedWithWords(slice)
        }))
      );
      return [
        {
          sourceId: run.sourceId,
          sourceName: source.name,
          byHand: source.kind === 'by-hand',
          version: version.number,
          state: run.state,
          problem: run.problem,
          requests: run.requests,
          requestsToday: run.dayRequests,
          spent: source.sheet.price ? { amount: run.spent, unit: source.sheet.price.unit } : null,
          shownCap: source.sheet.limits.shown,
          searches: wholes.length,
          reported,
          gathered: { rows: met + open + count(run.sourceId, 'not met'), certain: met, possible: met + open },
          missing,
          restCost: source.sheet.price && {
            low: missing.low * source.sheet.price.perRecord,
            high: missing.high * source.sheet.price.perRecord
          },
          slices: mine.map((slice) => ({ ...serializeSlice(slice, source), words: words.get(slice.id) ?? null }))
        }
      ];
    })
  };
}
/** Stops a harvest; the people collected so far stay. */
export async function stopHarvest(briefId: string, id: string) {
  await findHarvest(briefId, id);
  const [stopped] = await models().Harvest.update(
    { state: 'paused', problem: 'Stopped. Everything collected so far is saved.' },
    { where: { id, state: ['waiting', 'running'] } }
  );
  if (stopped) await linkInThread(id);
  return readHarvest(briefId, id);
}

/** Lets a harvest go on, with another budget where one is given. Sources that failed are tried again. */
export async function goOn(briefId: string, id: string, budget?: HarvestBudget) {
  await findHarvest(briefId, id);
  const { Harvest, HarvestSource } = models();
  const [changed] = await Harvest.update(
    { state: 'waiting', problem: '', goesOnAt: null, ...(budget && { budget }) },
    { where: { id, state: ['paused', 'failed', 'waiting', 'done'] } }
  );
  if (changed) {
    // Of a search that is not to be cut, one more word may be worth it by now.
    const left = await models().HarvestSlice.findAll({
      where: { harvestId: id, [Op.or]: [{ state: ['waiting', 'stuck'] }, { cutBy: { kind: 'neutral' } }] },
      attributes: ['sourceId']
    });
    await HarvestSource.update(
      { state: 'waiting', problem: '' },
      { where: { harvestId: id, [Op.or]: [{ state: 'failed' }, { sourceId: left.map(({ sourceId }) => sourceId) }] } }
    );
    await enqueueHarvest(id);
  } else if (budget) await Harvest.update({ budget }, { where: { id } });
  return readHarvest(briefId, id);
}

/** Deletes a harvest with all that came; the verdicts on its people stay. */
export async function deleteHarvest(briefId: string, id: string): Promise<void> {
  const harvest = await findHarvest(briefId, id);
  await harvest.destroy();
}
