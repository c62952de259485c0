import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { seededRandom } from '$core/measure';
import { freePort } from '../tests/browser/application';

// How many people at once the server bears: each types, judges, looks at the board and at pages of people, without a pause.
// With folders of built applications as arguments they are measured one after the other in the same run, round by round.

const seconds = Number(process.env.LOAD_SECONDS ?? 100);
const crowds = (process.env.LOAD_PEOPLE ?? '1,8,32').split(',').map(Number);
const folders = process.argv.slice(2).length ? process.argv.slice(2) : ['.'];
const databases = process.env.LOAD_DATABASES!.split(',');
const sources = ['harrow-guild', 'lanternfield', 'quillbank', 'marlow-register'];
const texts = [
  'title:("head of quality" OR "quality manager" OR QA OR "responsible person") AND (pharma OR "cold chain" OR chilled)',
  'title:("head of quality" OR "quality manager") AND (pharma OR "cold chain" OR chilled) AND country:(Denmark OR Germany) NOT intern',
  'title:(quality OR "responsible person") AND (GDP OR pharma) NOT (software OR intern)',
  'title:("quality director" OR "quality manager" OR "head of quality") AND headcount:[51 TO 1000] NOT sales'
];

interface Server {
  name: string;
  address: string;
  process: ChildProcess;
  briefId: string;
  trials: { id: string; sourceId: string; people: string[] }[];
  /** Of each verdict the revision last seen. */
  revisions: Map<string, number>;
}

// As little work as can be: who asks shares the processors with who answers.
const agent = new Agent({ keepAlive: true, maxSockets: 256 });

/** The text of an answer, to the end. */
function answer(address: string, method: string, path: string, body?: unknown, page?: string): Promise<Buffer> {
  const sent = body === undefined ? undefined : Buffer.from(JSON.stringify(body));
  const headers = {
    ...(sent && { 'content-type': 'application/json', 'content-length': sent.length }),
    ...(page && { 'x-eave-page': page })
  };
  return new Promise((resolve, reject) => {
    const sending = request(`${address}/api${path}`, { agent, method, headers }, (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part)).on('error', reject);
      response.on('end', () => {
        const { statusCode = 0 } = response;
        const whole = Buffer.concat(parts);
        // A verdict that somebody else has given meanwhile is refused.
        if (statusCode < 400 || statusCode === 409) resolve(whole);
        else reject(new Error(`${method} ${path}: ${statusCode} ${whole.toString().slice(0, 200)}`));
      });
    });
    sending.on('error', reject).end(sent);
  });
}

const ask = async <T>(...asked: Parameters<typeof answer>): Promise<T> =>
  JSON.parse((await answer(...asked)).toString() || 'null') as T;

/** The sample of a trial, once it is done: a release of before may answer while it is still under way. It may be empty. */
async function peopleToJudge(address: string, path: string): Promise<string[]> {
  for (let tries = 0; tries < 240; tries += 1) {
    const { state, sample } = await ask<{ state: string; sample: { person: { id: string } }[] }>(address, 'GET', path);
    if (state !== 'running' && state !== 'waiting') return sample.map(({ person }) => person.id);
    await new Promise((done) => setTimeout(done, 250));
  }
  throw new Error(`${path}: still under way after a minute`);
}

async function start(folder: string, databaseUrl: string): Promise<Server> {
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  const child = spawn(
    process.execPath,
    [...(process.env.LOAD_NODE ?? '').split(' ').filter(Boolean), 'build/index.js'],
    {
      cwd: folder,
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        HOST: '127.0.0.1',
        PORT: String(port),
        ORIGIN: address,
        DATABASE_URL: databaseUrl,
        EAVE_DATA: `${process.cwd()}/.data/bench-load`,
        EAVE_FAULTS: 'none',
        // The demo is left to be begun: nothing else is at work.
        EAVE_DEMO: 'begun',
        EAVE_LOG: 'none',
        BODY_SIZE_LIMIT: '512M'
      }
    }
  );
  for (;;) {
    const listed = await ask<{ readiness: { state: string } }[]>(address, 'GET', '/sources').catch(() => []);
    if (listed.length && listed.every(({ readiness }) => readiness.state === 'ready')) break;
    await new Promise((done) => setTimeout(done, 250));
  }
  const { id: briefId } = await ask<{ id: string }>(address, 'POST', '/briefs', { name: 'Load' });
  const trials: Server['trials'] = [];
  for (const text of texts) {
    const { number } = await ask<{ number: number }>(address, 'POST', `/briefs/${briefId}/versions`, { text });
    for (const sourceId of sources) {
      const { id } = await ask<{ id: string }>(address, 'POST', `/briefs/${briefId}/trials`, {
        version: number,
        sourceId,
        wait: 60
      });
      trials.push({ id, sourceId, people: await peopleToJudge(address, `/briefs/${briefId}/trials/${id}`) });
    }
  }
  await ask(address, 'GET', `/briefs/${briefId}/compare`);
  return { name: folder, address, process: child, briefId, trials, revisions: new Map() };
}

type Kind = 'typing' | 'judging' | 'board' | 'trial page';
const shares: [Kind, number][] = [
  ['typing', 0.35],
  ['judging', 0.4],
  ['board', 0.1],
  ['trial page', 0.15]
];

/** One person who does one thing after the other until the time is up. */
async function person(server: Server, number: number, until: number, took: Map<Kind, number[]>): Promise<void> {
  const random = seededRandom(`person ${number}`);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const { address, briefId } = server;
  const page = `page ${number}`;
  while (Date.now() < until) {
    let left = random();
    const [kind] = shares.find(([, share]) => (left -= share) < 0) ?? shares[0]!;
    const trial = pick(kind === 'judging' ? server.trials.filter(({ people }) => people.length) : server.trials);
    const began = performance.now();
    if (kind === 'typing') {
      // Nobody typed it before: an answer that was kept from somebody else's is no use.
      const text = `${pick(texts)} NOT typed${number}x${Math.floor(random() * 1e9)}`;
      await answer(address, 'POST', `/briefs/${briefId}/ledger`, { text, sourceId: trial.sourceId }, page);
    } else if (kind === 'judging') {
      const personId = pick(trial.people);
      const { sourceId } = trial;
      const verdict = pick(['fit', 'miss', 'unsure'] as const);
      const name = `${sourceId} ${personId}`;
      const given = { sourceId, personId, verdict, revision: server.revisions.get(name) ?? 0 };
      const kept = await ask<{ revision?: number; current?: { revision: number } }>(
        address,
        'PUT',
        `/briefs/${briefId}/verdicts`,
        given
      );
      server.revisions.set(name, kept.revision ?? kept.current?.revision ?? 0);
    } else if (kind === 'board') await answer(address, 'GET', `/briefs/${briefId}/compare`, undefined, page);
    else await answer(address, 'GET', `/briefs/${briefId}/trials/${trial.id}`, undefined, page);
    const list = took.get(kind) ?? [];
    list.push(performance.now() - began);
    took.set(kind, list);
  }
}

const share = (sorted: readonly number[], part: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))]!;
const memory = ({ process: { pid } }: Server) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;

const servers: Server[] = [];
for (const [i, folder] of folders.entries()) servers.push(await start(folder, databases[i]!));
const slowest = new Map<string, Map<Kind, number>>();
/** The machine may be slower from one minute to the next: servers take turns in slices of the time. */
const slices = servers.length > 1 ? 4 : 1;
const stallOf = (server: Server) =>
  ask<{ stall?: number }>(server.address, 'GET', '/health/ready')
    .then((state) => state.stall)
    .catch(() => undefined);
for (const people of crowds) {
  console.log(`\n${people} ${people === 1 ? 'person' : 'people'} at once, ${seconds} s each`);
  const measured = servers.map(() => ({ took: new Map<Kind, number[]>(), milliseconds: 0, stall: 0 }));
  for (let slice = 0; slice < slices; slice++)
    for (const [i, server] of servers.entries()) {
      const mine = measured[i]!;
      await stallOf(server);
      const began = Date.now();
      const until = began + (seconds * 1000) / slices;
      await Promise.all(Array.from({ length: people }, (_, j) => person(server, slice * people + j, until, mine.took)));
      mine.milliseconds += Date.now() - began;
      mine.stall = Math.max(mine.stall, (await stallOf(server)) ?? NaN);
    }
  for (const [i, server] of servers.entries()) {
    const { took, milliseconds, stall } = measured[i]!;
    const all = [...took.values()].reduce((sum, list) => sum + list.length, 0);
    console.log(
      `  ${server.name}: ${(all / (milliseconds / 1000)).toFixed(0)} requests a second, ${memory(server).toFixed(0)} MB, longest stall ${Number.isNaN(stall) ? '?' : stall} ms`
    );
    for (const [kind, list] of [...took].sort()) {
      list.sort((a, b) => a - b);
      const [p50, p95, p99] = [0.5, 0.95, 0.99].map((part) => share(list, part));
      console.log(
        `    ${kind.padEnd(10)} ${String(list.length).padStart(6)}   p50 ${p50!.toFixed(0)}   p95 ${p95!.toFixed(0)}   p99 ${p99!.toFixed(0)} ms`
      );
      const known = slowest.get(server.name) ?? new Map<Kind, number>();
      slowest.set(server.name, known.set(kind, p95!));
    }
  }
}
const [mine, before] = servers;
if (mine && before) {
  console.log(`\np95 at ${crowds.at(-1)} people as a share of that of ${before.name}:`);
  for (const [kind, p95] of slowest.get(mine.name)!)
    console.log(`  ${kind.padEnd(10)} ${(p95 / slowest.get(before.name)!.get(kind)!).toFixed(2)}`);
}
for (const server of servers) server.process.kill('SIGTERM');
