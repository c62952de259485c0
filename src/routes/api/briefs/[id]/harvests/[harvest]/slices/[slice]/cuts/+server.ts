import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { cutsAt } from '$server/services/harvest/change-plan';

export const GET = endpoint(contract.cutsOfSlice, ({ params }) => cutsAt(params.id, params.harvest, params.slice));
