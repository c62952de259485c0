import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { Refused } from '$sources/faults';
import { StandInChecker, type CheckedMail, type MailChecker } from '$sources/mail/mail-checker';
import { database } from '$server/platform/database/connection';
import { startJobs } from '$server/app/jobs';
import { stopQueue } from '$server/platform/jobs/queue';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief } from '$server/features/briefs/briefs';
import { keepPeople } from './keep';
import { listKept } from './list-kept';
import { checkMail, useMailChecker } from './mail-run';
import { createShortlist, readShortlist } from './shortlists';

useFreshDatabase();

/** Checks at once; says what it was asked, and refuses where it is told to. */
class Scripted implements MailChecker {
  readonly name = 'Scripted';
  readonly price = { perGood: 0.5, unit: 'credit' };
  readonly batch = 4;
  asked: string[] = [];
  refusals = 0;
  /** Called before each answer. */
  before: () => Promise<void> = () => Promise.resolve();
  async check(addresses: readonly string[]): Promise<CheckedMail[]> {
    if (this.refusals-- > 0) throw new Refused(50);
    await this.before();
    this.asked.push(...addresses);
    return addresses.map((address) => ({ address, state: 'good' as const, why: '', price: this.price.perGood }));
  }
}
let checker: Scripted;
beforeAll(() => startJobs());
beforeEach(async () => {
  useMailChecker((checker = new Scripted()));
  await database().query('DELETE FROM mail_checks');
});
afterAll(() => useMailChecker(new StandInChecker()));

async function listOf(addresses: string[]) {
  const { id: briefId } = await createBrief('Checked');
  const { id } = await createShortlist(briefId, { name: 'A list', purpose: '' });
  const people = addresses.map((address, i) => ({
    id: String(i),
    name: `Person Number${'abcdefghijklmnop'[i]}`,
    country: 'NL',
    jobs: [{ title: 'QA', company: `Firm ${i}` }],
    contact: [address]
  }));
  await keepPeople({ briefId, id, why: '', from: { kind: 'people', people } });
  return { briefId, id };
}
async function until(briefId: string, id: string, state: string) {
  for (let i = 0; i < 400; i++) {
    const { mail } = await readShortlist(briefId, id);
    // Read once more: what was counted may have been read just before it came to be so.
    if (mail.run?.state === state) return (await readShortlist(briefId, id)).mail;
    await new Promise((done) => setTimeout(done, 25));
  }
  throw new Error(`it never came to be ${state}`);
}
const ten = Array.from({ length: 10 }, (_, i) => `someone.n${i}@firm${i}.example`);

describe('a check of addresses', () => {
  it('says what is useless before anything is spent, and asks about the others once', async () => {
    const { briefId, id } = await listOf([...ten, 'info@firm.example', 'x@mailinator.com', 'not an address@x']);
    const { mail } = await readShortlist(briefId, id);
    expect(mail).toMatchObject({ open: 10, cost: 5, unit: 'credit', faults: { role: 1, throwAway: 1 } });
    await checkMail(briefId, id, { do: 'check', plan: { perDay: 1000, perMonth: 1000 } });
    const done = await until(briefId, id, 'done');
    expect(done.run).toMatchObject({ checked: 10, good: 10, spent: 5, addresses: 10 });
    expect([...checker.asked].sort()).toEqual([...ten].sort());
    expect(done.open).toBe(0);
    expect((await listKept(briefId, id, { mail: 'good' })).of).toBe(10);
    await expect(checkMail(briefId, id, { do: 'check' })).rejects.toThrow('has been checked');
  });

  it('never counts more addresses checked than there are, though the list grows and shrinks meanwhile', async () => {
    const { briefId, id } = await listOf(ten);
    let times = 0;
    checker.before = async () => {
      if (++times === 1) {
        const added = ['a', 'b', 'c'].map((n) => ({
          id: `late ${n}`,
          name: `Late ${n}`,
          contact: [`late.${n}@x.example`]
        }));
        await keepPeople({ briefId, id, why: '', from: { kind: 'people', people: added } });
      }
      if (times === 2) await database().query(`DELETE FROM shortlist_people WHERE mail = 'someone.n9@firm9.example'`);
    };
    await checkMail(briefId, id, { do: 'check', plan: { perDay: 1000, perMonth: 1000 } });
    const { run } = (await until(briefId, id, 'done'))!;
    expect(run).toMatchObject({ checked: checker.asked.length, addresses: checker.asked.length });
    expect(checker.asked).toHaveLength(12);
  });

  it('stops at the plan of a day, and goes on when it has room', async () => {
    const { briefId, id } = await listOf(ten);
    await checkMail(briefId, id, { do: 'check', plan: { perDay: 6, perMonth: 8 } });
    const waiting = await until(briefId, id, 'waiting');
    await until(briefId, id, 'waiting');
    for (let i = 0; i < 100 && checker.asked.length < 6; i++) await new Promise((done) => setTimeout(done, 20));
    expect(checker.asked).toHaveLength(6);
    expect((await until(briefId, id, 'waiting')).run!.problem).toMatch(/for today are used up/);
    expect(waiting.plan.perDay).toBe(6);
    await checkMail(briefId, id, { do: 'go on', plan: { perDay: 100, perMonth: 8 } });
    for (let i = 0; i < 200 && checker.asked.length < 8; i++) await new Promise((done) => setTimeout(done, 20));
    expect((await until(briefId, id, 'waiting')).run!.problem).toMatch(/for this month are used up/);
    expect(checker.asked).toHaveLength(8);
    await checkMail(briefId, id, { do: 'go on', plan: { perDay: 100, perMonth: 100 } });
    await until(briefId, id, 'done');
    expect(new Set(checker.asked).size).toBe(10);
    expect(checker.asked).toHaveLength(10);
  });

  it('waits as long as the service asks, can be stopped, and survives a restart', async () => {
    const { briefId, id } = await listOf(ten);
    checker.refusals = 2;
    await checkMail(briefId, id, { do: 'check', plan: { perDay: 1000, perMonth: 1000 } });
    await stopQueue();
    await startJobs();
    await until(briefId, id, 'done');
    expect(checker.asked).toHaveLength(10);
    const other = await listOf(['late.one@firm.example']);
    checker.refusals = 1000;
    await checkMail(other.briefId, other.id, { do: 'check' });
    await until(other.briefId, other.id, 'waiting');
    await checkMail(other.briefId, other.id, { do: 'stop' });
    expect((await until(other.briefId, other.id, 'paused')).run!.problem).toMatch(/Stopped/);
  });
});

describe('the stand-in that checks', () => {
  it('finds about half good and a bit over a quarter uncertain, always the same, and refuses anybody who asks too fast', async () => {
    const { signal } = new AbortController();
    const quick = new StandInChecker({ perMinute: 3, pause: 0 });
    const addresses = Array.from({ length: 2000 }, (_, i) => `a${i}@b.example`);
    const received = await quick.check(addresses, signal);
    const share = (state: string) => received.filter((one) => one.state === state).length / received.length;
    expect(share('good')).toBeGreaterThan(0.46);
    expect(share('good')).toBeLessThan(0.56);
    expect(share('uncertain')).toBeGreaterThan(0.24);
    expect(share('uncertain')).toBeLessThan(0.32);
    expect(received.every(({ state, price }) => (state === 'good') === price > 0)).toBe(true);
    expect(await quick.check(addresses, signal)).toEqual(received);
    await quick.check(['x@y.example'], signal);
    await expect(quick.check(['x@y.example'], signal)).rejects.toThrow('too many requests');
  });
});
