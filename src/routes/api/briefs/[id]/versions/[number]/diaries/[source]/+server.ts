import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { addEntry, readDiary } from '$server/services/by-hand/diary';

export const GET = endpoint(contract.readDiary, ({ params }) => readDiary(params.id, params.number, params.source));
export const POST = endpoint(contract.addEntry, ({ params, body }) =>
  addEntry(params.id, params.number, params.source, body)
);
