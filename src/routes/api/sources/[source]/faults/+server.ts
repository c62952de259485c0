import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { switchFaults } from '$server/services/sources';

export const PUT = endpoint(contract.switchFaults, ({ params, body }) => switchFaults(params.source, body));
