import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { askPeople } from '$server/workers/people';
import { contextOf } from './brief-context';
import { findBrief, readDocument } from '$server/features/briefs/briefs';
import { findTrial } from './trials';
import { judgeMany, verdictsOn } from './verdicts';

/** Judges as misses the unjudged people of a trial's sample whose facts alone rule them out. One transaction; returns the verdicts. */
export async function judgeByRule(briefId: string, trialId: string) {
  const [{ trial }, context, persona, wording] = await Promise.all([
    findTrial(briefId, trialId),
    contextOf(briefId),
    readDocument(briefId, 'persona'),
    readDocument(briefId, 'wording')
  ]);
  const { sourceId } = trial;
  const drawn = await models().TrialPerson.findAll({ where: { trialId }, order: ['rank'], raw: true });
  const ids = drawn.map(({ personId }) => personId);
  const [own, judged] = await Promise.all([verdictsOn(context.personaId, sourceId, ids), context.judged()]);
  const open = drawn.filter(({ personId }) => !own.has(personId) && !judged.of(sourceId, personId));
  const reasons = await askPeople('ruled-out', {
    persona: persona.body,
    wordSets: wording.body,
    people: open.map(({ person }) => person)
  });
  const given = open.flatMap(({ personId }, i) => {
    const reason = reasons[i];
    return reason ? [{ sourceId, personId, verdict: 'miss' as const, reason, by: 'rule' as const, revision: 0 }] : [];
  });
  if (!given.length) return [];
  const reply = await judgeMany(briefId, given);
  return given.map(({ personId }, i) => ({ sourceId, personId, ...reply[i]! }));
}

/** Removes all rule verdicts on a trial's sample in one step; people's verdicts stay. Returns the people concerned. */
export async function takeBackRules(briefId: string, trialId: string): Promise<{ taken: string[] }> {
  const [{ trial }, { personaId }] = await Promise.all([findTrial(briefId, trialId), findBrief(briefId)]);
  const [rows] = await database().query(
    `DELETE FROM verdicts v USING trial_people t
     WHERE t.trial_id = $trialId AND v.persona_id = $personaId AND v.source_id = $sourceId AND v.person_id = t.person_id AND v.by = 'rule'
     RETURNING v.person_id AS id`,
    { bind: { trialId, personaId, sourceId: trial.sourceId } }
  );
  return { taken: (rows as { id: string }[]).map(({ id }) => id) };
}
