import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { SearchResult } from '$sources/source';
import type { Rendering } from '$core/dialect';
import {
  models,
  type BriefRow,
  type HandEntryRow,
  type SourceRow,
  type VersionRow
} from '$server/platform/database/models';
import { askPeople } from '$server/workers/people';
import { readDocument } from '$server/features/briefs/briefs';
import { versionString } from '$server/features/trials/versions';
import { searchSeen, type SearchSeen } from '$server/records/hand-rows';

const sampleSize = 40;
/** Numbers of pages of one search, apart from those of the next. */
const pagesOfSearch = 1_000_000;

/** A count that nobody typed: those read, or many more. */
const openFrom = (rows: number) => ({ said: rows, interval: { low: rows, high: rows * 10 } });

function answerOf({ people, pages, counted }: SearchSeen): SearchResult {
  const { said, interval } = counted?.count ?? openFrom(people.length);
  return {
    said: Math.max(said, people.length),
    interval: { low: Math.max(interval.low, people.length), high: Math.max(interval.high, people.length) },
    people,
    pages: pages.length ? pages : [1]
  };
}

/** A version at a place run by hand, as it is asked there. */
export interface HandSearch {
  brief: BriefRow;
  version: VersionRow;
  source: SourceRow;
  rendering: Rendering;
}

export const handSearchFor = async (brief: BriefRow, version: VersionRow, source: SourceRow): Promise<HandSearch> => ({
  brief,
  version,
  source,
  rendering: await askPeople('render', { ...versionString(version), sheet: source.sheet })
});

/**
 * Makes the trial of a version at a place run by hand again from what is in the diary, in the place of the one before and under
 * its id, so that a link to it stays good; verdicts stay with their people. Gives the id; null where nothing is there any more.
 */
export async function makeHandTrial(
  { brief: { id: briefId, personaId }, version, source, rendering }: HandSearch,
  entries: readonly HandEntryRow[],
  transaction: Transaction
): Promise<string | null> {
  const { Trial, TrialPage, TrialPerson } = models();
  const before = await Trial.findAll({
    where: { versionId: version.id, sourceId: source.id },
    attributes: ['id', 'sampleSize'],
    order: [['createdAt', 'DESC']],
    transaction
  });
  const trialId = before.map(({ id }) => id);
  const drawn = await TrialPerson.findAll({ where: { trialId }, attributes: ['personId'], raw: true, transaction });
  await Trial.destroy({ where: { id: trialId }, transaction });
  const live = entries.filter(({ takenBack }) => !takenBack);
  if (!live.length) return null;

  const seen = rendering.searches.map((_, search) => searchSeen(live.filter((one) => one.search === search)));
  const answers = seen.map(answerOf);
  const { body: contacted } = await readDocument(briefId, 'contacted');
  const seed = `${personaId}/${source.id}`;
  const size = Math.max(sampleSize, ...before.map((one) => one.sampleSize));
  const outcome = await askPeople('gather', {
    sheet: source.sheet,
    rendering,
    answers,
    size,
    seed,
    contacted,
    drawn: drawn.map(({ personId }) => personId)
  });
  const pageOf = new Map<string, number>();
  seen.forEach(({ people, on }, search) =>
    people.forEach(({ id }, at) => pageOf.has(id) || pageOf.set(id, search * pagesOfSearch + on[at]!))
  );
  const missing = seen.flatMap((_, search) => (live.some((one) => one.search === search) ? [] : [search]));
  const id = before[0]?.id ?? randomUUID();
  await Trial.create(
    {
      id,
      versionId: version.id,
      sourceId: source.id,
      seed,
      rendering,
      answers: outcome.answers.map((answer, search) =>
        missing.includes(search) ? { ...answer, outstanding: true } : answer
      ),
      filtered: outcome.filtered,
      contacted: outcome.contacted,
      found: outcome.found,
      foundOn: outcome.found.map((person) => pageOf.get(person) ?? 1),
      open: outcome.open,
      duplicates: outcome.duplicates,
      sampleSize: size,
      events: missing.map((search) => ({
        at: new Date().toISOString(),
        search,
        page: 0,
        what: 'this search was not run yet'
      }))
    },
    { transaction }
  );
  await TrialPage.bulkCreate(
    answers.map(({ said, people }, search) => ({ trialId: id, search, page: 0, said, last: true, people })),
    { transaction }
  );
  await TrialPerson.bulkCreate(
    outcome.sample.map(({ rank, person }) => ({ trialId: id, rank, personId: person.id, person })),
    { transaction }
  );
  return id;
}
