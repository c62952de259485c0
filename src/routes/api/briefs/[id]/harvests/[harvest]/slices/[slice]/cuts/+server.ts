import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { cutsAt } from '$server/features/harvest/change-plan';

export const GET = endpoint(contract.cutsOfSlice, ({ params }) => cutsAt(params.id, params.harvest, params.slice));
