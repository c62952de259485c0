import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { foundTitles } from '$server/services/found-titles';

export const GET = endpoint(contract.foundTitles, ({ params }) => foundTitles(params.id));
