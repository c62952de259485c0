import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
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

/** Stops all that was started, in the middle of starting too. */
async function stop(code) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null) {
    server.kill('SIGTERM');
    const late = setTimeout(() => server.kill('SIGKILL'), 5000);
    await new Promise((done) => server.once('exit', done));
    clearTimeout(late);
  }
  await (await postgres)?.stop();
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    say('stopping');
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

say('starting');
server = spawn(process.execPath, ['build/index.js'], {
  stdio: ['ignore', 'inherit', 'inherit'],
  env: {
    ...process.env,
    HOST: host,
    PORT: String(port),
    ORIGIN: process.env.ORIGIN ?? `http://${host}:${port}`,
    DATABASE_URL: url,
    BODY_SIZE_LIMIT: process.env.BODY_SIZE_LIMIT ?? '512M',
    SHUTDOWN_TIMEOUT: '1'
  },
  detached: true
});
server.once('exit', (code) => void stop(code ?? 1));

const address = `http://${host}:${port}`;
while (!stopping) {
  const answer = await fetch(`${address}/api/briefs`).catch(() => null);
  if (answer?.ok) break;
  await new Promise((done) => setTimeout(done, 150));
}
if (!stopping) say(`open ${address} (Ctrl-C stops Eave and its database)`);
