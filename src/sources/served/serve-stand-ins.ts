import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { askSchema } from '../connector/protocol';
import type { IndexedSource } from '../indexed-source';
import { resultPage, searchOf } from './result-page';

export interface ServedSettings {
  /** Wanted as `Authorization: Bearer …` by the connector; null: nobody needs one. The website is open. */
  key: string | null;
  /** Whether more requests a minute than the sheet allows are refused. */
  refuses: boolean;
}

const largestBody = 1024 * 1024;

/**
 * Stand-ins as real places are met: each by the connector protocol at `/ID/sheet` and `/ID/search`, and as a small website at
 * `/ID/`, whose pages are copied by hand.
 */
export function serveStandIns(sources: readonly IndexedSource[], settings: ServedSettings): Server {
  const byId = new Map(sources.map((source) => [source.sheet.id, source]));
  const starts = new Map<string, number[]>();

  /** Milliseconds to wait before a source takes another request; 0 where it takes this one. */
  function refusal({ sheet }: IndexedSource, now = Date.now()): number {
    const { perMinute } = sheet.limits;
    if (!settings.refuses || perMinute === null) return 0;
    const times = (starts.get(sheet.id) ?? []).filter((time) => time > now - 60_000);
    starts.set(sheet.id, times);
    if (times.length >= perMinute) return times[0]! + 60_000 - now;
    times.push(now);
    return 0;
  }

  async function connector(source: IndexedSource, what: string, request: IncomingMessage, response: ServerResponse) {
    if (settings.key !== null && request.headers.authorization !== `Bearer ${settings.key}`)
      return json(response, 401, { title: 'This key is not known here' });
    if (what === 'sheet' && request.method === 'GET') return json(response, 200, source.sheet);
    if (what !== 'search' || request.method !== 'POST') return json(response, 404, { title: 'There is nothing here' });
    const ask = askSchema.safeParse(await bodyOf(request));
    if (!ask.success) return json(response, 400, { title: 'This is no search' });
    const wait = refusal(source);
    if (wait) {
      response.setHeader('retry-after', Math.ceil(wait / 1000));
      return json(response, 429, { title: 'Too many requests' });
    }
    const { said, people, last } = source.page(ask.data.search, ask.data.page);
    const { price } = source.sheet;
    const spent = price && (ask.data.page ? 0 : price.perSearch) + people.length * price.perRecord;
    json(response, 200, { count: said, people, last, ...(spent && { spent }) });
  }

  return createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://stand-ins');
    const [, id = '', what = ''] = url.pathname.split('/');
    const source = byId.get(id);
    if (!source)
      return html(response, url.pathname === '/' ? 200 : 404, resultPage.home(sources.map(({ sheet }) => sheet)));
    if (what) {
      connector(source, what, request, response).catch(() => json(response, 500, { title: 'A fault here' }));
      return;
    }
    const { search, page, asked } = searchOf(url.searchParams, source.sheet);
    html(response, 200, resultPage.of(source.sheet, url.searchParams, asked ? source.page(search, page) : null, page));
  });
}

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  const pieces: Buffer[] = [];
  let bytes = 0;
  for await (const piece of request as AsyncIterable<Buffer>) {
    bytes += piece.length;
    if (bytes > largestBody) return null;
    pieces.push(piece);
  }
  try {
    return JSON.parse(Buffer.concat(pieces).toString('utf8'));
  } catch {
    return null;
  }
}

const json = (response: ServerResponse, status: number, body: unknown): void =>
  void response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
const html = (response: ServerResponse, status: number, body: string): void =>
  void response
    .writeHead(status, {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'"
    })
    .end(body);
