import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { builtString } from '$server/services/strings/built-string';

export const GET = endpoint(contract.buildString, ({ params }) => builtString(params.id));
