import { render, sheetSchema, type Search, type Sheet } from '$core/dialect';
import { parse } from '$core/language';
import { sendTo, waitOf, wrongIn, type Connection } from './connector';
import type { HttpAnswer } from './http-request';
import { answerSchema, type ServiceAnswer } from './protocol';

/** What was looked at, and what is wrong with it; null where nothing is. */
export interface Finding {
  what: string;
  wrong: string | null;
}

/** Pages read of one search at most. */
const maxPages = 30;
const sampleStrings = ['manager', 'title:manager', 'country:Denmark', 'a', 'the'];

class Wrong extends Error {}

/** Holds a service to the connector protocol, with a search of `sample` or of usual words: tells each thing as it is looked at. */
export async function* checkService(connection: Connection, sample?: string): AsyncGenerator<Finding> {
  const check = async <T>(what: string, work: () => Promise<T>): Promise<[Finding, T | null]> => {
    try {
      return [{ what, wrong: null }, await work()];
    } catch (error) {
      return [{ what, wrong: error instanceof Error ? error.message : String(error) }, null];
    }
  };
  const ask = async (
    method: 'GET' | 'POST',
    path: string,
    body?: unknown,
    key = connection.key
  ): Promise<HttpAnswer> => {
    for (let times = 0; ; times++) {
      const answer = await sendTo({ ...connection, key }, method, path, body);
      if (answer.status !== 429 || times > 5) return answer;
      await new Promise((done) => setTimeout(done, waitOf(answer.headers['retry-after'])));
    }
  };
  const json = ({ status, headers, text }: HttpAnswer): unknown => {
    if (status !== 200) throw new Wrong(`answers ${status}, not 200`);
    if (!/^application\/json\b/.test(headers['content-type'] ?? ''))
      throw new Wrong(`says that it is ${headers['content-type'] ?? 'nothing'}, not application/json`);
    try {
      return JSON.parse(text);
    } catch {
      throw new Wrong('is not JSON');
    }
  };

  const [sheetFound, sheet] = await check('GET /sheet gives a valid capability sheet', async (): Promise<Sheet> => {
    const read = sheetSchema.safeParse(json(await ask('GET', '/sheet')));
    if (!read.success) throw new Wrong(wrongIn(read.error).join('; '));
    return read.data;
  });
  yield sheetFound;
  if (!sheet) return;

  if (connection.key !== null) {
    for (const [what, key] of [
      ['without a key', null],
      ['with a wrong key', `${connection.key}-wrong`]
    ] as const)
      yield (
        await check(`GET /sheet ${what} is refused with 401 or 403`, async () => {
          const { status } = await ask('GET', '/sheet', undefined, key);
          if (status !== 401 && status !== 403) throw new Wrong(`answers ${status}`);
        })
      )[0];
  }

  const search = searchFor(sheet, sample);
  if (!search) {
    yield {
      what: 'a search that its sheet allows',
      wrong: 'none of the usual words can be asked by its sheet; give a string to try as the second argument'
    };
    return;
  }
  const page = async (number: number, cursor: string | null): Promise<ServiceAnswer> => {
    const read = answerSchema.safeParse(json(await ask('POST', '/search', { search, page: number, cursor })));
    if (!read.success) throw new Wrong(wrongIn(read.error).join('; '));
    return read.data;
  };
  const rowsOf = (answer: ServiceAnswer): string[] =>
    'people' in answer ? answer.people.map(({ id }) => id) : answer.rows.map((row) => JSON.stringify(row));

  const [firstFound, first] = await check('POST /search gives a first page', () => page(0, null));
  yield firstFound;
  if (!first) return;
  yield (
    await check('the same page asked again is the same', async () => {
      const again = await page(0, null);
      if (JSON.stringify(rowsOf(again)) !== JSON.stringify(rowsOf(first))) throw new Wrong('other rows came');
    })
  )[0];
  yield (
    await check('its pages come to an end, and no row comes twice', async () => {
      const seen = new Set<string>();
      let answer = first;
      for (let number = 0; ; number++) {
        const rows = rowsOf(answer);
        const most = sheet.limits.page;
        if (most !== null && rows.length > most)
          throw new Wrong(`page ${number + 1} has ${rows.length} rows, more than the ${most} of its sheet`);
        const twice = rows.filter((row) => seen.has(row)).length;
        if (twice) throw new Wrong(`${twice} rows of page ${number + 1} came before`);
        for (const row of rows) seen.add(row);
        if (answer.last || number + 1 >= maxPages) break;
        if (!rows.length) throw new Wrong(`page ${number + 1} is empty and is not the last`);
        answer = await page(number + 1, answer.cursor ?? null);
      }
      const { shown } = sheet.limits;
      if (shown !== null && seen.size > shown)
        throw new Wrong(`it shows ${seen.size} rows, more than the ${shown} of its sheet`);
      if (sheet.counting.kind === 'exact' && first.count < seen.size)
        throw new Wrong(`it counts ${first.count} exactly, and shows ${seen.size}`);
    })
  )[0];
  for (const [what, body] of [
    ['a body that is not JSON', '{'],
    ['a search of another shape', { search: 'manager', page: 'one' }]
  ] as const)
    yield (
      await check(`${what} is refused with 400 or 422`, async () => {
        const { status } = await ask('POST', '/search', body);
        if (status !== 400 && status !== 422) throw new Wrong(`answers ${status}`);
      })
    )[0];
}

/** A search in the source's own form, of a string given or of usual words. */
function searchFor(sheet: Sheet, sample: string | undefined): Search | null {
  for (const text of sample === undefined ? sampleStrings : [sample]) {
    const { query } = parse(text);
    const rendering = query && render(query, sheet);
    if (rendering && rendering.exactness !== 'impossible' && rendering.searches.length) return rendering.searches[0]!;
  }
  return null;
}
