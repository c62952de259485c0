import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readHouseList, writeHouseList } from '$server/features/library/house-lists';

export const GET = endpoint(contract.readRegions, () => readHouseList('regions'));
export const PUT = endpoint(contract.writeRegions, ({ body }) => writeHouseList('regions', body));
