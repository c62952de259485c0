import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readHouseList } from '$server/services/library/house-lists';
import { writeLexicon } from '$server/services/library/lexicon';

export const GET = endpoint(contract.readLexicon, () => readHouseList('lexicon'));
export const PUT = endpoint(contract.writeLexicon, ({ body }) => writeLexicon(body));
