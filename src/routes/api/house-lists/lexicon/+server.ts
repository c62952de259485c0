import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readHouseList } from '$server/features/library/house-lists';
import { writeLexicon } from '$server/features/library/lexicon';

export const GET = endpoint(contract.readLexicon, () => readHouseList('lexicon'));
export const PUT = endpoint(contract.writeLexicon, ({ body }) => writeLexicon(body));
