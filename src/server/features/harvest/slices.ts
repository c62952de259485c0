import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { countInterval } from '$core/dialect';
import { cutName, type Cut } from '$core/harvest';
import type { Person } from '$core/people';
import { middleOf, type Interval } from '$core/measure';
import { database } from '$server/platform/database/connection';
import type { HarvestRow, HarvestSliceRow, HarvestSourceRow } from '$server/platform/database/harvest-models';
import { models, type SourceRow } from '$server/platform/database/models';
import { askPeople } from '$server/workers/people';
import { newestTrials } from '$server/features/trials/latest-trials';
import { peopleOfTrials } from '$server/features/trials/identity';

/** Rows that a cut is planned from at most. */
const maxSeen = 2000;

export const placeOf = (parent: string | null, at: number) =>
  `${parent === null ? '' : `${parent}.`}${String(at).padStart(4, '0')}`;

/** The slices that a source begins with: the searches of the rendering, whole. */
export const wholeSlices = ({
  harvestId,
  sourceId,
  rendering
}: Pick<HarvestSourceRow, 'harvestId' | 'sourceId' | 'rendering'>) =>
  rendering.searches.map((search, i) => ({
    id: randomUUID(),
    harvestId,
    sourceId,
    parent: null,
    place: placeOf(null, i),
    search,
    what: rendering.searches.length > 1 ? `search ${i + 1}` : 'the whole'
  }));

/** People that a source brought, for planning by: those of a harvest, and where they are few those of trials there. */
async function rowsSeen(briefId: string, slice: Pick<HarvestSliceRow, 'harvestId' | 'sourceId'>): Promise<Person[]> {
  const [rows, tried] = await Promise.all([
    database().query(
      `SELECT person FROM harvest_rows WHERE harvest_id = $harvestId AND source_id = $sourceId ORDER BY ordinal DESC LIMIT ${maxSeen}`,
      { bind: { harvestId: slice.harvestId, sourceId: slice.sourceId } }
    ),
    newestTrials(briefId)
  ]);
  const known = (rows[0] as { person: Awaited<ReturnType<typeof peopleOfTrials>>[number] }[]).map(
    ({ person }) => person
  );
  const trials = tried.map(({ trial }) => trial).filter(({ sourceId }) => sourceId === slice.sourceId);
  const tribute = known.length < maxSeen / 4 && trials.length ? await peopleOfTrials(trials) : [];
  return [...new Map([...known, ...tribute].map((person) => [person.id, person])).values()].slice(0, maxSeen);
}

/** The count of a slice as it can be understood; null before it was asked. */
export function reportedOf(
  { said, count }: Pick<HarvestSliceRow, 'said' | 'count'>,
  { sheet }: SourceRow
): Interval | null {
  if (count) return count;
  return said === null || said === undefined ? null : countInterval(said, sheet.counting);
}

/** What ways of cutting a slice, and words to ask it with, are planned from: its search, the rows that came, and how many there should be. */
export async function needsOf(briefId: string, slice: HarvestSliceRow, source: SourceRow) {
  const { sheet } = source;
  const { shown } = sheet.limits;
  const reported = reportedOf(slice, source);
  return {
    search: slice.search,
    sheet,
    people: await rowsSeen(briefId, slice),
    count: Math.max(reported ? middleOf(reported) : 0, shown ?? 1),
    // A place that does not say how many it shows, and has shown all that it does.
    most: shown ?? (slice.ended && slice.rows ? slice.rows : Infinity)
  };
}

/** The ways of cutting a slice, best first, planned from the rows that came of it, and from those of trials there. */
export const cutsOfSlice = async (briefId: string, slice: HarvestSliceRow, source: SourceRow): Promise<Cut[]> =>
  askPeople('cut', await needsOf(briefId, slice, source));

/** Puts the parts of a cut in the place of a slice. */
export async function cutSlice(slice: HarvestSliceRow, cut: Cut, transaction: Transaction): Promise<void> {
  const { HarvestSlice } = models();
  await slice.update({ state: 'cut', cutBy: cut.by, lost: cut.lost }, { transaction });
  await HarvestSlice.bulkCreate(
    cut.parts.map((part, i) => ({
      id: randomUUID(),
      harvestId: slice.harvestId,
      sourceId: slice.sourceId,
      parent: slice.id,
      place: placeOf(slice.place, i),
      search: part.search,
      what: part.what,
      rest: part.rest,
      expected: part.expected
    })),
    { transaction }
  );
}

/** Cuts of cuts at most: one that is as long after so many is not to be cut by what is known of it. */
const maxCuts = 12;

/** Cuts a slice the best way there is, and lets those know who look at the harvest. False where it cannot be cut. */
export async function tryToCut(harvest: HarvestRow, slice: HarvestSliceRow, source: SourceRow): Promise<boolean> {
  const [cut] = slice.place.split('.').length < maxCuts ? await cutsOfSlice(harvest.briefId, slice, source) : [];
  if (!cut) return false;
  await database().transaction(async (transaction) => {
    await cutSlice(slice, cut, transaction);
    await touch(harvest.id, transaction);
  });
  return true;
}

/** Lets those who look at a harvest know that it has come further. */
export const touch = (harvestId: string, transaction: Transaction) =>
  database().query('UPDATE harvests SET updated_at = now() WHERE id = $harvestId', {
    bind: { harvestId },
    transaction
  });

/** A split as the API offers it. */
export const serializeCut = ({ by, parts, lost }: Cut) => ({
  by,
  name: cutName(by),
  parts: parts.map(({ what, expected, rest }) => ({ what, expected: Math.round(expected), rest })),
  lost: lost && { ...lost, expected: Math.round(lost.expected) }
});
