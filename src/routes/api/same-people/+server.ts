import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { decideSame } from '$server/services/identity';

export const PUT = endpoint(contract.decidePair, ({ body }) => decideSame(body.first, body.second, body.same));
