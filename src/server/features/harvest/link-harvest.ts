import { QueryTypes } from 'sequelize';
import { hashText } from '$core/measure';
import { leadingJob, samePeople } from '$core/people';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { refuse } from '$server/platform/refusals';
import { recordName } from '$server/records/record-name';
import { learnFromVerdicts, type HarvestRecord } from './learn-from-verdicts';

interface Row extends HarvestRecord {
  reading: 'met' | 'unknown';
}

/** Rows written at once. */
const atOnce = 2000;

/**
 * Works out who is who among the rows of a harvest, each person once over all its sources, and orders them by how likely
 * they are to fit, learnt from the verdicts that there are. For its own thread: it may be a hundred thousand people.
 */
export async function linkHarvest(harvestId: string): Promise<null> {
  const harvest = await models().Harvest.findByPk(harvestId);
  const brief = harvest && (await models().Brief.findByPk(harvest.briefId));
  if (!harvest || !brief) throw refuse('harvest-gone');
  const rows = await rowsOf(harvestId);
  const { personOf, people } = samePeople(rows, await decisionsAmong(rows))!;
  const records: number[][] = Array.from({ length: people }, () => []);
  rows.forEach((_, i) => records[personOf[i]!]!.push(i));

  const { personaId } = brief;
  const { learnt, likely } = await learnFromVerdicts({ harvestId, personaId }, rows, records);
  // The order in which a random sample is read: by each one's own luck, so that it stays when others come.
  const luck = records.map((list) => {
    const { sourceId, person } = rows[list[0]!]!;
    return hashText(`${personaId}/${recordName(sourceId, person.id)}`) >>> 0;
  });
  const drawn = new Array<number>(people);
  [...luck.keys()].sort((a, b) => luck[a]! - luck[b]! || a - b).forEach((one, place) => (drawn[one] = place));

  await database().transaction(async (transaction) => {
    await database().query('DELETE FROM harvest_people WHERE harvest_id = $harvestId', {
      bind: { harvestId },
      transaction
    });
    for (let at = 0; at < rows.length; at += atOnce) {
      const some = rows.slice(at, at + atOnce);
      await database().query(
        `UPDATE harvest_rows r SET number = n.number FROM unnest($sources::text[], $ids::text[], $numbers::int[]) AS n (source_id, person_id, number)
         WHERE r.harvest_id = $harvestId AND r.source_id = n.source_id AND r.person_id = n.person_id`,
        {
          bind: {
            harvestId,
            sources: some.map(({ sourceId }) => sourceId),
            ids: some.map(({ person }) => person.id),
            numbers: some.map((_, i) => personOf[at + i]!)
          },
          transaction
        }
      );
    }
    for (let at = 0; at < people; at += atOnce) {
      const some = records.slice(at, at + atOnce).map((list, i) => {
        const all = list.map((one) => rows[one]!);
        const { person } = all[0]!;
        const job = leadingJob(person);
        return {
          number: at + i,
          name: person.name,
          title: job?.title ?? '',
          company: job?.company ?? '',
          country: all.find(({ person: one }) => one.country)?.person.country ?? '',
          place: all.find(({ person: one }) => one.place)?.person.place ?? '',
          sources: [...new Set(all.map(({ sourceId }) => sourceId))],
          certain: all.some(({ reading }) => reading === 'met'),
          score: likely(list),
          drawn: drawn[at + i]
        };
      });
      await database().query(
        `INSERT INTO harvest_people (harvest_id, number, name, title, company, country, place, sources, certain, score, drawn)
         SELECT $harvestId, p.number, p.name, p.title, p.company, p.country, p.place,
           ARRAY(SELECT jsonb_array_elements_text(p.sources)), p.certain, p.score, p.drawn
         FROM jsonb_to_recordset($people::jsonb) AS p (number integer, name text, title text, company text, country text, place text,
           sources jsonb, certain boolean, score double precision, drawn integer)`,
        { bind: { harvestId, people: JSON.stringify(some) }, transaction }
      );
    }
    await harvest.update({ people, learnt }, { transaction });
  });
  return null;
}

/** The rows that may meet the string, in the order in which they came. */
const rowsOf = (harvestId: string): Promise<Row[]> =>
  database().query<Row>(
    `SELECT r.source_id AS "sourceId", r.person, r.reading FROM harvest_rows r JOIN harvest_sources s USING (harvest_id, source_id)
     WHERE harvest_id = $harvestId AND reading <> 'not met' ORDER BY s.position, r.ordinal`,
    { bind: { harvestId }, type: QueryTypes.SELECT }
  );

/** What somebody said of two records that are both among the rows. */
async function decisionsAmong(rows: readonly Row[]) {
  const at = new Map(rows.map(({ sourceId, person }, i) => [recordName(sourceId, person.id), i]));
  const decided = await models().SamePerson.findAll({ order: ['updatedAt'], raw: true });
  return decided.flatMap((one) => {
    const [a, b] = [
      at.get(recordName(one.firstSource, one.firstPerson)),
      at.get(recordName(one.secondSource, one.secondPerson))
    ];
    return a === undefined || b === undefined ? [] : [{ a, b, same: one.same }];
  });
}
