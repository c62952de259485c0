import { contract } from '$api';
import { jsonBytes, rawEndpoint } from '$server/api/endpoint';
import { readBody } from '$server/api/read-body';
import { briefWork } from '$server/workers/brief-work';

export const POST = rawEndpoint(contract.importBrief, async ({ event }) =>
  jsonBytes(
    await briefWork({ kind: 'import-brief', body: await readBody(event.request, contract.importBrief.bodyLimit) }),
    contract.importBrief.status
  )
);
