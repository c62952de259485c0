import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { addEntry } from '$server/services/by-hand/diary';
import { readDiary } from '$server/services/by-hand/read-diary';

export const GET = endpoint(contract.readDiary, ({ params, query }) =>
  readDiary(params.id, params.number, params.source, query?.harvest)
);
export const POST = endpoint(contract.addEntry, ({ params, body }) =>
  addEntry(params.id, params.number, params.source, body)
);
