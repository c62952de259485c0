import { contract } from '$api';
import { rawEndpoint } from '$server/http/endpoint';
import { harvestFile } from '$server/features/harvest/harvest-file';

export const GET = rawEndpoint(contract.exportHarvest, async ({ params, query }) => {
  const { format, ...filter } = query;
  const { bytes, type } = await harvestFile(params.id, params.harvest, filter, format);
  return new Response(bytes, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="harvest.${format === 'trec' ? 'txt' : format}"`
    }
  });
});
