import { contract } from '$api';
import { jsonBytes, rawEndpoint } from '$server/api/endpoint';
import { readBody } from '$server/api/read-body';
import { importRuns } from '$server/services/exchange/trec';
import { briefWork } from '$server/workers/brief-work';

export const GET = rawEndpoint(contract.exportRuns, async ({ params, query }) =>
  jsonBytes(await briefWork({ kind: 'export-runs', briefId: params.id, certain: query?.certain ?? false }))
);
export const POST = rawEndpoint(contract.importRuns, async ({ params, event }) =>
  Response.json(await importRuns(params.id, await readBody(event.request, contract.importRuns.bodyLimit)))
);
