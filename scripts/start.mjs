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

await ensureDependencies();
const postgres = await ensurePostgres('eave');
await ensureBuild();

say('starting');
const server = spawn(process.execPath, ['build/index.js'], {
  stdio: ['ignore', 'inherit', 'inherit'],
  env: {
    ...process.env,
    HOST: host,
    PORT: String(port),
    ORIGIN: process.env.ORIGIN ?? `http://${host}:${port}`,
    DATABASE_URL: postgres.url,
    BODY_SIZE_LIMIT: process.env.BODY_SIZE_LIMIT ?? '512M',
    SHUTDOWN_TIMEOUT: '3'
  },
  detached: true
});

let stopping = false;
async function stop(code) {
  if (stopping) return;
  stopping = true;
  if (server.exitCode === null) {
    server.kill('SIGTERM');
    const late = setTimeout(() => server.kill('SIGKILL'), 5000);
    await new Promise((done) => server.once('exit', done));
    clearTimeout(late);
  }
  await postgres.stop();
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    say('stopping');
    void stop(0);
  });
server.once('exit', (code) => {
  if (!stopping) void stop(code ?? 1);
});

const address = `http://${host}:${port}`;
while (!stopping) {
  const answer = await fetch(`${address}/api/briefs`).catch(() => null);
  if (answer?.ok) break;
  await new Promise((done) => setTimeout(done, 150));
}
if (!stopping) say(`open ${address} (Ctrl-C stops Eave and its database)`);
