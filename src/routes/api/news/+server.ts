import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { listNews, readNews } from '$server/features/watches/news';

export const GET = endpoint(contract.listNews, ({ query }) => listNews(query));
export const PUT = endpoint(contract.readNews, ({ body }) => readNews(body));
