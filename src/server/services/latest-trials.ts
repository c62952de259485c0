import { models, type TrialRow } from '../database/models';
import { findBrief } from './briefs';

/** The newest trial of each version at each source, newest version first. */
export async function latestTrials(briefId: string, numbers?: readonly number[], doneOnly = true) {
  await findBrief(briefId);
  const { Version, Trial } = models();
  const versions = await Version.findAll({
    where: { briefId, ...(numbers && { number: [...numbers] }) },
    order: [['number', 'DESC']]
  });
  const byId = new Map(versions.map((version) => [version.id, version]));
  const trials = await Trial.findAll({
    where: { versionId: [...byId.keys()], ...(doneOnly && { state: 'done' }) },
    order: [['createdAt', 'DESC']]
  });
  const seen = new Set<string>();
  return trials
    .filter((trial) => {
      const key = `${trial.versionId} ${trial.sourceId}`;
      return seen.size < seen.add(key).size;
    })
    .map((trial) => ({ trial, version: byId.get(trial.versionId)! }))
    .sort((a, b) => b.version.number - a.version.number);
}

/** The people of a trial's result, in the order shown; `certain` leaves out those who are possible only. */
export function foundIn(trial: Pick<TrialRow, 'found' | 'open'>, certain: boolean): string[] {
  if (!certain || !trial.open.length) return trial.found;
  const open = new Set(trial.open);
  return trial.found.filter((id) => !open.has(id));
}
