import { connectService, readConnection, reconnect } from './connections';
import {
  arrangeSources,
  createByHand,
  deleteSource,
  listSources,
  readSource,
  switchFaults,
  writeSheet
} from './sources';
import { moveWorld, readWorld } from './world';
import type { Handlers } from '$server/http/handlers';

export const sourceRoutes = {
  connectService: ({ body }) => connectService(body),
  listSources: listSources,
  arrangeSources: ({ body }) => arrangeSources(body),
  createByHand: ({ body }) => createByHand(body.sheet),
  readSource: ({ params }) => readSource(params.source),
  writeSheet: ({ params, body }) => writeSheet(params.source, body),
  deleteSource: ({ params }) => deleteSource(params.source),
  readConnection: ({ params }) => readConnection(params.source),
  reconnect: ({ params, body }) => reconnect(params.source, body),
  switchFaults: ({ params, body }) => switchFaults(params.source, body),
  readWorld: readWorld,
  moveWorld: ({ body }) => moveWorld(body)
} satisfies Partial<Handlers>;
