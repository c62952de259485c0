import { randomUUID } from 'node:crypto';
import { SMTPServer } from 'smtp-server';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { database } from '$server/platform/database/connection';
import * as settings from '$server/platform/environment';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief } from '$server/features/briefs/briefs';
import { sendDigest } from './digest';

useFreshDatabase();

const mails: string[] = [];
let refuses = false;
/** A mail server that takes whatever it is sent, or nothing. */
const server = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS'],
  onData(stream, _session, done) {
    const parts: Buffer[] = [];
    stream.on('data', (part: Buffer) => parts.push(part));
    stream.on('end', () => {
      if (refuses) return done(new Error('not now'));
      mails.push(Buffer.concat(parts).toString('utf8'));
      done();
    });
  }
});
beforeAll(() => new Promise<void>((done) => server.listen(0, '127.0.0.1', done)));
afterAll(() => new Promise<void>((done) => server.close(done)));

async function runWith(counts: object): Promise<string> {
  const { id: briefId } = await createBrief('Digest');
  const [watch, run] = [randomUUID(), randomUUID()];
  await database().query(
    `INSERT INTO watches (id, brief_id, name, rule, first_day, hour, zone, budget, feed)
     VALUES ($watch, $briefId, 'Quality, Nordics', 'FREQ=DAILY', '2026-01-01', 6, 'UTC', '{}', $feed)`,
    { bind: { watch, briefId, feed: watch } }
  );
  await database().query(
    `INSERT INTO watch_runs (id, watch_id, state, due_at, ended_at, counts) VALUES ($run, $watch, 'done', now(), now(), $counts::jsonb)`,
    { bind: { run, watch, counts: JSON.stringify(counts) } }
  );
  await database().query(
    `INSERT INTO watch_news (watch_id, run_id, kind, number, facts, why)
     VALUES ($watch, $run, 'new', 0, '{"name":"Åse Holm","title":"QA","company":"Nordkøl"}', 'not seen before')`,
    { bind: { run, watch } }
  );
  return run;
}

describe('a digest by mail', () => {
  it('is off unless the settings say to whom', async () => {
    await sendDigest(await runWith({ new: 1 }));
    expect(mails).toEqual([]);
  });

  it('tells the news of a run once, and is tried again where the mail server refuses', async () => {
    const { port } = server.server.address() as AddressInfo;
    const digest = { smtp: `smtp://127.0.0.1:${port}`, to: 'researcher@firm.example', from: 'eave@firm.example' };
    const set = settings.environment();
    const watch = vi.spyOn(settings, 'environment').mockReturnValue({ ...set, digest });
    try {
      const run = await runWith({ new: 1, left: 2 });
      refuses = true;
      await expect(sendDigest(run)).rejects.toThrow();
      refuses = false;
      await Promise.all([sendDigest(run), sendDigest(run)]);
      await sendDigest(run);
      expect(mails).toHaveLength(1);
      const plain = mails[0]!.replaceAll(/=\r\n/g, '');
      expect(plain).toContain('Subject: Quality, Nordics: 1 new, 2 left');
      expect(plain).toContain('To: researcher@firm.example');
      expect(plain).toContain('new: =C3=85se Holm, QA at Nordk=C3=B8l, not seen before');
      // Nothing new is no mail.
      await sendDigest(await runWith({}));
      expect(mails).toHaveLength(1);
    } finally {
      watch.mockRestore();
    }
  });
});
