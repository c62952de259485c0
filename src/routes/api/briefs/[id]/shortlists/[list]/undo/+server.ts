import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { undo } from '$server/services/shortlist/steps';

export const POST = endpoint(contract.undoKept, ({ params }) => undo(params.id, params.list));
