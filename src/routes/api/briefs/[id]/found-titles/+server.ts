import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { foundTitles } from '$server/features/strings/found-titles';

export const GET = endpoint(contract.foundTitles, ({ params }) => foundTitles(params.id));
