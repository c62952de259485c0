import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  interface ProvidedContext {
    postgres: string;
  }
}

/** Where the tests make databases of their own. */
export default function provide(project: TestProject): void {
  project.provide('postgres', process.env.TEST_BROWSER_DATABASE_URL!);
}
