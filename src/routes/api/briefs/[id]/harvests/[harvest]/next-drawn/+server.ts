import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { nextDrawn } from '$server/services/harvest/harvest-people';

export const GET = endpoint(contract.nextDrawn, async ({ params }) => {
  const [next = null] = await nextDrawn(params.id, params.harvest);
  return { next };
});
