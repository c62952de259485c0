import type { RequestEvent } from '@sveltejs/kit';
import type * as z from 'zod';
import type { Contract, Operation } from '$api';
import type { Json } from '$server/workers/people';

/** What a handler is given: everything that was sent, checked against the contract. */
export interface Given<P, Q, B> {
  params: P;
  query: Q;
  body: B;
  event: RequestEvent;
}
type GivenRaw<P, Q> = Omit<Given<P, Q, never>, 'body'>;

/** Does the work of one operation. A raw one reads the body itself, or writes its own response. */
type HandlerOf<O> =
  O extends Operation<infer P, infer Q, infer B, infer R>
    ? | ((given: Given<z.output<P>, z.output<Q>, z.output<B>>) => Promise<z.input<R> | Json<z.input<R>> | void>)
      | { raw: (given: GivenRaw<z.output<P>, z.output<Q>>) => Promise<Response> }
    : never;

/** A handler for every operation of the contract, by its name. */
export type Handlers = { [K in keyof Contract]: HandlerOf<Contract[K]> };

/** A handler of any operation, as the router calls it once what was sent has been checked. */
export type AnyHandler =
  | ((given: Given<never, never, never>) => Promise<unknown>)
  | { raw: (given: GivenRaw<never, never>) => Promise<Response> };
