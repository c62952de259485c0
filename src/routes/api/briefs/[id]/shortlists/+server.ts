import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { createShortlist, listShortlists } from '$server/features/shortlist/shortlists';

export const GET = endpoint(contract.listShortlists, ({ params }) => listShortlists(params.id));
export const POST = endpoint(contract.createShortlist, ({ params, body }) => createShortlist(params.id, body));
