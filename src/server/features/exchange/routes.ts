import { contract } from '$api';
import { jsonBytes } from '$server/http/endpoint';
import { readBody } from '$server/http/read-body';
import { briefWork } from './brief-work';
import { importRuns } from './trec';
import type { Handlers } from '$server/http/handlers';

export const exchangeRoutes = {
  importBrief: {
    raw: async ({ event }) =>
      jsonBytes(
        await briefWork({ kind: 'import-brief', body: await readBody(event.request, contract.importBrief.bodyLimit) }),
        contract.importBrief.status
      )
  },
  exportBrief: { raw: async ({ params }) => jsonBytes(await briefWork({ kind: 'export-brief', briefId: params.id })) },
  exportQrels: { raw: async ({ params }) => jsonBytes(await briefWork({ kind: 'export-qrels', briefId: params.id })) },
  importQrels: {
    raw: async ({ params, event }) => {
      const body = await readBody(event.request, contract.importQrels.bodyLimit);
      return jsonBytes(await briefWork({ kind: 'import-qrels', briefId: params.id, body }));
    }
  },
  exportRuns: {
    raw: async ({ params, query }) =>
      jsonBytes(await briefWork({ kind: 'export-runs', briefId: params.id, certain: query?.certain ?? false }))
  },
  importRuns: {
    raw: async ({ params, event }) =>
      Response.json(await importRuns(params.id, await readBody(event.request, contract.importRuns.bodyLimit)))
  }
} satisfies Partial<Handlers>;
