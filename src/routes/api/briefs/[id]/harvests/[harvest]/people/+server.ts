import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { listHarvestPeople } from '$server/services/harvest/harvest-people';

export const GET = endpoint(contract.listHarvestPeople, ({ params, query }) => {
  const { after, score, ...filter } = query ?? {};
  return listHarvestPeople(
    params.id,
    params.harvest,
    filter,
    after === undefined ? null : { number: after, score: score ?? null }
  );
});
