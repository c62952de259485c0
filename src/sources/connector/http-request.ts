import { request as plain, type IncomingMessage } from 'node:http';
import { request as secure } from 'node:https';
import { TimedOut } from '../faults';
import { lookUpPublic, PrivateAddress, refusePrivate } from './address';
import { largestAnswer } from './protocol';
import { ServiceFault } from './service-fault';

export interface HttpAnswer {
  status: number;
  headers: IncomingMessage['headers'];
  text: string;
}
export interface HttpAsk {
  method: 'GET' | 'POST';
  url: URL;
  headers: Record<string, string>;
  body?: string;
  /** Whether addresses of private networks and of this machine may be asked. */
  allowPrivate: boolean;
  /** Milliseconds until the last byte of the answer. */
  time: number;
  signal?: AbortSignal;
}

/**
 * One request, with its whole answer as text. Never follows to another address; ends at the limits of time and size. Throws
 * TimedOut, or a ServiceFault with a sentence.
 */
export function askHttp({ method, url, headers, body, allowPrivate, time, signal }: HttpAsk): Promise<HttpAnswer> {
  return new Promise((done, failed) => {
    const fail = (error: Error) => {
      clearTimeout(timer);
      request?.destroy();
      failed(error);
    };
    // A service that sends a byte now and then is as late as one that sends none.
    const timer = setTimeout(() => fail(new TimedOut()), time);
    let request: ReturnType<typeof plain> | undefined;
    try {
      if (!allowPrivate) refusePrivate(url);
      request = (url.protocol === 'https:' ? secure : plain)(url, {
        method,
        headers: { accept: 'application/json', ...headers, ...(body && { 'content-length': Buffer.byteLength(body) }) },
        agent: false,
        ...(!allowPrivate && { lookup: lookUpPublic }),
        ...(signal && { signal })
      });
    } catch (error) {
      return fail(faultOf(error, url));
    }
    request.on('error', (error) => fail(faultOf(error, url)));
    request.on('response', (response) => {
      const pieces: Buffer[] = [];
      let bytes = 0;
      response.on('data', (piece: Buffer) => {
        bytes += piece.length;
        if (bytes > largestAnswer)
          fail(new ServiceFault(`It sent more than ${largestAnswer / 1024 / 1024} MiB for one page.`, false));
        else pieces.push(piece);
      });
      response.on('aborted', () => fail(new ServiceFault('It broke off in the middle of an answer', true)));
      response.on('error', (error) => fail(faultOf(error, url)));
      response.on('end', () => {
        clearTimeout(timer);
        if (!response.complete) return fail(new ServiceFault('It broke off in the middle of an answer', true));
        done({
          status: response.statusCode ?? 0,
          headers: response.headers,
          text: Buffer.concat(pieces).toString('utf8')
        });
      });
    });
    request.end(body);
  });
}

/** What a failed request was, in a sentence; nothing of what was sent is in it. */
function faultOf(error: unknown, { host }: URL): Error {
  if (error instanceof PrivateAddress) return new ServiceFault(error.message, false);
  const { code = '', name } = error as { code?: string; name?: string };
  if (name === 'AbortError') return error as Error;
  if (code === 'ENOTFOUND') return new ServiceFault(`There is no address ${host}`, true);
  if (code === 'ECONNREFUSED') return new ServiceFault(`Nothing answers at ${host}`, true);
  if (/CERT|SSL|TLS/.test(code))
    return new ServiceFault(
      `The certificate of ${host} cannot be trusted (${code}). Its owner has to renew it.`,
      false
    );
  return new ServiceFault(`The line to ${host} broke${code && ` (${code})`}`, true);
}
