import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { listTrials, runTrial } from '$server/features/trials/trials';

export const GET = endpoint(contract.listTrials, ({ params }) => listTrials(params.id));
export const POST = endpoint(contract.runTrial, ({ params, body }) =>
  runTrial(params.id, body.version, body.sourceId, body.sampleSize, body.wait * 1000)
);
