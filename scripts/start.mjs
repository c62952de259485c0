import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { constants } from 'node:os';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBuild } from './lib/build.mjs';
import { ensureDependencies } from './lib/dependencies.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { say, stopWith } from './lib/say.mjs';

process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '..'));
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4310);

await new Promise((done) => {
  const probe = createServer().once('error', (error) =>
    stopWith(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken, perhaps by another Eave. Stop that one, or start with another port: PORT=${port + 1} npm start`
        : `Eave cannot listen on ${host}:${port}: ${error.message}`
    )
  );
  probe.listen(port, host, () => probe.close(done));
});

let postgres;
let server;
let stopping = false;

/** Seconds that the server has to end what is under way; it stops waiting by itself before. */
const stopWithin = Number(process.env.EAVE_STOP_WITHIN ?? 20) + 15;

/** Stops all that was started, in the middle of starting too; the database last, and it is waited for. */
async function stop(code) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null && server.signalCode === null) {
    const ended = new Promise((done) => server.once('exit', done));
    server.kill('SIGTERM');
    const late = setTimeout(() => server.kill('SIGKILL'), stopWithin * 1000);
    await ended;
    clearTimeout(late);
  }
  await (await postgres?.catch(() => undefined))?.stop();
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    if (!stopping) say('stopping');
    void stop(0);
  });
/** Waits for a step, and for ever when Eave is being stopped meanwhile. */
const unlessStopping = async (step) => {
  const outcome = await step;
  return stopping ? new Promise(() => {}) : outcome;
};

await unlessStopping(ensureDependencies());
postgres = ensurePostgres('eave');
const { url } = await unlessStopping(postgres);
await unlessStopping(ensureBuild());

/** When the server was started again: so many times in so many minutes, then no more. */
const again = [];
const [mostAgain, withinMinutes] = [5, 10];
/** What the server ends with when it cannot be started: doing it again would not help. */
const cannotStart = 1;

function serve() {
  server = spawn(process.execPath, ['build/index.js'], {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      HOST: host,
      PORT: String(port),
      DATABASE_URL: url,
      EAVE_LOG: process.env.EAVE_LOG ?? 'file'
    },
    detached: true
  });
  server.once('exit', (code, signal) => {
    if (stopping) return;
    const why = signal ? `was ended by ${signal}` : `ended with code ${code}`;
    const now = Date.now();
    while (again.length && now - again[0] > withinMinutes * 60_000) again.shift();
    if (code === cannotStart || code === 0) return void stop(code || 1);
    if (again.length >= mostAgain) {
      say(
        `the server ${why}, for the ${again.length + 1}th time in ${withinMinutes} minutes; stopping. Its log is in .data/logs`
      );
      return void stop(signal ? 128 + (constants.signals[signal] ?? 0) : code);
    }
    again.push(now);
    say(`the server ${why}; starting it again`);
    setTimeout(
      () => {
        if (!stopping) serve();
      },
      250 * 2 ** again.length
    );
  });
}

say('starting');
serve();
const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
while (!stopping) {
  const answer = await fetch(`${address}/api/health/ready`).catch(() => null);
  if (answer?.ok) break;
  await new Promise((done) => setTimeout(done, 150));
}
if (!stopping) say(`open ${address} (Ctrl-C stops Eave and its database; its log is in .data/logs)`);
