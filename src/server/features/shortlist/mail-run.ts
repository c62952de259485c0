import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import * as z from 'zod';
import { Refused } from '$sources/faults';
import { StandInChecker, type MailChecker } from '$sources/mail/mail-checker';
import { database } from '$server/platform/database/connection';
import { isDatabaseAway } from '$server/platform/database/away';
import { models } from '$server/platform/database/models';
import type { MailRunRow, ShortlistRow } from '$server/platform/database/shortlist-models';
import { addJob, alone, defineTask, hasNoJob, type JobContext } from '$server/platform/jobs/queue';
import { Later, NotNow } from '$server/platform/jobs/not-now';
import { refuse } from '$server/platform/refusals';
import { whyItBrokeOff } from '$server/features/sources/why-it-broke-off';
import { findShortlist } from './find-shortlist';
import type { MailFault } from './kept-row';

const task = 'mail-check';

let checker: MailChecker = new StandInChecker();
/** Replaces the service that checks addresses; for tests. */
export const useMailChecker = (other: MailChecker): void => void (checker = other);

const enqueue = (id: string, runAt?: Date): Promise<void> =>
  addJob(task, { runId: id }, { key: `mail ${id}`, priority: 60, runAt });

export const mailCheckTask = defineTask(task, z.object({ runId: z.string() }), ({ runId }, { stopping, log }) =>
  alone(`mail ${runId}`, (lost) => work(runId, AbortSignal.any([lost, stopping]), log))
);

/** Queues checks again that no server works on any more. */
export async function resumeMailChecks(): Promise<void> {
  const left = await database().query<{ id: string; goesOnAt: Date | null }>(
    `SELECT id, goes_on_at AS "goesOnAt" FROM mail_runs r WHERE state IN ('waiting', 'running')
       AND ${hasNoJob("'mail ' || r.id")}`,
    { type: QueryTypes.SELECT }
  );
  for (const { id, goesOnAt } of left) await enqueue(id, goesOnAt ?? new Date());
}

/** Days that an answer holds: after that an address is asked about again. */
const holds = 90;

const open = `FROM shortlist_people p LEFT JOIN mail_checks m ON m.address = p.mail AND m.checked_at > now() - interval '${holds} days'
  WHERE p.shortlist_id = $listId AND p.mail <> '' AND p.mail_fault = '' AND m.address IS NULL
    AND NOT p.left_out && ARRAY['contacted', 'customer', 'competitor', 'own firm', 'excluded firm', 'by hand']`;

/** Some addresses of a list that are still to be asked about: each once, without those told to be useless and those of people left out. */
async function openAddresses(listId: string, most: number): Promise<string[]> {
  const rows = await database().query<{ mail: string }>(`SELECT DISTINCT p.mail ${open} ORDER BY 1 LIMIT ${most}`, {
    bind: { listId },
    type: QueryTypes.SELECT
  });
  return rows.map(({ mail }) => mail);
}
async function openCount(listId: string, transaction: Transaction | null = null): Promise<number> {
  const [row] = await database().query<{ many: number }>(`SELECT count(DISTINCT p.mail)::int AS many ${open}`, {
    bind: { listId },
    type: QueryTypes.SELECT,
    transaction
  });
  return row!.many;
}

/** The plan of the house, and what was checked today and this month (UTC). */
async function planNow() {
  const [plan] = await database().query<{ perDay: number; perMonth: number }>(
    `INSERT INTO mail_plan (only_one) VALUES (true) ON CONFLICT (only_one) DO UPDATE SET only_one = true
     RETURNING per_day AS "perDay", per_month AS "perMonth"`,
    { type: QueryTypes.SELECT }
  );
  const [used] = await database().query<{ today: number; month: number }>(
    `SELECT count(*) FILTER (WHERE checked_at >= date_trunc('day', now() AT TIME ZONE 'UTC') AT TIME ZONE 'UTC')::int AS today, count(*)::int AS month
     FROM mail_checks WHERE checked_at >= date_trunc('month', now() AT TIME ZONE 'UTC') AT TIME ZONE 'UTC'`,
    { type: QueryTypes.SELECT }
  );
  return { ...plan!, ...used! };
}

const serializeRun = (run: MailRunRow) => ({
  id: run.id,
  state: run.state,
  problem: run.problem ?? '',
  addresses: run.addresses,
  checked: run.checked,
  good: run.good,
  spent: run.spent,
  goesOnAt: run.goesOnAt?.toISOString() ?? null
});

const newestRun = (shortlistId: string) =>
  models().MailRun.findOne({ where: { shortlistId }, order: [['createdAt', 'DESC']] });

/** What a list’s addresses are like before anybody is asked, what asking would cost at most, and how far it is. */
export async function mailOfList(list: ShortlistRow) {
  const [many, plan, run, [faults]] = await Promise.all([
    openCount(list.id),
    planNow(),
    newestRun(list.id),
    database().query<Record<Exclude<MailFault, ''> | 'duplicate', number>>(
      `SELECT count(*) FILTER (WHERE mail_fault = 'malformed')::int AS malformed, count(*) FILTER (WHERE mail_fault = 'role')::int AS role,
         count(*) FILTER (WHERE mail_fault = 'throwAway')::int AS "throwAway", (count(*) - count(DISTINCT mail))::int AS duplicate
       FROM shortlist_people WHERE shortlist_id = $id AND mail <> ''`,
      { bind: { id: list.id }, type: QueryTypes.SELECT }
    )
  ]);
  const { perGood, unit } = checker.price;
  return {
    run: run && serializeRun(run),
    plan,
    open: many,
    cost: Math.round(many * perGood * 100) / 100,
    unit,
    faults: faults!
  };
}

interface Wanted {
  do: 'check' | 'stop' | 'go on';
  plan?: { perDay: number; perMonth: number } | undefined;
}

/** Begins a check of a list’s addresses, stops it where it is, or lets it go on; with another plan where one is given. */
export async function checkMail(briefId: string, id: string, { do: what, plan }: Wanted) {
  await findShortlist(briefId, id);
  if (plan)
    await database().query(
      `INSERT INTO mail_plan (per_day, per_month) VALUES ($perDay, $perMonth)
       ON CONFLICT (only_one) DO UPDATE SET per_day = excluded.per_day, per_month = excluded.per_month`,
      { bind: plan }
    );
  const run = await newestRun(id);
  const underWay = run && ['waiting', 'running'].includes(run.state);
  if (what === 'stop') {
    if (underWay)
      await run.update({ state: 'paused', problem: 'Stopped. Everything collected so far is saved.', goesOnAt: null });
    return run && serializeRun(run);
  }
  if (underWay) {
    // Another plan may have room at once.
    if (plan && run.state === 'waiting') {
      await run.update({ goesOnAt: null, problem: '' });
      await enqueue(run.id);
    }
    return serializeRun(run);
  }
  if (what === 'go on' && run && run.state !== 'done') {
    await run.update({ state: 'waiting', problem: '', goesOnAt: null });
    await enqueue(run.id);
    return serializeRun(run);
  }
  const many = await openCount(id);
  if (!many) throw refuse('nothing-to-check');
  const created = await models().MailRun.create({
    id: randomUUID(),
    shortlistId: id,
    state: 'waiting',
    addresses: many
  });
  await enqueue(created.id);
  return serializeRun(created);
}

/** Milliseconds until another day, or month, begins (UTC). */
function untilNext(what: 'day' | 'month', now = new Date()): number {
  const next =
    what === 'day'
      ? Date.UTC(now.getUTCFullYear(), now.getUTCMonth(), now.getUTCDate() + 1)
      : Date.UTC(now.getUTCFullYear(), now.getUTCMonth() + 1, 1);
  return next - now.getTime();
}

/** Checks what is open, a batch after the other, each kept as it comes; stops where the plan is used up, and goes on when it has room. */
async function work(runId: string, halt: AbortSignal, log: JobContext['log']): Promise<void> {
  const { MailRun } = models();
  const mine = { where: { id: runId, state: 'running' } };
  const [, [run]] = await MailRun.update(
    { state: 'running', goesOnAt: null, problem: '' },
    { where: { id: runId, state: ['waiting', 'running'] }, returning: true }
  );
  if (!run) return;
  try {
    for (;;) {
      if (halt.aborted) throw new NotNow('This server stops, or has lost its line to the database.');
      const still = await MailRun.findByPk(runId, { attributes: ['state'] });
      if (still?.state !== 'running') return;
      const { perDay, perMonth, today, month } = await planNow();
      if (month >= perMonth)
        throw new Later(
          untilNext('month'),
          `The ${perMonth.toLocaleString('en')} checks for this month are used up; it resumes next month (UTC).`
        );
      if (today >= perDay)
        throw new Later(
          untilNext('day'),
          `The ${perDay.toLocaleString('en')} checks for today are used up; it resumes tomorrow (UTC).`
        );
      const batch = await openAddresses(run.shortlistId, Math.min(checker.batch, perDay - today, perMonth - month));
      if (!batch.length) break;
      const asked = new Set(batch);
      const reply = (await checker.check(batch, halt)).filter(({ address }) => asked.has(address));
      // One that answers nothing that was asked would be asked for ever.
      if (!reply.length) throw new Error('The checker returned no results.');
      if (halt.aborted) throw new NotNow('This server stops, or has lost its line to the database.');
      await database().transaction(async (transaction) => {
        await database().query(
          `INSERT INTO mail_checks (address, state, why, price)
           SELECT r.address, r.state, r.why, r.price FROM jsonb_to_recordset($answers::jsonb) AS r (address text, state text, why text, price double precision)
           ON CONFLICT (address) DO UPDATE SET state = excluded.state, why = excluded.why, price = excluded.price, checked_at = now()`,
          { bind: { answers: JSON.stringify(reply) }, transaction }
        );
        const checked = run.checked + reply.length;
        await run.update(
          {
            checked,
            // The list may have changed since: people were added or excluded, or another list's run checked some.
            addresses: checked + (await openCount(run.shortlistId, transaction)),
            good: run.good + reply.filter(({ state }) => state === 'good').length,
            spent: run.spent + reply.reduce((sum, { price }) => sum + price, 0)
          },
          { transaction }
        );
      });
    }
    await MailRun.update({ state: 'done', addresses: run.checked }, mine);
  } catch (error) {
    if (error instanceof NotNow || isDatabaseAway(error)) throw error;
    const later =
      error instanceof Refused ? new Later(error.wait, `The service asks to wait: ${error.message}.`) : error;
    if (later instanceof Later) {
      await MailRun.update(
        { state: 'waiting', problem: later.message, goesOnAt: new Date(Date.now() + later.wait) },
        mine
      );
      throw later;
    }
    log.warn({ err: error, run: runId }, 'mail check failed');
    await MailRun.update({ state: 'failed', problem: whyItBrokeOff(error) }, mine);
  }
}
