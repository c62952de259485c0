import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readingOf } from '$server/features/harvest/harvest-people';

export const GET = endpoint(contract.readingOfHarvest, ({ params }) => readingOf(params.id, params.harvest));
