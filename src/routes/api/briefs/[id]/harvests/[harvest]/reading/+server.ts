import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readingOf } from '$server/services/harvest/harvest-people';

export const GET = endpoint(contract.readingOfHarvest, ({ params }) => readingOf(params.id, params.harvest));
