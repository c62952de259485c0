import { changeWatch, createWatch, deleteWatch, listWatches, runWatch, runsOfWatch, watchNameFor } from './watches';
import { feedOf } from './feed';
import { listNews, readNews } from './news';
import type { Handlers } from '$server/http/handlers';

export const watchRoutes = {
  watchNameFor: ({ params }) => watchNameFor(params.id),
  createWatch: ({ params, body }) => createWatch(params.id, body),
  watchFeed: {
    raw: async ({ params, query, event }) => {
      const { text, type } = await feedOf(params.feed, query?.form ?? 'atom', event.url.origin);
      return new Response(text, { headers: { 'content-type': type } });
    }
  },
  listNews: ({ query }) => listNews(query),
  readNews: ({ body }) => readNews(body),
  listWatches: () => listWatches(),
  changeWatch: ({ params, body }) => changeWatch(params.watch, body),
  deleteWatch: ({ params }) => deleteWatch(params.watch),
  runsOfWatch: ({ params }) => runsOfWatch(params.watch),
  runWatch: ({ params }) => runWatch(params.watch)
} satisfies Partial<Handlers>;
