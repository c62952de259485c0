import type { Json } from '../workers/people';

/** A service whose answer is JSON that a thread wrote, with the answer read. */
export const readable =
  <Args extends unknown[], T>(service: (...args: Args) => Promise<Json<T>>) =>
  async (...args: Args): Promise<T> =>
    (await service(...args)).read();
