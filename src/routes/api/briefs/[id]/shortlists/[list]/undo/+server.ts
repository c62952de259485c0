import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { undo } from '$server/features/shortlist/steps';

export const POST = endpoint(contract.undoKept, ({ params }) => undo(params.id, params.list));
