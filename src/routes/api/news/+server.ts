import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { listNews, readNews } from '$server/services/watches/news';

export const GET = endpoint(contract.listNews, ({ query }) => listNews(query));
export const PUT = endpoint(contract.readNews, ({ body }) => readNews(body));
