import { describe, expect, it } from 'vitest';
import * as z from 'zod';
import { readJsonFile } from './read-json-file';

const schema = z.object({ name: z.string(), size: z.number().default(1) });
const about = { kind: 'capability sheet', hint: 'Choose one that was exported here.' };
const file = (text: string) => new File([text], 'x.json');
const refusal = (text: string) => readJsonFile(file(text), schema, about).catch((problem: Error) => problem.message);

describe('a JSON file', () => {
  it('is read by its schema, after what an earlier release wrote was brought up to date', async () => {
    expect(await readJsonFile(file('{"name":"a"}'), schema, about)).toEqual({ name: 'a', size: 1 });
    const upgrade = (value: unknown) => ({ name: (value as { title: string }).title });
    expect(await readJsonFile(file('{"title":"b"}'), schema, { ...about, upgrade })).toEqual({ name: 'b', size: 1 });
  });
  it('is refused with a sentence that names the file', async () => {
    expect(await refusal('{')).toBe(
      'x.json is not valid JSON. Choose one that was exported here. Nothing was changed.'
    );
    expect(await refusal('{"name":1}')).toMatch(/^x\.json isn’t a capability sheet: name .*Nothing was changed\.$/);
  });
});
