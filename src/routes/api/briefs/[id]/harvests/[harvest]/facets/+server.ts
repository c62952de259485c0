import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { harvestFacets } from '$server/services/harvest/harvest-people';

export const GET = endpoint(contract.harvestFacets, ({ params }) => harvestFacets(params.id, params.harvest));
