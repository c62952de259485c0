import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readHarvestPerson } from '$server/services/harvest/harvest-people';

export const GET = endpoint(contract.readHarvestPerson, ({ params }) =>
  readHarvestPerson(params.id, params.harvest, params.number)
);
