import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { goOn } from '$server/services/harvest/harvests';

export const POST = endpoint(contract.goOnWithHarvest, ({ params, body }) =>
  goOn(params.id, params.harvest, body.budget)
);
