import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { moreLikeThese } from '$server/services/shortlist/more-like-these';

export const POST = endpoint(contract.moreLike, ({ params, body }) =>
  moreLikeThese(params.id, params.list, body.numbers)
);
