import * as z from 'zod';
import { largest } from './limits';

/** One operation of the JSON API: where it is, what it takes and what it gives. */
export interface Operation<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType> {
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  /** Path with parameters in braces, as OpenAPI writes it. */
  path: string;
  params: P;
  query: Q;
  body: B;
  response: R;
  /** Status of success; 204 has no content. */
  status: 200 | 201 | 202 | 204;
  /** Bytes of the body at most, where it is not 1 MiB. */
  bodyLimit?: number;
  /** It answers with server-sent events, each of which has `response` as its data. */
  streams?: boolean;
  /** Milliseconds that working it out may take. */
  within?: number;
  /** Answers a whole screen: under load, typing and judging go first. */
  long?: boolean;
}
export type AnyOperation = Operation<z.ZodType, z.ZodType, z.ZodType, z.ZodType>;

export const mebibyte = 1024 * 1024;
/** Milliseconds of work after which users prefer a refusal to waiting. */
export const soon = 1500;

const none = z.undefined();
type None = typeof none;

export function operation<
  P extends z.ZodType = None,
  Q extends z.ZodType = None,
  B extends z.ZodType = None,
  R extends z.ZodType = None
>(
  [method, path]: readonly [AnyOperation['method'], string],
  shapes: {
    params?: P;
    query?: Q;
    body?: B;
    response?: R;
    status?: AnyOperation['status'];
    bodyLimit?: number;
    streams?: boolean;
    within?: number;
    long?: boolean;
  } = {}
): Operation<P, Q, B, R> {
  const status = shapes.response ? 200 : 204;
  const nothing = { params: none, query: none, body: none, response: none };
  return { method, path, status, ...nothing, ...shapes } as unknown as Operation<P, Q, B, R>;
}

const revision = z.int().min(1).max(largest);
/** A document with its revision: the one read, or the one a write is based on. */
const kept = <S extends z.ZodType>(body: S) => z.object({ body, revision });

/** Reading and writing a document that is kept whole. A write is refused with 409 if somebody else wrote it meanwhile. */
export function keptDocument<S extends z.ZodType, P extends z.ZodType = None>(
  [readAt, writeAt]: readonly [readonly ['GET', string], readonly ['PUT', string]],
  schema: S,
  shapes: { params?: P; bodyLimit?: number } = {}
) {
  const { bodyLimit, ...params } = shapes;
  return {
    read: operation(readAt, { ...params, response: kept(schema) }),
    write: operation(writeAt, {
      ...params,
      ...(bodyLimit && { bodyLimit }),
      body: kept(schema),
      response: z.object({ revision })
    })
  };
}
