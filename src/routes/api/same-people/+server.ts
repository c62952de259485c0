import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { decideSame } from '$server/services/comparing/same-people';

export const PUT = endpoint(contract.decidePair, ({ body }) => decideSame(body.first, body.second, body.same));
