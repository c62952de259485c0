import { createTransport } from 'nodemailer';
import { QueryTypes } from 'sequelize';
import * as z from 'zod';
import { database } from '$server/platform/database/connection';
import { environment } from '$server/platform/environment';
import { addJob, defineTask } from '$server/platform/jobs/queue';

const task = 'digest';
/** People named in one mail; the others are counted. */
const maxNamed = 50;

interface Run {
  id: string;
  name: string;
  counts: Partial<Record<'new' | 'back' | 'changed' | 'left', number>>;
}

const words = { new: 'new', back: 'back again', changed: 'changed', left: 'left' };

/** Queues a digest of a run's updates, where the settings name a recipient. */
export const enqueueDigest = (runId: string): Promise<void> | undefined =>
  environment().digest ? addJob(task, { runId }, { key: `digest ${runId}`, priority: 80 }) : undefined;

export const digestTask = defineTask(task, z.object({ runId: z.string() }), ({ runId }) => sendDigest(runId));

/** Sends what was not sent, as when the mail server was away or this one died. News older than a day is read on Home. */
export async function resumeDigests(): Promise<void> {
  if (!environment().digest) return;
  const left = await database().query<{ id: string }>(
    `SELECT id FROM watch_runs WHERE state = 'done' AND mailed_at IS NULL AND counts <> '{}' AND ended_at > now() - interval '1 day'`,
    { type: QueryTypes.SELECT }
  );
  for (const { id } of left) await enqueueDigest(id);
}

/**
 * Sends the news of a run in one mail of plain text. It is noted as sent in the transaction that holds the run, so that two
 * servers do not send it both. Rejects where the mail server does not take it: then it is tried again.
 */
export async function sendDigest(runId: string): Promise<void> {
  const { digest, origin, host, port } = environment();
  if (!digest) return;
  await database().transaction(async (transaction) => {
    const [run] = await database().query<Run>(
      `SELECT r.id, w.name, r.counts FROM watch_runs r JOIN watches w ON w.id = r.watch_id
       WHERE r.id = $runId AND r.state = 'done' AND r.mailed_at IS NULL FOR UPDATE OF r SKIP LOCKED`,
      { bind: { runId }, type: QueryTypes.SELECT, transaction }
    );
    if (!run || !Object.keys(run.counts).length) return;
    const news = await database().query<{ kind: keyof typeof words; facts: Record<string, string>; why: string }>(
      `SELECT kind, facts, why FROM watch_news WHERE run_id = $runId ORDER BY id LIMIT ${maxNamed}`,
      { bind: { runId }, type: QueryTypes.SELECT, transaction }
    );
    const counts = Object.entries(run.counts).map(([kind, n]) => `${n} ${words[kind as keyof typeof words]}`);
    const all = Object.values(run.counts).reduce((sum, n) => sum + n, 0);
    const lines = news.map(({ kind, facts, why }) =>
      [`${words[kind]}: ${facts.name ?? ''}`, [facts.title, facts.company].filter(Boolean).join(' at '), why]
        .filter(Boolean)
        .join(', ')
    );
    const transport = createTransport(digest.smtp);
    try {
      await transport.sendMail({
        from: digest.from,
        to: digest.to,
        subject: `${run.name}: ${counts.join(', ')}`,
        text: [
          ...lines,
          ...(all > news.length ? [`and ${all - news.length} more`] : []),
          '',
          `Read, judge and keep them: ${origin ?? `http://${host}:${port}`}/`
        ].join('\n')
      });
    } finally {
      transport.close();
    }
    await database().query('UPDATE watch_runs SET mailed_at = now() WHERE id = $runId', {
      bind: { runId },
      transaction
    });
  });
}
