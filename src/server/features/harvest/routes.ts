import { deleteHarvest, goOn, listHarvests, readHarvest, startHarvest, stopHarvest } from './harvests';
import { harvestFacets, listHarvestPeople, nextDrawn, orderAnew, readHarvestPerson, readingOf } from './harvest-people';
import { harvestFile } from './harvest-file';
import { changeSlice, cutsAt, wordsAt } from './change-plan';
import type { Handlers } from '$server/http/handlers';

export const harvestRoutes = {
  listHarvests: ({ params }) => listHarvests(params.id),
  startHarvest: ({ params, body }) => startHarvest(params.id, body),
  readHarvest: ({ params }) => readHarvest(params.id, params.harvest),
  deleteHarvest: ({ params }) => deleteHarvest(params.id, params.harvest),
  harvestFacets: ({ params }) => harvestFacets(params.id, params.harvest),
  exportHarvest: {
    raw: async ({ params, query }) => {
      const { format, ...filter } = query;
      const { bytes, type } = await harvestFile(params.id, params.harvest, filter, format);
      return new Response(bytes, {
        headers: {
          'content-type': type,
          'content-disposition': `attachment; filename="harvest.${format === 'trec' ? 'txt' : format}"`
        }
      });
    }
  },
  goOnWithHarvest: ({ params, body }) => goOn(params.id, params.harvest, body.budget),
  nextDrawn: async ({ params }) => {
    const [next = null] = await nextDrawn(params.id, params.harvest);
    return { next };
  },
  orderHarvest: ({ params }) => orderAnew(params.id, params.harvest),
  listHarvestPeople: ({ params, query }) => {
    const { after, score, ...filter } = query ?? {};
    return listHarvestPeople(
      params.id,
      params.harvest,
      filter,
      after === undefined ? null : { number: after, score: score ?? null }
    );
  },
  readHarvestPerson: ({ params }) => readHarvestPerson(params.id, params.harvest, params.number),
  readingOfHarvest: ({ params }) => readingOf(params.id, params.harvest),
  changeSlice: ({ params, body }) => changeSlice(params.id, params.harvest, params.slice, body),
  cutsOfSlice: ({ params }) => cutsAt(params.id, params.harvest, params.slice),
  wordsOfSlice: ({ params }) => wordsAt(params.id, params.harvest, params.slice),
  stopHarvest: ({ params }) => stopHarvest(params.id, params.harvest)
} satisfies Partial<Handlers>;
