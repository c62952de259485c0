import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { environment } from '../environment';
import { Refusal } from '../refusal';
import type { PeopleKind, PeopleReply, PeopleRequest, PeopleWork } from './people-messages';

type Waiting = { resolve: (answer: never) => void; reject: (error: Error) => void };

let worker: Worker | undefined;
let lastId = 0;
const waiting = new Map<number, Waiting>();

function start(): Worker {
  const thread = new Worker(join(environment().workers, 'people-worker.js'), {
    resourceLimits: { maxOldGenerationSizeMb: 8192, maxYoungGenerationSizeMb: 256 }
  });
  thread.unref();
  thread.on('message', (reply: PeopleReply) => {
    if ('progress' in reply) return progressed(reply.progress);
    const asked = waiting.get(reply.id);
    waiting.delete(reply.id);
    if (!asked) return;
    if ('error' in reply) asked.reject(new Refusal(503, 'Source not ready', reply.error));
    else asked.resolve(reply.answer as never);
  });
  thread.on('error', (error) => {
    worker = undefined;
    stopped();
    console.error(`The people worker stopped: ${error.message}`);
    for (const asked of waiting.values())
      asked.reject(
        new Refusal(503, 'Source stopped', 'Counting stopped unexpectedly and is being started again. Try once more.')
      );
    waiting.clear();
  });
  return thread;
}

let stopped = () => {};
let progressed: (progress: { done: number; of: number }) => void = () => {};

/** Called as the indexes of the stand-ins become ready. */
export const whenWorkerProgresses = (listener: typeof progressed) => {
  progressed = listener;
};

/** Called when the worker has died and its people must be loaded again. */
export const whenWorkerStops = (listener: () => void) => {
  stopped = listener;
};

/** Asks the people worker. Searching and counting run there and never hold up the page server. */
export function askPeople<K extends PeopleKind>(kind: K, ask: PeopleWork[K]['ask']): Promise<PeopleWork[K]['answer']> {
  worker ??= start();
  const id = ++lastId;
  const request: PeopleRequest<K> = { id, kind, ask };
  return new Promise((resolve, reject) => {
    waiting.set(id, { resolve, reject } as Waiting);
    worker!.postMessage(request);
  });
}
