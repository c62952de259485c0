import { describe, expect, it, vi } from 'vitest';
import { asking } from './load';

const answering = (status: number, body: unknown) =>
  vi.fn(async () => new Response(JSON.stringify(body), { status })) as unknown as typeof fetch;
const thrownBy = (work: Promise<unknown>) =>
  work.then(
    () => null,
    (problem: { status?: number; body?: { message: string }; message?: string }) => problem
  );

describe('a page that loads', () => {
  it('is given what the API answers', async () => {
    expect(await asking(answering(200, [{ id: 'a' }]))('listBriefs')).toEqual([{ id: 'a' }]);
  });

  it('becomes the screen of what is refused, with its sentence', async () => {
    const gone = answering(404, { title: 'Not found', detail: 'This brief is not there any more.' });
    expect(await thrownBy(asking(gone)('readBrief', { params: { id: 'x' } }))).toMatchObject({
      status: 404,
      body: { message: 'This brief is not there any more.' }
    });
  });

  it('says that nobody answers as a service that is away', async () => {
    const dead = vi.fn(async () => Promise.reject(new TypeError('fetch failed'))) as unknown as typeof fetch;
    expect(await thrownBy(asking(dead)('listBriefs'))).toMatchObject({
      status: 503,
      body: { message: expect.stringMatching(/Couldn’t reach/) }
    });
  });

  it('that is left is no refusal', async () => {
    const left = vi.fn(async () => {
      throw Object.assign(new Error('left'), { name: 'AbortError' });
    }) as unknown as typeof fetch;
    expect(await thrownBy(asking(left)('listBriefs'))).toMatchObject({ message: 'left' });
  });
});
