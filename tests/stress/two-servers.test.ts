import { describe, expect, it } from 'vitest';
import {
  ask,
  freshDatabase,
  importDone,
  importFile,
  query,
  sourcesReady,
  until,
  useServers,
  trialsDone
} from './harness';

const start = useServers('test-two-servers');

describe('several servers on one database', () => {
  it('all start, also where their tables are made at the same time', async () => {
    for (let round = 0; round < 2; round++) {
      const databaseUrl = await freshDatabase('eave_together');
      const servers = await Promise.all(Array.from({ length: 3 }, () => start(databaseUrl)));
      for (const { address } of servers)
        await until(
          async () => (await ask(address, 'GET', '/health/ready')).status === 200,
          30_000,
          'a server is ready'
        );
      for (const { stop } of servers) stop();
    }
  });

  it('load the demo once, take over from one that is killed, and never take from one that lives', async () => {
    const databaseUrl = await freshDatabase('eave_two');
    const [first, second, third] = await Promise.all([start(databaseUrl), start(databaseUrl), start(databaseUrl)]);
    expect(await query(databaseUrl, 'SELECT 1 FROM briefs')).toHaveLength(1);
    third.stop();
    await Promise.all([sourcesReady(first.address), sourcesReady(second.address)]);
    const { body: brief } = await ask<{ id: string }>(first.address, 'POST', '/briefs', { name: 'Different' });
    await ask(first.address, 'POST', `/briefs/${brief.id}/versions`, { text: 'manager OR sales' });
    for (const sourceId of ['harrow-guild', 'lanternfield', 'quillbank'])
      await ask(first.address, 'PUT', `/sources/${sourceId}/faults`, {
        slow: true,
        timeOuts: false,
        refusals: false,
        repeats: false,
        drift: false
      });
    const run = (address: string) =>
      Promise.all(
        ['harrow-guild', 'lanternfield', 'quillbank'].map((sourceId) =>
          ask(address, 'POST', `/briefs/${brief.id}/trials`, { version: 1, sourceId, wait: 0 })
        )
      );
    await run(first.address);
    await run(second.address);
    const jobs = async () =>
      new Map(
        (
          await query<{ id: string; attempts: number }>(
            databaseUrl,
            'SELECT id::text, attempts FROM graphile_worker.jobs WHERE locked_by IS NOT NULL'
          )
        ).map(({ id, attempts }) => [id, attempts])
      );
    await until(async () => (await jobs()).size > 2, 20_000, 'jobs are under way');
    const before = await jobs();
    // A third server starts meanwhile: it frees nobody's jobs, so that none is begun again.
    const late = await start(databaseUrl);
    for (const [id, attempts] of await jobs()) if (before.has(id)) expect(attempts, id).toBe(before.get(id));
    first.stop();
    late.stop();
    await trialsDone(databaseUrl, 6);
    const doubled = await query(
      databaseUrl,
      `SELECT trial_id FROM trial_pages, jsonb_array_elements(people) AS person GROUP BY trial_id, search, person ->> 'id' HAVING count(*) > 1`
    );
    expect(doubled).toEqual([]);
    second.stop();
  });

  it('count the people that took the place of others at another', async () => {
    const databaseUrl = await freshDatabase('eave_two_files');
    const [first, second] = await Promise.all([start(databaseUrl), start(databaseUrl)]);
    const csv = (titles: string[]) =>
      `id,name,title\n${titles.map((title, i) => `${i},Person ${i},${title}`).join('\n')}\n`;
    const id = await importFile(first.address, csv(['QA', 'QA', 'RP']));
    await importDone(second.address, id);
    const { body: job } = await ask<{ sourceId: string }>(second.address, 'GET', `/imports/${id}`);
    const count = async (address: string) => {
      const { body } = await ask<{ counts: { possible: { middle: number } }[] }>(address, 'POST', '/counts', {
        sourceId: job.sourceId,
        texts: ['title:QA']
      });
      return body.counts[0]!.possible.middle;
    };
    expect([await count(first.address), await count(second.address)]).toEqual([2, 2]);
    const newer = await importFile(first.address, csv(['QA', 'QA', 'QA', 'QA', 'RP']), job.sourceId);
    await importDone(first.address, newer);
    expect([await count(first.address), await count(second.address)]).toEqual([4, 4]);
  });
});
