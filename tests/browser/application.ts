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
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      ORIGIN: address,
      DATABASE_URL: databaseUrl,
      EAVE_DATA: data,
      EAVE_WORLD_PEOPLE: String(people),
      EAVE_FAULTS: 'none',
      BODY_SIZE_LIMIT: '512M',
      ...more
    }
  });
  const deadline = Date.now() + 60_000;
  while (Date.now() < deadline && server.exitCode === null) {
    const answer = await fetch(`${address}/api/sources`).catch(() => null);
    if (answer?.ok) break;
    await new Promise((done) => setTimeout(done, 100));
  }
  return { address, stop: () => server.kill('SIGKILL') };
}
