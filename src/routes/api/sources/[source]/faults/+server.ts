import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { switchFaults } from '$server/features/sources/sources';

export const PUT = endpoint(contract.switchFaults, ({ params, body }) => switchFaults(params.source, body));
