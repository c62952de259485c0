import { contract } from '$api';
import { jsonBytes, rawEndpoint } from '$server/http/endpoint';
import { readBody } from '$server/http/read-body';
import { briefWork } from '$server/features/exchange/brief-work';

export const GET = rawEndpoint(contract.exportQrels, async ({ params }) =>
  jsonBytes(await briefWork({ kind: 'export-qrels', briefId: params.id }))
);
export const POST = rawEndpoint(contract.importQrels, async ({ params, event }) => {
  const body = await readBody(event.request, contract.importQrels.bodyLimit);
  return jsonBytes(await briefWork({ kind: 'import-qrels', briefId: params.id, body }));
});
