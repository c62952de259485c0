import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { changeWatch, deleteWatch } from '$server/features/watches/watches';

export const PATCH = endpoint(contract.changeWatch, ({ params, body }) => changeWatch(params.watch, body));
export const DELETE = endpoint(contract.deleteWatch, ({ params }) => deleteWatch(params.watch));
