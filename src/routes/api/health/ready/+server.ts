import { contract } from '$api';
import { rawEndpoint } from '$server/http/endpoint';
import { readiness } from '$server/features/operations/health';

export const GET = rawEndpoint(contract.ready, async () => {
  const state = await readiness();
  return Response.json(state, { status: state.ready ? 200 : 503 });
});
