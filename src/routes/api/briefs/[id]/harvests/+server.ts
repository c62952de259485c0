import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { listHarvests, startHarvest } from '$server/features/harvest/harvests';

export const GET = endpoint(contract.listHarvests, ({ params }) => listHarvests(params.id));
export const POST = endpoint(contract.startHarvest, ({ params, body }) => startHarvest(params.id, body));
