import type { RequestEvent } from '@sveltejs/kit';
import { describe, expect, it } from 'vitest';
import { contract } from '$api';
import { apiRouter } from './api-router';
import type { Handlers } from './handlers';

/** Handlers that say which operation they are, and what they were given. */
const named = Object.fromEntries(
  Object.keys(contract).map((name) => [
    name,
    { raw: async ({ params }: { params: unknown }) => Response.json({ name, params }) }
  ])
) as unknown as Handlers;
const answer = apiRouter(named);

const ask = (method: string, path: string) => {
  const url = new URL(path, 'http://127.0.0.1');
  const locals: App.Locals = { requestId: '1' };
  return answer({ url, locals, request: new Request(url, { method }) } as unknown as RequestEvent);
};

const id = '6f1f6c50-0f1b-4f0e-9c53-3d0cf9d2a111';

describe('the router of the API', () => {
  it('finds every operation of the contract at its method and path', async () => {
    for (const [name, { method, path }] of Object.entries(contract)) {
      const response = await ask(method, path.replaceAll(/\{\w+\}/g, '1'));
      // A parameter that its schema refuses was found, too.
      if (response.status === 200) expect(await response.json()).toMatchObject({ name });
      else expect(response.status, name).toBe(422);
    }
  });

  it('decodes parameters of a path, slashes included', async () => {
    const response = await ask('DELETE', '/api/column-profiles/cold%2Fchain%20%C3%A9');
    expect(await response.json()).toEqual({ name: 'deleteProfile', params: { name: 'cold/chain é' } });
  });

  it('answers HEAD as GET, without the body', async () => {
    const response = await ask('HEAD', `/api/briefs/${id}`);
    expect(response.status).toBe(200);
    expect(await response.text()).toBe('');
  });

  it('says which methods a path takes', async () => {
    const response = await ask('POST', `/api/briefs/${id}`);
    expect(response.status).toBe(405);
    expect(response.headers.get('allow')).toBe('GET, PATCH, DELETE, HEAD');
    expect(await response.json()).toMatchObject({ title: 'Not offered' });
    expect((await ask('DELETE', '/api/openapi.json')).headers.get('allow')).toBe('GET, HEAD');
  });

  it('describes every kind of problem at the address that is its type', async () => {
    const { type } = (await (await ask('GET', '/api/nothing')).json()) as { type: string };
    expect(await (await ask('GET', type)).json()).toEqual({
      code: 'no-such-address',
      status: 404,
      title: 'Not found'
    });
    expect((await ask('GET', '/api/problems/none-such')).status).toBe(404);
  });

  it('says that there is nothing at any other path', async () => {
    for (const path of ['/api', '/api/', `/api/briefs/${id}/nothing`, '/api/../x'])
      expect((await ask('GET', path)).status, path).toBe(404);
  });
});
