import { contract } from '$api';
import { rawEndpoint } from '$server/http/endpoint';
import { readJsonBody } from '$server/http/read-body';
import { check } from '$server/platform/check';
import { exportShortlist } from '$server/features/shortlist/export-shortlist';

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
