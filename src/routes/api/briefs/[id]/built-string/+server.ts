import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { builtString } from '$server/services/built-string';

export const GET = endpoint(contract.buildString, ({ params }) => builtString(params.id));
