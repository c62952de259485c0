import { writeCsv } from '$core/formats';
import { countryName } from '$core/people';
import { models } from '$server/platform/database/models';
import { runThread } from '$server/workers/threads';
import { fileTypes, jsonLines, workbookOf } from '$server/platform/table-file';
import { findHarvest } from './harvests';
import { listHarvestPeople, type PeopleFilter } from './harvest-people';

export type HarvestFormat = 'csv' | 'jsonl' | 'xlsx' | 'trec';

/** People of a harvest that leave in one file at most. */
const maxLeaving = 200_000;
const columns = ['Name', 'Title', 'Company', 'Country', 'Place', 'Sources', 'Certain', 'Verdict', 'Likelihood'];

/** The people of a harvest, as the filter and the order have them, as a file; for its own thread. */
export async function writeHarvestFile(
  briefId: string,
  harvestId: string,
  filter: PeopleFilter,
  format: HarvestFormat
): Promise<Uint8Array> {
  const { people } = await listHarvestPeople(briefId, harvestId, filter, null, maxLeaving);
  const sources = new Map(
    (await models().Source.findAll({ attributes: ['id', 'name'] })).map(({ id, name }) => [id, name])
  );
  const cells = people.map((one) => [
    one.name,
    one.title,
    one.company,
    one.country && countryName(one.country),
    one.place,
    one.sources.map((id) => sources.get(id) ?? id).join('; '),
    one.certain ? 'certain' : 'possible',
    one.verdict ?? '',
    one.score === null ? '' : one.score.toFixed(3)
  ]);
  if (format === 'csv') return Buffer.from(writeCsv(columns, cells));
  if (format === 'jsonl') return jsonLines(people);
  // A run of TREC: topic, Q0, who, rank, score, by which system.
  if (format === 'trec')
    return Buffer.from(
      people.map((one, i) => `1 Q0 person-${one.number} ${i + 1} ${(one.score ?? 0).toFixed(6)} harvest\n`).join('')
    );
  return workbookOf(columns, cells);
}

/** The same, with its type, written by a thread so that nobody waits. */
export async function harvestFile(briefId: string, harvestId: string, filter: PeopleFilter, format: HarvestFormat) {
  await findHarvest(briefId, harvestId);
  const bytes = await runThread<Uint8Array<ArrayBuffer>>('harvest-file-worker.js', {
    briefId,
    harvestId,
    filter,
    format
  });
  return { bytes, type: fileTypes[format === 'trec' ? 'txt' : format] };
}
