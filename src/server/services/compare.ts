import { estimatedFits, precisionOf } from '$core/measure/precision';
import { models } from '../database/models';
import { askPeople } from '../workers/people';
import type { DifferenceSide } from '../workers/people-messages';
import { findBrief } from './briefs';
import { readySource } from './sources';
import { latestTrials, populationOf } from './trials';
import { verdictsOn } from './verdicts';
import { findVersion, listVersions, versionQuery } from './versions';

/** Versions down, sources across: for each pair that was tried, its newest trial measured. */
export async function compareVersions(briefId: string, numbers: readonly number[]) {
  const { personaId } = await findBrief(briefId);
  const [trials, versions] = await Promise.all([latestTrials(briefId, numbers), listVersions(briefId)]);
  const cells = await Promise.all(
    trials.map(async ({ trial, version }) => {
      const people = await models().TrialPerson.findAll({ where: { trialId: trial.id }, attributes: ['personId'] });
      const verdicts = await verdictsOn(
        personaId,
        trial.sourceId,
        people.map((row) => row.personId)
      );
      const precision = precisionOf(
        [...verdicts.values()].map((one) => one.verdict),
        populationOf(trial)
      );
      const count = { low: trial.countLow, high: trial.countHigh };
      return {
        version: version.number,
        sourceId: trial.sourceId,
        trialId: trial.id,
        count,
        said: trial.answers.map((answer) => answer.said),
        exactness: trial.rendering.exactness,
        searches: trial.rendering.searches.length,
        shown: trial.shown,
        sampled: people.length,
        precision,
        missesPerHundred: precision.share === null ? null : 100 * (1 - precision.share),
        estimatedFits: estimatedFits(count, precision)
      };
    })
  );
  const wanted = new Set(numbers);
  return { versions: versions.filter((version) => wanted.has(version.number)), cells };
}

/** Names shown of those a change brought or took away. */
const mostNames = 200;

/** Who came and who went between two versions at a source, as far as the source shows. */
export async function differenceBetween(briefId: string, from: number, to: number, sourceId: string) {
  const { personaId } = await findBrief(briefId);
  const [before, after, source] = await Promise.all([
    findVersion(briefId, from),
    findVersion(briefId, to),
    readySource(sourceId)
  ]);
  const verdicts = await verdictsOn(personaId, sourceId);
  const { added, removed, kept, capped } = await askPeople('difference', {
    sourceId: source.id,
    from: versionQuery(before),
    to: versionQuery(after),
    most: mostNames,
    judged: [...verdicts.keys()]
  });
  const named = ({ count, people, judged }: DifferenceSide) => ({
    count,
    fits: judged.filter((id) => verdicts.get(id)!.verdict === 'fit').length,
    misses: judged.filter((id) => verdicts.get(id)!.verdict === 'miss').length,
    people: people.map(({ id, name, jobs, country }) => ({
      id,
      name,
      title: jobs?.find((job) => !job.to)?.title ?? '',
      company: jobs?.find((job) => !job.to)?.company ?? '',
      country: country ?? '',
      verdict: verdicts.get(id)?.verdict ?? null
    }))
  });
  return { from, to, sourceId, kept, capped, added: named(added), removed: named(removed) };
}
