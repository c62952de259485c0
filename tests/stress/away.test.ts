import { describe, expect, it } from 'vitest';
import { databaseProxy } from '../browser/database-proxy';
import {
  ask,
  freshDatabase,
  full,
  importDone,
  importFile,
  pause,
  query,
  sourcesReady,
  until,
  useServers,
  trialsDone
} from './harness';

const start = useServers('test-stress-away');

describe('PostgreSQL away while work is under way', () => {
  it.each(full ? [2, 10, 60] : [2, 10])(
    'for %i s: trials and imports go on when it is back',
    async (seconds) => {
      const databaseUrl = await freshDatabase(`eave_away_${seconds}`);
      const proxy = await databaseProxy(databaseUrl);
      const { address, stop } = await start(proxy.url, { EAVE_FAULTS: 'usual' });
      await sourcesReady(address);
      const { body: brief } = await ask<{ id: string }>(address, 'POST', '/briefs', { name: 'Away' });
      await ask(address, 'POST', `/briefs/${brief.id}/versions`, { text: 'manager OR sales OR quality' });
      for (const sourceId of ['harrow-guild', 'quillbank', 'lanternfield'])
        await ask(address, 'POST', `/briefs/${brief.id}/trials`, { version: 1, sourceId, wait: 0 });
      await ask(address, 'POST', `/briefs/${brief.id}/watches`, {
        name: 'Away',
        rhythm: { rule: 'FREQ=DAILY', from: '2026-01-05', hour: 6, zone: 'Europe/Oslo' },
        budget: { requestsPerDay: null, records: null, spend: null },
        from: [{ sourceId: 'marlow-register', version: 1 }]
      });
      const rows = Array.from({ length: 30_000 }, (_, i) => `Person ${i},Manager`).join('\n');
      const imported = await importFile(address, `name,title\n${rows}\n`);
      await until(
        async () => (await query(databaseUrl, `SELECT 1 FROM trial_pages`)).length > 2,
        20_000,
        'the trials are under way'
      );
      proxy.disconnect();
      await pause(seconds * 1000);
      expect((await ask(address, 'GET', '/briefs')).status).toBe(503);
      expect((await ask(address, 'GET', '/health/live')).status).toBe(200);
      const { status, body } = await ask<{ database: boolean }>(address, 'GET', '/health/ready');
      expect([status, body.database]).toEqual([503, false]);
      proxy.reconnect();
      await trialsDone(databaseUrl, 3);
      await until(
        async () => !(await query(databaseUrl, `SELECT 1 FROM watch_runs WHERE state = 'running'`)).length,
        60_000,
        'the watch is run to its end'
      );
      const runs = await query<{ state: string; people: number; known: number }>(
        databaseUrl,
        'SELECT state, people, (SELECT count(*)::int FROM watch_people) AS known FROM watch_runs'
      );
      expect(runs).toEqual([{ state: 'done', people: runs[0]!.known, known: expect.any(Number) as number }]);
      expect(runs[0]!.known).toBeGreaterThan(5);
      await importDone(address, imported);
      const [people] = await query<{ count: string }>(databaseUrl, 'SELECT count(*) FROM source_people');
      expect(Number(people!.count)).toBe(30_000);
      // New work is done as before.
      const { body: after } = await ask<{ state: string }>(address, 'POST', `/briefs/${brief.id}/trials`, {
        version: 1,
        sourceId: 'marlow-register',
        wait: 30
      });
      expect(after.state).toBe('done');
      stop();
      proxy.disconnect();
      proxy.close();
    },
    300_000
  );
});
