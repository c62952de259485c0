import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { nextDrawn } from '$server/features/harvest/harvest-people';

export const GET = endpoint(contract.nextDrawn, async ({ params }) => {
  const [next = null] = await nextDrawn(params.id, params.harvest);
  return { next };
});
