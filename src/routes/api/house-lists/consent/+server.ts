import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readHouseList, writeHouseList } from '$server/features/library/house-lists';

export const GET = endpoint(contract.readConsent, () => readHouseList('consent'));
export const PUT = endpoint(contract.writeConsent, ({ body }) => writeHouseList('consent', body));
