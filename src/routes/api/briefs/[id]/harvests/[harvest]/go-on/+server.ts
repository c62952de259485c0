import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { goOn } from '$server/features/harvest/harvests';

export const POST = endpoint(contract.goOnWithHarvest, ({ params, body }) =>
  goOn(params.id, params.harvest, body.budget)
);
