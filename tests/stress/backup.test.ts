import { execFileSync, spawnSync } from 'node:child_process';
import { rmSync, statSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ask, freshDatabase, query, sourcesReady, useServers } from './harness';

const start = useServers('test-backup');
const file = '.data/test-backup.dump';

/** Every table with a hash of all its rows. */
async function contents(databaseUrl: string): Promise<Map<string, string>> {
  const tables = await query<{ name: string }>(
    databaseUrl,
    `SELECT format('%I.%I', schemaname, tablename) AS name FROM pg_tables WHERE schemaname IN ('public', 'graphile_worker') ORDER BY 1`
  );
  const hashes = new Map<string, string>();
  for (const { name } of tables) {
    const [row] = await query<{ hash: string }>(
      databaseUrl,
      `SELECT count(*) || ' ' || coalesce(md5(string_agg(t::text, '|' ORDER BY t::text)), '') AS hash FROM ${name} t`
    );
    hashes.set(name, row!.hash);
  }
  return hashes;
}

describe('a backup', () => {
  it('brought back into a fresh database holds every table as it was, and Eave starts on it', async () => {
    const databaseUrl = await freshDatabase('eave_backup');
    const { address, stop } = await start(databaseUrl);
    await sourcesReady(address);
    const { body: brief } = await ask<{ id: string }>(address, 'POST', '/briefs', { name: 'Kept' });
    await ask(address, 'POST', `/briefs/${brief.id}/versions`, { text: 'title:manager' });
    await ask(address, 'POST', `/briefs/${brief.id}/trials`, { version: 1, sourceId: 'quillbank' });
    stop();
    const before = await contents(databaseUrl);
    expect(before.size).toBeGreaterThan(12);
    execFileSync('node', ['scripts/backup.mjs', file], {
      env: { ...process.env, DATABASE_URL: databaseUrl },
      stdio: 'pipe'
    });
    expect(statSync(file).mode & 0o077).toBe(0);

    const restored = await freshDatabase('eave_restored');
    const env = { ...process.env, DATABASE_URL: restored };
    execFileSync('node', ['scripts/restore.mjs', file], { env, stdio: 'pipe' });
    expect(await contents(restored)).toEqual(before);
    // What is there is never overwritten unasked.
    const again = spawnSync('node', ['scripts/restore.mjs', file], { env, encoding: 'utf8' });
    expect([again.status, again.stderr]).toEqual([1, expect.stringContaining('not empty')]);
    execFileSync('node', ['scripts/restore.mjs', file, '--replace'], { env, stdio: 'pipe' });
    expect(await contents(restored)).toEqual(before);
    const second = await start(restored);
    expect((await ask<{ name: string }[]>(second.address, 'GET', '/briefs')).body.map(({ name }) => name)).toContain(
      'Kept'
    );
    // Nor under somebody who works on it.
    const during = spawnSync('node', ['scripts/restore.mjs', file, '--replace'], { env, encoding: 'utf8' });
    expect([during.status, during.stderr]).toEqual([1, expect.stringContaining('Stop it first')]);
    second.stop();
    rmSync(file);
  });
});
