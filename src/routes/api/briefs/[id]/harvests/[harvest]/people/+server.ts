import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { listHarvestPeople } from '$server/features/harvest/harvest-people';

export const GET = endpoint(contract.listHarvestPeople, ({ params, query }) => {
  const { after, score, ...filter } = query ?? {};
  return listHarvestPeople(
    params.id,
    params.harvest,
    filter,
    after === undefined ? null : { number: after, score: score ?? null }
  );
});
