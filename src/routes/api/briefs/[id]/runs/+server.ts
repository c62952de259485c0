import { contract } from '$api';
import { jsonBytes, rawEndpoint } from '$server/http/endpoint';
import { readBody } from '$server/http/read-body';
import { importRuns } from '$server/features/exchange/trec';
import { briefWork } from '$server/features/exchange/brief-work';

export const GET = rawEndpoint(contract.exportRuns, async ({ params, query }) =>
  jsonBytes(await briefWork({ kind: 'export-runs', briefId: params.id, certain: query?.certain ?? false }))
);
export const POST = rawEndpoint(contract.importRuns, async ({ params, event }) =>
  Response.json(await importRuns(params.id, await readBody(event.request, contract.importRuns.bodyLimit)))
);
