import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  interface ProvidedContext {
    address: string;
  }
}

const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });

/** Starts the built application on a database of its own for the browser tests. */
export default async function start(project: TestProject) {
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['build/index.js'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      ORIGIN: address,
      DATABASE_URL: process.env.TEST_BROWSER_DATABASE_URL,
      EAVE_DATA: '.data/test-browser',
      EAVE_WORLD_PEOPLE: '30000',
      BODY_SIZE_LIMIT: '512M'
    }
  });
  const deadline = Date.now() + 60_000;
  while (Date.now() < deadline && server.exitCode === null) {
    const answer = await fetch(`${address}/api/sources`).catch(() => null);
    if (answer?.ok) break;
    await new Promise((done) => setTimeout(done, 100));
  }
  project.provide('address', address);
  return () => {
    server.kill('SIGKILL');
  };
}
