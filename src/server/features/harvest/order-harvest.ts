import { QueryTypes } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { refuse } from '$server/platform/refusals';
import { learnFromVerdicts, type HarvestRecord } from './learn-from-verdicts';
import { linkHarvest } from './link-harvest';

/** Rows written at once. */
const atOnce = 5000;

/**
 * Orders the people of a harvest again by how likely they are to fit, learnt from the verdicts that there are now. Who is who stays
 * as it was worked out, unless rows have come since, or somebody has decided that two records are one person, or are not.
 */
export async function orderHarvest(harvestId: string): Promise<null> {
  const harvest = await models().Harvest.findByPk(harvestId);
  const brief = harvest && (await models().Brief.findByPk(harvest.briefId));
  if (!harvest || !brief) throw refuse('harvest-gone');
  const [since] = await database().query<{ stale: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM harvest_rows WHERE harvest_id = $harvestId AND reading <> 'not met' AND number IS NULL)
       OR EXISTS (SELECT 1 FROM same_person WHERE updated_at > $at) AS stale`,
    { bind: { harvestId, at: harvest.updatedAt }, type: QueryTypes.SELECT }
  );
  if (since!.stale) return linkHarvest(harvestId);

  const rows = await database().query<HarvestRecord & { number: number }>(
    `SELECT r.source_id AS "sourceId", r.person, r.number FROM harvest_rows r JOIN harvest_sources s USING (harvest_id, source_id)
     WHERE harvest_id = $harvestId AND reading <> 'not met' ORDER BY s.position, r.ordinal`,
    { bind: { harvestId }, type: QueryTypes.SELECT }
  );
  const records: number[][] = Array.from({ length: harvest.people }, () => []);
  rows.forEach(({ number }, i) => records[number]?.push(i));
  const { learnt, likely } = await learnFromVerdicts({ harvestId, personaId: brief.personaId }, rows, records);
  await database().transaction(async (transaction) => {
    for (let at = 0; at < records.length; at += atOnce) {
      const some = records.slice(at, at + atOnce);
      await database().query(
        `UPDATE harvest_people p SET score = n.score FROM unnest($numbers::int[], $scores::float8[]) AS n (number, score)
         WHERE p.harvest_id = $harvestId AND p.number = n.number`,
        {
          bind: {
            harvestId,
            numbers: some.map((_, i) => at + i),
            scores: some.map((list) => (list.length ? likely(list) : null))
          },
          transaction
        }
      );
    }
    await harvest.update({ learnt }, { transaction });
  });
  return null;
}
