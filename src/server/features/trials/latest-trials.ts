import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { models, type TrialRow, type VersionRow } from '$server/platform/database/models';

/** A trial with its version. */
export interface Tried {
  trial: TrialRow;
  version: VersionRow;
}

/** The ids that a finished trial found: thousands, which change only when a manual trial is rebuilt or somebody is erased. */
const results = new LRUCache<string, Pick<TrialRow, 'found' | 'open' | 'foundOn'>>({
  max: 500,
  maxSize: 4_000_000,
  sizeCalculation: ({ found }) => found.length + 1
});

const nameOf = ({ id, createdAt, erased }: TrialRow) => `${id} ${createdAt.getTime()} ${erased}`;

/** Adds the ids that trials found to their rows, which were read without them. */
async function withResults(trials: readonly TrialRow[]): Promise<void> {
  const missing = trials.filter((trial) => trial.state !== 'done' || !results.has(nameOf(trial))).map(({ id }) => id);
  const read = new Map<string, Pick<TrialRow, 'found' | 'open' | 'foundOn'>>();
  if (missing.length)
    for (const { id, found, open, foundOn } of await models().Trial.findAll({
      where: { id: missing },
      attributes: ['id', 'found', 'open', 'foundOn'],
      raw: true
    }))
      read.set(id, { found, open, foundOn });
  for (const trial of trials) {
    const result = read.get(trial.id) ?? results.get(nameOf(trial)) ?? { found: [], open: [], foundOn: null };
    if (trial.state === 'done') results.set(nameOf(trial), result);
    trial.set(result, { raw: true });
  }
}

/** Trials by their ids with their versions, the newest version first; a version's newest trial first. */
export async function rowsOfTrials(briefId: string, ids: readonly string[]): Promise<Tried[]> {
  if (!ids.length) return [];
  const { Version, Trial } = models();
  const [trials, versions] = await Promise.all([
    Trial.findAll({
      where: { id: [...ids] },
      attributes: { exclude: ['found', 'open', 'foundOn'] },
      order: [['createdAt', 'DESC']]
    }),
    Version.findAll({ where: { briefId } })
  ]);
  await withResults(trials);
  const byId = new Map(versions.map((version) => [version.id, version]));
  return trials
    .flatMap((trial) => {
      const version = byId.get(trial.versionId);
      return version ? [{ trial, version }] : [];
    })
    .sort((a, b) => b.version.number - a.version.number);
}

/** The newest trial of each version at each source, in any state. */
export async function newestTrials(briefId: string): Promise<Tried[]> {
  const newest = await database().query<{ id: string }>(
    `SELECT DISTINCT ON (t.version_id, t.source_id) t.id FROM trials t JOIN versions v ON v.id = t.version_id
     WHERE v.brief_id = $briefId ORDER BY t.version_id, t.source_id, t.created_at DESC`,
    { bind: { briefId }, type: QueryTypes.SELECT }
  );
  return rowsOfTrials(
    briefId,
    newest.map(({ id }) => id)
  );
}

/** The people of a trial's result, in the order shown; `certain` leaves out those who are possible only. */
export function foundIn(trial: Pick<TrialRow, 'found' | 'open'>, certain: boolean): string[] {
  if (!certain || !trial.open.length) return trial.found;
  const open = new Set(trial.open);
  return trial.found.filter((id) => !open.has(id));
}
