import { contract } from '$api';
import { jsonBytes, rawEndpoint } from '$server/api/endpoint';
import { readBody } from '$server/api/read-body';
import { briefWork } from '$server/workers/brief-work';

export const GET = rawEndpoint(contract.exportQrels, async ({ params }) =>
  jsonBytes(await briefWork({ kind: 'export-qrels', briefId: params.id }))
);
export const POST = rawEndpoint(contract.importQrels, async ({ params, event }) => {
  const body = await readBody(event.request, contract.importQrels.bodyLimit);
  return jsonBytes(await briefWork({ kind: 'import-qrels', briefId: params.id, body }));
});
