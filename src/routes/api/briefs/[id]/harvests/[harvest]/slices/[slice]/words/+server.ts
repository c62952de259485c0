import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { wordsAt } from '$server/services/harvest/change-plan';

export const GET = endpoint(contract.wordsOfSlice, ({ params }) => wordsAt(params.id, params.harvest, params.slice));
