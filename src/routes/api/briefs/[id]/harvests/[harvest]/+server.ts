import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { deleteHarvest, readHarvest } from '$server/features/harvest/harvests';

export const GET = endpoint(contract.readHarvest, ({ params }) => readHarvest(params.id, params.harvest));
export const DELETE = endpoint(contract.deleteHarvest, ({ params }) => deleteHarvest(params.id, params.harvest));
