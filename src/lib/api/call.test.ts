import { describe, expect, it, vi } from 'vitest';
import { ApiProblem, call, nameTab } from './call';

const answering = (status: number, body: unknown) =>
  vi.fn(async () => new Response(body === null ? null : JSON.stringify(body), { status }));
const refusedBy = async (work: Promise<unknown>) =>
  work.then(
    () => null,
    (problem: unknown) => problem as ApiProblem
  );
const sent = (fetch: ReturnType<typeof answering>) => fetch.mock.calls[0] as unknown as [string, RequestInit];

describe('a call of the API', () => {
  it('puts names into the address and the rest behind it, so that none can be mistaken', async () => {
    const fetch = answering(200, { ok: true });
    await call('readTrial', { params: { id: 'a/b', trial: '?&' }, query: { q: 'küche & co', n: 2 }, fetch });
    const [address, { method, headers }] = sent(fetch);
    expect(address).toBe('/api/briefs/a%2Fb/trials/%3F%26?q=k%C3%BCche+%26+co&n=2');
    expect(method).toBe('GET');
    // What a page is made with is asked alike on the server and in the browser, so that it is asked once.
    expect(headers).toBeUndefined();
  });

  it('sends what is typed as JSON, and a file as it is', async () => {
    const typed = answering(200, {});
    await call('createBrief', { body: { name: 'Küche "1"' } as never, fetch: typed });
    expect(sent(typed)[1]).toMatchObject({
      method: 'POST',
      body: '{"name":"Küche \\"1\\""}',
      headers: { 'content-type': 'application/json' }
    });
    const file = new Blob(['a;b']);
    const given = answering(200, {});
    await call('receiveFile', { query: { name: 'people.csv' }, file, fetch: given } as never);
    expect(sent(given)[1]).toMatchObject({ body: file, headers: { 'content-type': 'application/octet-stream' } });
  });

  it('tells this page from others, the same in every call', async () => {
    const fetch = answering(200, []);
    nameTab();
    await call('listBriefs', { fetch });
    await call('listBriefs', { fetch });
    const pages = fetch.mock.calls.map((one) => (one as unknown as [string, { headers: object }])[1].headers);
    expect(pages[0]).toEqual(pages[1]);
    expect(Object.values(pages[0]!)[0]).toMatch(/^[a-z0-9]{6,}$/);
  });

  it('answers with nothing where there is nothing to say', async () => {
    expect(await call('deleteBrief', { params: { id: 'x' }, fetch: answering(204, null) } as never)).toBeUndefined();
  });

  it('is refused with the sentence of the server, its title and what else it tells', async () => {
    const body = { title: 'Changed meanwhile', detail: 'Somebody else kept this.', revision: 4 };
    const problem = await refusedBy(call('listBriefs', { fetch: answering(409, body) }));
    expect(problem).toBeInstanceOf(ApiProblem);
    expect(problem).toMatchObject({
      status: 409,
      title: 'Changed meanwhile',
      message: 'Somebody else kept this.',
      body
    });
    const silent = await refusedBy(call('listBriefs', { fetch: answering(500, {}) }));
    expect(silent).toMatchObject({ status: 500, title: 'Refused', message: 'The server refused this request.' });
  });

  it('says that nobody answers, whether the line is dead or something else speaks', async () => {
    const dead = vi.fn(async () => Promise.reject(new TypeError('fetch failed')));
    expect(await refusedBy(call('listBriefs', { fetch: dead }))).toMatchObject({
      status: 0,
      message: expect.stringMatching(/Couldn’t reach.*your changes stay/)
    });
    const page = vi.fn(async () => new Response('<html>Bad gateway</html>', { status: 502 }));
    expect(await refusedBy(call('listBriefs', { fetch: page }))).toMatchObject({ status: 0 });
  });

  it('that is given up is no fault of the server', async () => {
    const given = new AbortController();
    const waits = vi.fn(
      (_: unknown, { signal }: { signal?: AbortSignal } = {}) =>
        new Promise<Response>((_, reject) => signal!.addEventListener('abort', () => reject(signal!.reason as Error)))
    );
    const asked = refusedBy(call('listBriefs', { signal: given.signal, fetch: waits as never }));
    given.abort();
    expect((await asked)!.name).toBe('AbortError');
  });
});
