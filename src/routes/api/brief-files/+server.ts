import { contract } from '$api';
import { jsonBytes, rawEndpoint } from '$server/http/endpoint';
import { readBody } from '$server/http/read-body';
import { briefWork } from '$server/features/exchange/brief-work';

export const POST = rawEndpoint(contract.importBrief, async ({ event }) =>
  jsonBytes(
    await briefWork({ kind: 'import-brief', body: await readBody(event.request, contract.importBrief.bodyLimit) }),
    contract.importBrief.status
  )
);
