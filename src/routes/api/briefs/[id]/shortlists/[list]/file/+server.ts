import { contract } from '$api';
import { rawEndpoint } from '$server/api/endpoint';
import { takeAlong } from '$server/services/shortlist/take-along';

export const GET = rawEndpoint(contract.takeAlong, async ({ params, query }) => {
  const { bytes, type, ending } = await takeAlong(params.id, params.list, query);
  return new Response(bytes, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="shortlist.${ending}"` }
  });
});
