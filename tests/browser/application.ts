import { spawn } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';

export const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => done(port));
    });
  });

/** Starts the built application on a free port and waits until it answers. */
export async function startApplication(
  databaseUrl: string,
  people: number,
  data: string,
  more: Record<string, string> = {}
) {
  const port = Number(more.PORT ?? (await freePort()));
  const address = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['build/index.js'], {
    stdio: ['ignore', process.env.STRESS_LOG ? 'inherit' : 'ignore', 'inherit'],
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      EAVE_DATA: data,
      EAVE_WORLD_PEOPLE: String(people),
      EAVE_FAULTS: 'none',
      EAVE_DEMO: 'begun',
      EAVE_LOG: process.env.STRESS_LOG ?? 'none',
      ...more
    }
  });
  const deadline = Date.now() + 60_000;
  for (;;) {
    const answer = await fetch(`${address}/api/sources`).catch(() => null);
    if (answer?.ok) break;
    // What it printed says why; a test that went on without it would fail by something else.
    if (server.exitCode !== null || server.signalCode !== null)
      throw new Error(`The server ended with ${server.exitCode ?? server.signalCode} before it answered.`);
    if (Date.now() > deadline) {
      server.kill('SIGKILL');
      throw new Error('The server did not answer within a minute.');
    }
    await new Promise((done) => setTimeout(done, 100));
  }
  return { address, process: server, stop: () => server.kill('SIGKILL') };
}
