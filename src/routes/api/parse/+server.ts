import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { parse } from '$core/query/parse';
import { print } from '$core/query/print';

export const POST = endpoint(contract.parse, async ({ body }) => {
  const { query, problems } = parse(body.text);
  return { query, problems, printed: query && print(query) };
});
