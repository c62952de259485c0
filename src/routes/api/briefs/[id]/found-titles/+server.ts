import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { foundTitles } from '$server/services/strings/found-titles';

export const GET = endpoint(contract.foundTitles, ({ params }) => foundTitles(params.id));
