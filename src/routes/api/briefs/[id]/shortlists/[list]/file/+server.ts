import { contract } from '$api';
import { rawEndpoint } from '$server/api/endpoint';
import { readJsonBody } from '$server/api/read-body';
import { check } from '$server/check';
import { exportShortlist } from '$server/services/shortlist/export-shortlist';

export const POST = rawEndpoint(contract.exportShortlist, async ({ params, event }) => {
  const leaving = check(
    contract.exportShortlist.body,
    await readJsonBody(event.request, contract.exportShortlist.bodyLimit),
    'what was sent'
  );
  const { bytes, type, ending } = await exportShortlist(params.id, params.list, leaving);
  return new Response(bytes, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="shortlist.${ending}"` }
  });
});
