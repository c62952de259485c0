import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { harvestFacets } from '$server/features/harvest/harvest-people';

export const GET = endpoint(contract.harvestFacets, ({ params }) => harvestFacets(params.id, params.harvest));
