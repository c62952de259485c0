import { boardFor, peopleBehind } from './board';
import { chosenOf, reportOf } from './report';
import { decideSame, pairsOf, recordsNamed } from './same-people';
import { sourcesSideBySide, versionsSideBySide, whoGoes } from './side-by-side';
import type { Handlers } from '$server/http/handlers';

export const comparingRoutes = {
  behind: ({ params, query }) =>
    peopleBehind(params.id, query.version, query.source, query.kind, query.certain, query.skip),
  chosen: ({ params }) => chosenOf(params.id),
  compare: ({ params, query }) => boardFor(params.id, query?.versions, query?.certain),
  recordsNamed: ({ params, query }) => recordsNamed(params.id, query.name),
  report: ({ params, query }) => reportOf(params.id, query?.certain),
  listPairs: ({ params }) => pairsOf(params.id),
  sideBySide: ({ params, query }) =>
    versionsSideBySide(params.id, query.from, query.to, query.source, query.size, query.certain),
  sourcesSideBySide: ({ params, query }) =>
    sourcesSideBySide(params.id, query.version, query.here, query.there, query.certain),
  whoGoes: ({ params, body }) => whoGoes(params.id, body.from, body.to, body.sourceId, body.size, body.certain),
  decidePair: ({ body }) => decideSame(body.first, body.second, body.same)
} satisfies Partial<Handlers>;
