import { contract } from '$api';
import { jsonBytes, rawEndpoint } from '$server/http/endpoint';
import { briefWork } from '$server/features/exchange/brief-work';

export const GET = rawEndpoint(contract.exportBrief, async ({ params }) =>
  jsonBytes(await briefWork({ kind: 'export-brief', briefId: params.id }))
);
