import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { readHouseList, writeHouseList } from '$server/services/house-lists';

export const GET = endpoint(contract.readRegions, () => readHouseList('regions'));
export const PUT = endpoint(contract.writeRegions, ({ body }) => writeHouseList('regions', body));
