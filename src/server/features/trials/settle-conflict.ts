import type { Verdict } from '$core/measure';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { changedElsewhere, refuse } from '$server/platform/refusals';
import { contextOf } from './brief-context';

/** Gives every record of a person the same verdict, where records of theirs were judged differently. All or nothing. */
export async function settleConflict(
  briefId: string,
  given: { sourceId: string; personId: string; verdict: Verdict; reason: string }
): Promise<void> {
  const context = await contextOf(briefId);
  const { personaId } = context;
  const said = (await context.judged()).of(given.sourceId, given.personId);
  if (!said?.conflict) throw refuse('no-conflict');
  await database().transaction(async (transaction) => {
    for (const { sourceId, personId, revision } of said.records) {
      const [changed] = await models().Verdict.update(
        { verdict: given.verdict, reason: given.reason, by: 'person', revision: revision + 1 },
        { where: { personaId, sourceId, personId, revision }, transaction }
      );
      if (!changed) throw changedElsewhere('A verdict on this person', {});
    }
  });
}
