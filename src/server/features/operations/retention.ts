import { QueryTypes } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { environment } from '$server/platform/environment';
import { log } from '$server/platform/log';

/** What a setting has cleared away, and by which condition on its table. The newest trial of each version at each source stays. */
const rules = {
  trialPages: {
    table: 'trial_pages',
    where: `trial_id IN (SELECT id FROM trials WHERE state = 'done' AND created_at < now() - make_interval(days => $days))
      AND trial_id NOT IN (SELECT DISTINCT ON (version_id, source_id) id FROM trials WHERE state = 'done'
        ORDER BY version_id, source_id, created_at DESC)`
  },
  trials: {
    table: 'trials',
    where: `state NOT IN ('waiting', 'running') AND created_at < now() - make_interval(days => $days)
      AND id NOT IN (SELECT DISTINCT ON (version_id, source_id) id FROM trials WHERE state = 'done'
        ORDER BY version_id, source_id, created_at DESC)`
  },
  harvests: {
    table: 'harvests',
    where: `state IN ('done', 'paused', 'failed') AND updated_at < now() - make_interval(days => $days)`
  },
  imports: {
    table: 'imports',
    where: `state IN ('done', 'refused', 'stopped') AND updated_at < now() - make_interval(days => $days)`
  }
} as const;
type Kind = keyof typeof rules;
const kinds = Object.keys(rules) as Kind[];

/** What would be cleared away now by the settings: of each kind how many rows, and after how many days; 0 days for never. */
export async function wouldGo() {
  return Promise.all(
    kinds.map(async (kind) => {
      const days = environment().keep[kind];
      if (!days) return { kind, days, rows: 0 };
      const { table, where } = rules[kind];
      const [found] = await database().query<{ rows: string }>(`SELECT count(*) AS rows FROM ${table} WHERE ${where}`, {
        bind: { days },
        type: QueryTypes.SELECT
      });
      return { kind, days, rows: Number(found!.rows) };
    })
  );
}

/** Clears away what is older than the settings keep it. */
export async function clearOld(): Promise<void> {
  for (const kind of kinds) {
    const days = environment().keep[kind];
    if (!days) continue;
    const { table, where } = rules[kind];
    const [, done] = await database().query(`DELETE FROM ${table} WHERE ${where}`, { bind: { days } });
    const rows = (done as { rowCount: number }).rowCount;
    if (rows) log().info({ kind, days, rows }, 'cleared away');
  }
}

/** Milliseconds between two times that it is looked for. */
const every = 3_600_000;
let last = -Infinity;

/** Clears away what is old, once an hour. */
export async function clearOldHourly(): Promise<void> {
  const now = performance.now();
  if (now - last < every) return;
  last = now;
  await clearOld();
}
