import { addEntry, changeEntry } from './diary';
import { recordByHand } from './record-by-hand';
import { readDiary } from './read-diary';
import type { Handlers } from '$server/http/handlers';

export const manualRoutes = {
  changeEntry: ({ params, body }) => changeEntry(params.id, params.entry, body),
  recordByHand: ({ params, body }) => recordByHand(params.id, body.text, body.parent, body.sourceId, body.answers),
  readDiary: ({ params, query }) => readDiary(params.id, params.number, params.source, query?.harvest),
  addEntry: ({ params, body }) => addEntry(params.id, params.number, params.source, body)
} satisfies Partial<Handlers>;
