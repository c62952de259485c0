import { importedSheet } from '$sources/imported-file';
import type { Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { listNews } from '$server/features/watches/news';
import { lookAtWatches } from '$server/features/watches/watch-run';
import { runsOfWatch } from '$server/features/watches/watches';

// Files whose people change, and watches of them.

export const person = (i: number, title: string, company: string, more: Partial<Person> = {}): Person => ({
  id: `p${i}`,
  name: `Person Number${'abcdefghijklmnopqrstuvwxyz'[i]}`,
  jobs: [{ title, company }],
  country: 'NL',
  ...more
});

/** Puts people in the place of those of an imported file. */
export async function setPeople(sourceId: string, people: readonly Person[]) {
  await database().query('DELETE FROM source_people WHERE source_id = $sourceId', { bind: { sourceId } });
  await database().query(
    `INSERT INTO source_people (source_id, ordinal, person) SELECT $sourceId, (place - 1)::int, person
     FROM jsonb_array_elements($people::jsonb) WITH ORDINALITY AS _ (person, place)`,
    { bind: { sourceId, people: JSON.stringify(people) } }
  );
  await database().query('UPDATE sources SET people = $n, people_revision = people_revision + 1 WHERE id = $sourceId', {
    bind: { sourceId, n: people.length }
  });
}
export async function fileSource(id: string, people: readonly Person[]) {
  await models().Source.create({ id, kind: 'file', name: id, sheet: importedSheet(id, id), people: 0 });
  await setPeople(id, people);
}
export const rhythm = { rule: 'FREQ=DAILY', from: '2026-01-01', hour: 6, zone: 'Europe/Copenhagen' };
export const budget = { requestsPerDay: null, records: null, spend: null };

/** Waits until a watch has ended so many runs. */
export async function over(id: string, runs = 1) {
  for (let i = 0; i < 600; i++) {
    const all = await runsOfWatch(id);
    if (all.filter(({ state }) => state === 'done' || state === 'failed').length >= runs) return all[0]!;
    await lookAtWatches();
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error('the run never ended');
}
export const received = async (watch: string) =>
  (await listNews({ watch, unread: 'false' })).news
    .map(({ kind, facts, why, changes }) => ({ kind, name: facts.name!.at(-1), why, changes }))
    .reverse();
