import { parentPort, workerData } from 'node:worker_threads';
import { Refusal } from '$server/platform/refusal';
import { takeUpLexicon } from '$core/titles';
import { giveWay } from './give-way';
import type { PeopleKind, PeopleWork } from './people-messages';
import type { FromThread, ToThread } from './pool';
import { boards } from './work/board';
import { counting } from './work/counting';
import { threadNumber } from './processor-wait';
import { takeUpSpreadLexicon } from './take-up-lexicon';
import { cells } from './thread-cells';
import { within } from './work/deadline';
import { people } from './work/people';
import { attach, detach } from './work/sources';
import { strings } from './work/strings';

giveWay();
takeUpSpreadLexicon();

const work: { [K in PeopleKind]: (ask: PeopleWork[K]['ask']) => PeopleWork[K]['answer'] } = {
  ...strings,
  ...counting,
  ...people,
  ...boards
};

const { shared } = workerData as { shared: Int32Array };
Atomics.store(shared, cells.thread, threadNumber());
const tell = (message: FromThread) => parentPort!.postMessage(message);

parentPort?.on('message', (reply: ToThread) => {
  if ('attach' in reply) {
    reply.attach.forEach(attach);
    return tell({ attached: reply.attach.map(({ id }) => id) });
  }
  if ('detach' in reply) return detach(reply.detach);
  if ('lexicon' in reply) return takeUpLexicon(reply.lexicon);
  const { id, kind, ask, json, limit } = reply;
  try {
    const answer = within(limit, id, shared, () => work[kind as PeopleKind](ask as never));
    if (!json) return tell({ id, answer });
    const bytes = new TextEncoder().encode(JSON.stringify(answer));
    parentPort!.postMessage({ id, answer: bytes } satisfies FromThread, [bytes.buffer]);
  } catch (error) {
    if (error instanceof Refusal) tell({ id, refusal: error.serialize() });
    else tell({ id, error: error instanceof Error ? error.message : String(error) });
  }
});
