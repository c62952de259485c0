import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { stopHarvest } from '$server/features/harvest/harvests';

export const POST = endpoint(contract.stopHarvest, ({ params }) => stopHarvest(params.id, params.harvest));
