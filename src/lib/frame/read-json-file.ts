import type * as z from 'zod';
import { ApiProblem } from '$lib/api/call';
import { jsonFile as say } from './words';

/**
 * What a JSON file that somebody chose holds, by a schema. `kind` is what it should be, as in “is no persona”, `hint` what to
 * choose instead, `upgrade` brings what an earlier release wrote up to date. Throws an ApiProblem with a sentence otherwise.
 */
export async function readJsonFile<S extends z.ZodType>(
  file: File,
  schema: S,
  { kind, hint, upgrade = (value) => value }: { kind: string; hint: string; upgrade?: (value: unknown) => unknown }
): Promise<z.output<S>> {
  let value: unknown;
  try {
    value = upgrade(JSON.parse(await file.text()));
  } catch {
    throw new ApiProblem(0, say.notJson, say.notValid(file.name, hint));
  }
  const given = schema.safeParse(value);
  if (given.success) return given.data;
  const [issue] = given.error.issues;
  throw new ApiProblem(
    0,
    say.notA(kind.split(' ').at(-1)),
    say.isnt(file.name, kind, `${issue!.path.join(' ')} ${issue!.message}`).replace('..', '.')
  );
}
