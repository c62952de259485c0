import { randomUUID } from 'node:crypto';
import type { Search, Sheet } from '$core/dialect';
import { serviceAddress } from '$sources/connector/address';
import { askPage, askSheet, type AnswerReader, type Connection, type ServicePage } from '$sources/connector/connector';
import { ServiceFault } from '$sources/connector/service-fault';
import { Refused, TimedOut } from '$sources/faults';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { environment } from '$server/platform/environment';
import { seal, unseal } from '$server/platform/installation-key';
import { refuse } from '$server/platform/refusals';
import type { AnswerRead, AnswerTask } from '$server/workers/service-answer-worker';
import { KeptThreads } from '$server/workers/threads';
import { findSource, readSource } from './sources';

const checkedAddress = (text: string): string => {
  const read = serviceAddress(text);
  if ('wrong' in read) throw refuse('service-address-invalid', read.wrong);
  return read.address;
};

/** What the settings let services do. */
const reach = () => ({ allowPrivate: environment().privateServices, time: environment().serviceTime });

const threads = new KeptThreads<AnswerTask, AnswerRead>('service-answer-worker.js', 60_000);

/** Reads an answer in a thread, which is ended where the answer takes longer to read than a service may take to send one. */
async function inThread(what: AnswerTask['what'], text: string) {
  const late = AbortSignal.timeout(environment().serviceTime + 5000);
  const read = await threads.run({ what, text }, { signal: late }).catch((error: unknown) => {
    if (late.aborted) throw new ServiceFault('What it answers takes too long to read.', false);
    throw error;
  });
  if ('fault' in read) throw new ServiceFault(read.fault, false);
  return read;
}
const readInThread: AnswerReader = {
  sheet: async (text) => (await inThread('sheet', text)).sheet!,
  page: async (text) => (await inThread('page', text)).page!
};

/** The sheet that a service gives; refused with a sentence where it gives none. */
async function sheetAt(address: string, key: string | null): Promise<Sheet> {
  try {
    return await askSheet({ address, key, ...reach() }, undefined, readInThread);
  } catch (error) {
    if (error instanceof TimedOut) throw refuse('service-silent');
    if (error instanceof Refused || error instanceof ServiceFault)
      throw refuse('service-unusable', sentence(error.message));
    throw error;
  }
}

const sentence = (text: string) => `${text[0]!.toUpperCase()}${text.slice(1)}${/[.!?]$/.test(text) ? '' : '.'}`;

/** Adds a service that speaks the connector protocol, after asking it for its sheet. */
export async function connectService({ address: text, key }: { address: string; key: string | null }) {
  const address = checkedAddress(text);
  const sheet = await sheetAt(address, key);
  const id = `service-${randomUUID()}`;
  const sealedKey = key === null ? null : await seal(key, id);
  await database().transaction(async (transaction) => {
    const { Source, Connection } = models();
    await Source.create(
      { id, kind: 'connected', name: sheet.name, sheet: { ...sheet, id }, people: null },
      { transaction }
    );
    await Connection.create({ sourceId: id, address, sealedKey, checkedAt: new Date() }, { transaction });
  });
  return readSource(id);
}

async function connectionRow(id: string) {
  const source = await findSource(id);
  const row = await models().Connection.findByPk(id);
  if (!row) throw refuse('not-a-connected-source', source.name);
  return row;
}

/** How a service is reached, as a person may see it: never the key. */
export async function readConnection(id: string) {
  const { address, sealedKey, checkedAt } = await connectionRow(id);
  return { address, hasKey: sealedKey !== null, checkedAt: checkedAt.toISOString() };
}

/** Gives a service another address or key (left out: as it is; null: none), and takes its sheet again. All of it or nothing. */
export async function reconnect(id: string, change: { address?: string | undefined; key?: string | null | undefined }) {
  const row = await connectionRow(id);
  const address = change.address === undefined ? row.address : checkedAddress(change.address);
  // A key goes nowhere but where it was given for.
  if (new URL(address).origin !== new URL(row.address).origin && change.key === undefined && row.sealedKey !== null)
    throw refuse('service-key-required');
  const key = change.key === undefined ? await keyOf(row.sealedKey, id) : change.key;
  const sheet = { ...(await sheetAt(address, key)), id };
  const sealedKey = key === null ? null : await seal(key, id);
  await database().transaction(async (transaction) => {
    const { Source, Connection } = models();
    await Connection.update({ address, sealedKey, checkedAt: new Date() }, { where: { sourceId: id }, transaction });
    await Source.update(
      { name: sheet.name, sheet, revision: database().literal('revision + 1') as unknown as number },
      { where: { id }, transaction }
    );
  });
  return readConnection(id);
}

const keyOf = async (sealedKey: string | null, id: string) => (sealedKey === null ? null : unseal(sealedKey, id));

/** What reaches a service now: its key is read again, so that a new one helps a trial that waits. */
async function connectionOf(id: string): Promise<Connection> {
  const { address, sealedKey } = await connectionRow(id);
  return { address, key: await keyOf(sealedKey, id), ...reach() };
}

/** One page of a service's answer. Throws TimedOut, Refused or ServiceFault. */
export const askService = async (
  id: string,
  ask: { search: Search; page: number; cursor: string | null },
  signal: AbortSignal
): Promise<ServicePage> => askPage(await connectionOf(id), ask, signal, readInThread);
