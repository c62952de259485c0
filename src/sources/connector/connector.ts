import type * as z from 'zod';
import { sheetSchema, type Sheet } from '$core/dialect';
import { guessAllColumns, isDeep, mappingFault, ownNamesOf, parseWithoutZero, personFromRow } from '$core/formats';
import { withLanguageRead } from '../detect-language';
import { hashText } from '$core/measure';
import type { Person } from '$core/people';
import { Refused } from '../faults';
import type { Page } from '../source';
import { askHttp, type HttpAnswer } from './http-request';
import { answerSchema, longestWait, maxLevels, maxRows, type Ask, type ServiceAnswer } from './protocol';
import { ServiceFault } from './service-fault';

/** How a service is reached. */
export interface Connection {
  address: string;
  /** Sent as `Authorization: Bearer …`; null where it needs none. */
  key: string | null;
  /** Whether it may be on this machine or in a private network. */
  allowPrivate: boolean;
  /** Milliseconds that it may take for one answer. */
  time: number;
}

/** A page that a service answered, with what it handed over for the next one. */
export interface ServicePage extends Page {
  cursor: string | null;
  /** What it cost by the service's own word; null where it says nothing. */
  spent: number | null;
  /** Rows that name nobody, which are left out. */
  unread: number;
}

/** What reads the text of an answer, which may be hostile: a server does it in a thread, a command-line tool where it runs. */
export interface AnswerReader {
  sheet: (text: string) => Promise<Sheet>;
  page: (text: string) => Promise<ServicePage>;
}
const readHere: AnswerReader = { sheet: readSheet, page: readPage };

/** The capability sheet of a service. Throws TimedOut, Refused or ServiceFault. */
export async function askSheet(connection: Connection, signal?: AbortSignal, read = readHere): Promise<Sheet> {
  return read.sheet(await askService(connection, 'GET', '/sheet', undefined, signal));
}

/** One page of what a service answers to a search. Throws TimedOut, Refused or ServiceFault. */
export async function askPage(
  connection: Connection,
  ask: Ask,
  signal?: AbortSignal,
  read = readHere
): Promise<ServicePage> {
  return read.page(await askService(connection, 'POST', '/search', ask, signal));
}

/** A capability sheet out of the text of an answer. Throws ServiceFault where it is none. */
export async function readSheet(text: string): Promise<Sheet> {
  return readAs(sheetSchema, jsonOf(text, '/sheet'), 'sheet');
}

/** A page out of the text of an answer. Throws ServiceFault where it is none. */
export async function readPage(text: string): Promise<ServicePage> {
  const reply = jsonOf(text, '/search');
  refuseLong(reply);
  // Reports the faults of the form that the answer has, not of the other one.
  const [asPeople, asTable] = answerSchema.options;
  const hasPeople = typeof reply === 'object' && reply !== null && 'people' in reply;
  const answer: ServiceAnswer = hasPeople ? readAs(asPeople, reply, 'answer') : readAs(asTable, reply, 'answer');
  const { people, unread } = peopleOf(answer);
  return {
    said: answer.count,
    last: answer.last,
    people: await Promise.all(people.map(withLanguageRead)),
    unread,
    cursor: answer.cursor ?? null,
    spent: answer.spent ?? null
  };
}

/** One request of the protocol and its answer. A string is sent as it is, anything else as JSON. */
export const sendTo = (
  { address, key, allowPrivate, time }: Connection,
  method: 'GET' | 'POST',
  path: string,
  body?: unknown,
  signal?: AbortSignal
): Promise<HttpAnswer> =>
  askHttp({
    method,
    url: new URL(address + path),
    headers: {
      ...(key !== null && { authorization: `Bearer ${key}` }),
      ...(body !== undefined && { 'content-type': 'application/json' })
    },
    ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    allowPrivate,
    time,
    ...(signal && { signal })
  });

async function askService(...[connection, method, path, body, signal]: Parameters<typeof sendTo>): Promise<string> {
  const answer = await sendTo(connection, method, path, body, signal);
  refuseStatus(answer, path);
  return answer.text;
}

function jsonOf(text: string, path: string): unknown {
  if (isDeep(text, maxLevels))
    throw new ServiceFault(
      `What it answers to ${path} has lists or objects more than ${maxLevels} levels deep. Its operator has to fix that.`,
      false
    );
  try {
    return parseWithoutZero(text);
  } catch {
    throw new ServiceFault(`What it answers to ${path} is not JSON. Its operator has to fix that.`, false);
  }
}

/** Refuses an answer with too many rows by their number, before each of them is checked. */
function refuseLong(reply: unknown): void {
  for (const key of ['people', 'rows']) {
    const rows = (reply as Record<string, unknown> | null)?.[key];
    if (Array.isArray(rows) && rows.length > maxRows)
      throw new ServiceFault(
        `It sent ${rows.length.toLocaleString('en')} rows for one page; the protocol allows ${maxRows.toLocaleString('en')}.`,
        false
      );
  }
}

function refuseStatus({ status, headers }: HttpAnswer, path: string): void {
  if (status >= 200 && status < 300) return;
  if (status === 429 || (status === 503 && headers['retry-after'])) throw new Refused(waitOf(headers['retry-after']));
  if (status === 401 || status === 403)
    throw new ServiceFault('It rejected the key. Enter another one on its page under Sources.', false);
  if (status >= 500 || status === 408) throw new ServiceFault(`The service failed (HTTP ${status})`, true);
  if (status >= 300 && status < 400)
    throw new ServiceFault(
      `It redirects to another address (${status}), which Eave doesn’t follow. Enter the new address.`,
      false
    );
  if (status === 404)
    throw new ServiceFault(
      `It has no ${path}. Check the address: it ends where the protocol's /sheet and /search begin.`,
      false
    );
  throw new ServiceFault(`It refuses the search (${status}).`, false);
}

/** Milliseconds that `Retry-After` asks for: seconds or a date (RFC 9110, 10.2.3); a second where it says nothing that can be read. */
export function waitOf(header: string | undefined, now = Date.now()): number {
  const seconds = Number(header);
  const wait = !header
    ? 1000
    : Number.isFinite(seconds)
      ? seconds * 1000
      : Number.isNaN(Date.parse(header))
        ? 1000
        : Date.parse(header) - now;
  return Math.min(longestWait, Math.max(50, wait));
}

function readAs<T extends z.ZodType>(schema: T, reply: unknown, what: string): z.output<T> {
  const read = schema.safeParse(reply);
  if (read.success) return read.data;
  throw new ServiceFault(
    `Its ${what} is not as the protocol has it: ${wordsOf(read.error.issues[0]!)}. npm run connector-check shows all that is wrong.`,
    false
  );
}

/** What is wrong with something read by a schema, each by where it stands. */
export const wrongIn = ({ issues }: z.ZodError): string[] => issues.map(wordsOf);

const wordsOf = ({ path, message }: Pick<z.core.$ZodIssue, 'path' | 'message'>): string =>
  `${path.join('.') || 'the whole'}: ${message}`;

/** The people of an answer; the rows of a table without a key are named by what is in them. */
function peopleOf(answer: ServiceAnswer): { people: Person[]; unread: number } {
  if ('people' in answer) return { people: answer.people, unread: 0 };
  const names = answer.columns.map(({ name }) => name);
  const guessed = guessAllColumns(
    names,
    answer.columns.map((_, i) => answer.rows.slice(0, 50).map((row) => String(row[i] ?? '')))
  );
  const mapping = answer.columns.map(({ field }, i) => field ?? guessed[i]!);
  const fault = mappingFault(mapping);
  if (fault) throw new ServiceFault(`Its table cannot be read. ${fault}`, false);
  const ownNames = ownNamesOf(names, mapping);
  const people: Person[] = [];
  for (const row of answer.rows) {
    const read = personFromRow(row, mapping, keyOfRow(row), ownNames);
    if ('person' in read) people.push(read.person);
  }
  return { people, unread: answer.rows.length - people.length };
}

/** A name for a row that has none, the same whenever the row comes. */
const keyOfRow = (row: readonly unknown[]) =>
  ['', '/'].map((end) => hashText(JSON.stringify(row) + end).toString(36)).join('-');
