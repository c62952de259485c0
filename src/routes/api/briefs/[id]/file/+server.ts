import { contract } from '$api';
import { jsonBytes, rawEndpoint } from '$server/api/endpoint';
import { briefWork } from '$server/workers/brief-work';

export const GET = rawEndpoint(contract.exportBrief, async ({ params }) =>
  jsonBytes(await briefWork({ kind: 'export-brief', briefId: params.id }))
);
