import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { decideSame } from '$server/features/comparing/same-people';

export const PUT = endpoint(contract.decidePair, ({ body }) => decideSame(body.first, body.second, body.same));
