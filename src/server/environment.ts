import { resolve } from 'node:path';
import { z } from 'zod';

const environmentSchema = z.object({
  DATABASE_URL: z.string().regex(/^postgres(ql)?:\/\//, 'must begin with postgres://'),
  EAVE_DATA: z.string().default('.data'),
  EAVE_FAULTS: z.enum(['usual', 'none']).default('usual'),
  EAVE_WORLD_PEOPLE: z.coerce.number().int().min(1000).max(1_000_000).optional()
});

const read = environmentSchema.safeParse(process.env);

/** What the server is told by its environment. Stops with a sentence when a setting is wrong. */
export const environment = () => {
  if (!read.success) {
    const wrong = read.error.issues.map((issue) => `${issue.path.join('.')} ${issue.message}`).join('; ');
    throw new Error(
      `Eave cannot start: ${wrong}. Start it with npm start, or set DATABASE_URL to a PostgreSQL address.`
    );
  }
  return {
    databaseUrl: read.data.DATABASE_URL,
    uploads: resolve(read.data.EAVE_DATA, 'uploads'),
    cache: resolve(read.data.EAVE_DATA, 'cache'),
    /** Whether stand-ins have their usual faults until somebody switches them. */
    faults: read.data.EAVE_FAULTS === 'usual',
    worldPeople: read.data.EAVE_WORLD_PEOPLE,
    workers: resolve(process.env.EAVE_BUILD ?? 'build', 'workers')
  };
};
