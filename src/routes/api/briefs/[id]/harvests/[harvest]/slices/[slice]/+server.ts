import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { changeSlice } from '$server/features/harvest/change-plan';

export const PUT = endpoint(contract.changeSlice, ({ params, body }) =>
  changeSlice(params.id, params.harvest, params.slice, body)
);
