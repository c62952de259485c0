import type { TestProject } from 'vitest/node';
import { startApplication } from './application';

declare module 'vitest' {
  interface ProvidedContext {
    address: string;
    databaseUrl: string;
  }
}

/** One built application, on a database of its own, for all browser tests. */
export default async function start(project: TestProject) {
  const { address, stop } = await startApplication(
    process.env.TEST_BROWSER_DATABASE_URL!,
    20_000,
    '.data/test-browser',
    // The cores are shared with other tests.
    { EAVE_CHECK_ANSWERS: 'yes', EAVE_PRIVATE_SERVICES: 'yes', EAVE_PATIENCE: '8' }
  );
  project.provide('address', address);
  project.provide('databaseUrl', process.env.TEST_BROWSER_DATABASE_URL!);
  return () => {
    stop();
  };
}
