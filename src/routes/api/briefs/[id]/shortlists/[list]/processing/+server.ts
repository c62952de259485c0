import { contract } from '$api';
import { rawEndpoint } from '$server/http/endpoint';
import { processingRecord } from '$server/features/shortlist/processing-record';

export const GET = rawEndpoint(
  contract.processingRecord,
  async ({ params }) =>
    new Response(await processingRecord(params.id, params.list), {
      headers: { 'content-type': 'text/plain; charset=utf-8' }
    })
);
