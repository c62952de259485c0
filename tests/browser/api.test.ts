import { describe, expect, inject, it } from 'vitest';
import { api } from './browser';

interface ListedScopes {
  type: string;
  title: string;
  status: number;
  detail: string;
}

/** Sends something awkward to the running application and gives the problem it answers with. */
async function refusal(
  method: string,
  path: string,
  body?: string,
  headers: Record<string, string> = { 'content-type': 'application/json' }
) {
  const response = await fetch(`${inject('address')}/api${path}`, {
    method,
    ...(body !== undefined && { body, headers })
  });
  expect(response.headers.get('content-type')).toBe('application/problem+json');
  const received = (await response.json()) as ListedScopes;
  expect(received.status).toBe(response.status);
  expect(received.detail.length).toBeGreaterThan(15);
  return received;
}
const brief = async () => (await api<{ id: string }>('POST', '/briefs', { name: 'API' })).id;
const parse = (text: string) =>
  api<{ query: unknown; printed: string | null; problems: { code: string; message: string }[] }>('POST', '/parse', {
    text
  });

describe('the API, given awkward input', () => {
  it('answers every refusal as a problem with a sentence', async () => {
    const id = await brief();
    const nobody = '00000000-0000-4000-8000-000000000000';
    expect((await refusal('GET', '/nothing-here')).status).toBe(404);
    expect((await refusal('DELETE', '/briefs')).status).toBe(405);
    expect((await refusal('GET', `/briefs/${nobody}`)).status).toBe(404);
    expect((await refusal('GET', '/briefs/not-an-id')).status).toBe(422);
    expect((await refusal('POST', '/briefs', '{oops')).title).toBe('Not JSON');
    expect((await refusal('POST', '/briefs', '[]')).status).toBe(422);
    expect((await refusal('POST', '/briefs', '{"name":"   "}')).detail).toContain('A brief needs a name.');
    expect((await refusal('POST', '/briefs', JSON.stringify({ name: 'x'.repeat(201) }))).detail).toContain(
      'at most 200'
    );
    expect(
      (await refusal('PUT', `/briefs/${id}/persona`, '{"body":{"size":{"from":"fifty","to":null}},"revision":1}'))
        .detail
    ).toContain('is written in digits');
    expect((await refusal('GET', `/briefs/${id}/compare?versions=one`)).detail).toContain(
      'Write version numbers with commas'
    );
    expect((await refusal('POST', `/briefs/${id}/trials`, '{"version":9,"sourceId":"harrow-guild"}')).detail).toContain(
      'Version 9'
    );
    expect((await refusal('DELETE', '/sources/harrow-guild')).detail).toContain('ships with Eave');
    expect((await refusal('GET', `/imports/${nobody}`)).status).toBe(404);
  });

  it('refuses strings that cannot be run and says why', async () => {
    const id = await brief();
    const run = (text: string) => refusal('POST', `/briefs/${id}/versions`, JSON.stringify({ text }));
    expect((await run('title:(QA')).detail).toContain('never closed');
    expect((await run('(')).detail).toContain('never closed');
    expect((await run('\u0000\u0001')).title).toBe('The string is empty');
    expect((await run('quality '.repeat(9000))).detail).toContain('the limit is 64 KiB');
    expect((await run('('.repeat(10_000))).detail).toContain('more than 200 levels');
    expect((await run('headcount:[fifty TO 200]')).detail).toContain('isn’t a number');
  });

  it('reads any text, and stays up', async () => {
    expect((await parse('('.repeat(10_000))).problems[0]!.code).toBe('too-deep');
    expect((await parse('a\u0000b\u0007')).printed).toBe('a AND b');
    expect((await parse('')).query).toBeNull();
    expect((await parse('“cold chain” –x')).printed).toBe('"cold chain" NOT x');
    expect(await api<unknown[]>('GET', '/briefs')).toBeInstanceOf(Array);
  });

  it('says when a text holds what the database cannot keep', async () => {
    const id = await brief();
    const received = await refusal(
      'PUT',
      `/briefs/${id}/draft`,
      JSON.stringify({ body: { text: 'a \u0000 b' }, revision: 1 })
    );
    expect(received).toMatchObject({ status: 422 });
    expect(received.detail).toContain('can’t be saved');
    // Half of a sign, as a text cut in the middle of one ends with, is kept as the sign for what cannot be shown.
    await api('PUT', `/briefs/${id}/draft`, { body: { text: 'title:"❄️ \ud83e" 🧊' }, revision: 1 });
    const kept = await api<{ body: { text: string } }>('GET', `/briefs/${id}/draft`);
    expect(kept.body.text).toBe('title:"❄️ \ufffd" 🧊');
  });

  it('says when what a verdict or a note belongs to is not there', async () => {
    const id = await brief();
    const on = { sourceId: 'deleted', personId: 'x', revision: 0 };
    for (const [path, body] of [
      ['verdicts', { ...on, verdict: 'fit', reason: '' }],
      ['notes', { ...on, text: 'Called once.' }],
      ['judges/second', { ...on, verdict: 'fit', reason: '' }]
    ] as const) {
      const received = await refusal('PUT', `/briefs/${id}/${path}`, JSON.stringify(body));
      expect(received).toMatchObject({ status: 404, title: 'No longer there' });
      expect(received.detail).toContain('Reload the page');
    }
  });
});

describe('the API, as the screens use it', () => {
  it('translates and counts a string', async () => {
    const text = 'title:("head of quality" OR QA) NOT software';
    const rendering = await api<{ exactness: string; searches: { boxes: object }[] }>('POST', '/render', {
      text,
      sourceId: 'harrow-guild'
    });
    expect(rendering).toMatchObject({
      exactness: 'exact',
      searches: [{ boxes: { title: '"head of quality" OR QA', profile: 'NOT software' } }]
    });
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Counted by the API' });
    const ledger = await api<{
      found: { estimated: { possible: { low: number; high: number } } };
      rows: { certain: unknown[]; possible: { path: number[] }[] };
    }>('POST', `/briefs/${id}/ledger`, { text, sourceId: 'harrow-guild' });
    const { low, high } = ledger.found.estimated.possible;
    expect(low).toBeLessThanOrEqual(high);
    expect(ledger.rows.certain).toEqual(ledger.rows.possible);
    expect(ledger.rows.possible.map(({ path }) => path)).toEqual([[], [0], [0, 0], [0, 1], [1]]);
  });

  it('describes itself', async () => {
    const document = await api<{ openapi: string; paths: Record<string, unknown> }>('GET', '/openapi.json');
    expect(document.openapi).toBe('3.1.0');
    expect(Object.keys(document.paths)).toContain('/api/briefs/{id}/trials');
  });

  it('imports a file in the background and tells how far it is', async () => {
    const response = await fetch(`${inject('address')}/api/imports?name=p.csv`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: 'name,title\nAnn,QA\nBo,RP\n'
    });
    const job = (await response.json()) as { id: string; state: string };
    expect(job.state).toBe('ready');
    await api('POST', `/imports/${job.id}/start`, { name: 'From the API', mapping: ['name', 'title'] });
    let now = job;
    while (now.state !== 'done') {
      now = await api('GET', `/imports/${job.id}`);
      expect(['running', 'done']).toContain(now.state);
    }
    const sources = await api<{ id: string; name: string; people: number }[]>('GET', '/sources');
    expect(sources.find(({ name }) => name === 'From the API')).toMatchObject({ people: 2 });
    await api('DELETE', `/sources/file-${job.id}`);
  });
});
