import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readHarvestPerson } from '$server/features/harvest/harvest-people';

export const GET = endpoint(contract.readHarvestPerson, ({ params }) =>
  readHarvestPerson(params.id, params.harvest, params.number)
);
