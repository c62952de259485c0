import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { moreLikeThese } from '$server/features/shortlist/more-like-these';

export const POST = endpoint(contract.moreLike, ({ params, body }) =>
  moreLikeThese(params.id, params.list, body.numbers)
);
