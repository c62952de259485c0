import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { builtString } from '$server/features/strings/built-string';

export const GET = endpoint(contract.buildString, ({ params }) => builtString(params.id));
