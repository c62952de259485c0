import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { stopHarvest } from '$server/services/harvest/harvests';

export const POST = endpoint(contract.stopHarvest, ({ params }) => stopHarvest(params.id, params.harvest));
