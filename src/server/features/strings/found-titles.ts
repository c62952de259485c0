import { models } from '$server/platform/database/models';
import { askPeople } from '$server/workers/people';
import { findBrief, readDocument } from '$server/features/briefs/briefs';

/** Titles that people judged fit carry and no wording in use covers, the most frequent first, with the people behind each. */
export async function foundTitles(briefId: string) {
  const { personaId } = await findBrief(briefId);
  const { Verdict, TrialPerson, Trial, Version } = models();
  const [wording, fits, versions] = await Promise.all([
    readDocument(briefId, 'wording'),
    Verdict.findAll({ where: { personaId, verdict: 'fit' } }),
    Version.findAll({ where: { briefId } })
  ]);
  const trials = await Trial.findAll({ where: { versionId: versions.map(({ id }) => id) } });
  const sampled = await TrialPerson.findAll({
    where: { trialId: trials.map(({ id }) => id), personId: fits.map(({ personId }) => personId) }
  });
  return askPeople('found-titles', {
    wordings: wording.body.flatMap((set) => set.wordings.filter((one) => one.inUse).map(({ text }) => text)),
    people: [...new Map(sampled.map(({ person }) => [person.id, person])).values()]
  });
}
