import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { switchFaults } from '$server/services/sources/sources';

export const PUT = endpoint(contract.switchFaults, ({ params, body }) => switchFaults(params.source, body));
