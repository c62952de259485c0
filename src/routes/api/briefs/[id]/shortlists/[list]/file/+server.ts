import { contract } from '$api';
import { rawEndpoint } from '$server/api/endpoint';
import { readJsonBody } from '$server/api/read-body';
import { check } from '$server/check';
import { takeAlong } from '$server/services/shortlist/take-along';

export const POST = rawEndpoint(contract.takeAlong, async ({ params, event }) => {
  const leaving = check(
    contract.takeAlong.body,
    await readJsonBody(event.request, contract.takeAlong.bodyLimit),
    'what was sent'
  );
  const { bytes, type, ending } = await takeAlong(params.id, params.list, leaving);
  return new Response(bytes, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="shortlist.${ending}"` }
  });
});
