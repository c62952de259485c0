import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { readHouseList, writeHouseList } from '$server/services/house-lists';

export const GET = endpoint(contract.readConsent, () => readHouseList('consent'));
export const PUT = endpoint(contract.writeConsent, ({ body }) => writeHouseList('consent', body));
