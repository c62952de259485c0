import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { changeWatch, deleteWatch } from '$server/services/watches/watches';

export const PATCH = endpoint(contract.changeWatch, ({ params, body }) => changeWatch(params.watch, body));
export const DELETE = endpoint(contract.deleteWatch, ({ params }) => deleteWatch(params.watch));
