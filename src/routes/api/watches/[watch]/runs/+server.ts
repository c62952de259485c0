import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { runsOfWatch, runWatch } from '$server/features/watches/watches';

export const GET = endpoint(contract.runsOfWatch, ({ params }) => runsOfWatch(params.watch));
export const POST = endpoint(contract.runWatch, ({ params }) => runWatch(params.watch));
