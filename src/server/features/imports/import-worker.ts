import { runImport } from './run-import';
import { doEach } from '$server/workers/one-thing';

/** A file that was uploaded, and the server that imports it. */
export interface ImportTask {
  importId: string;
  serverId: string;
}

/** Imports one file after the other, with its own line to the database. */
doEach(({ importId, serverId }: ImportTask) => runImport(importId, serverId));
