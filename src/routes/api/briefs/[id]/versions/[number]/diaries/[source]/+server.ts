import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { addEntry } from '$server/features/manual/diary';
import { readDiary } from '$server/features/manual/read-diary';

export const GET = endpoint(contract.readDiary, ({ params, query }) =>
  readDiary(params.id, params.number, params.source, query?.harvest)
);
export const POST = endpoint(contract.addEntry, ({ params, body }) =>
  addEntry(params.id, params.number, params.source, body)
);
