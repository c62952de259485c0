import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { changeShortlist, deleteShortlist, readShortlist } from '$server/features/shortlist/shortlists';

export const GET = endpoint(contract.readShortlist, ({ params }) => readShortlist(params.id, params.list));
export const PATCH = endpoint(contract.changeShortlist, ({ params, body }) =>
  changeShortlist(params.id, params.list, body)
);
export const DELETE = endpoint(contract.deleteShortlist, ({ params }) => deleteShortlist(params.id, params.list));
