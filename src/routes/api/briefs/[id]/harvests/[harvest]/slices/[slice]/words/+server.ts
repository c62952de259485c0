import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { wordsAt } from '$server/features/harvest/change-plan';

export const GET = endpoint(contract.wordsOfSlice, ({ params }) => wordsAt(params.id, params.harvest, params.slice));
