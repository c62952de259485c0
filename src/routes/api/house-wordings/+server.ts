import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { houseWordings, rememberWordings } from '$server/features/strings/house-wordings';

export const GET = endpoint(contract.houseWordings, ({ query }) => houseWordings(query.title));
export const PUT = endpoint(contract.rememberWordings, ({ body }) =>
  rememberWordings(body.title, body.wordings, body.taken)
);
