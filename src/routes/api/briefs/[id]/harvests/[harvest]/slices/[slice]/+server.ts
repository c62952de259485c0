import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { changeSlice } from '$server/services/harvest/change-plan';

export const PUT = endpoint(contract.changeSlice, ({ params, body }) =>
  changeSlice(params.id, params.harvest, params.slice, body)
);
