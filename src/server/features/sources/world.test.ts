import { beforeAll, describe, expect, it } from 'vitest';
import { standInSheets } from '$core/dialect';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { askPeople } from '$server/workers/people';
import { models } from '$server/platform/database/models';
import { openSources, readySource } from './sources';
import { moveWorld, readWorld } from './world';

useFreshDatabase();
beforeAll(openSources);

const register = standInSheets.find(({ id }) => id === 'marlow-register')!.id;
async function everybody() {
  await readySource(register);
  const { people } = await askPeople('page', {
    sourceId: register,
    search: { boxes: { [standInSheets.find(({ id }) => id === register)!.boxes[0]!.id]: 'quality' }, facts: [] },
    page: 0
  });
  return people;
}

describe('the world of the stand-ins', () => {
  it('moves on by a step, for everybody who asks from then on, and back to its first day', async () => {
    expect(await readWorld()).toEqual({ day: 0, date: '2026-11-01', isLast: false });
    const first = await everybody();
    expect(await moveWorld({ from: 0, step: 'month' })).toEqual({ day: 30, date: '2026-12-01', isLast: false });
    let day = 30;
    while (day < 92) ({ day } = await moveWorld({ from: day, step: 'month' }));
    const later = await everybody();
    expect(first.length).toBeGreaterThan(5);
    expect(later).not.toEqual(first);
    const source = (await models().Source.findByPk(register))!;
    expect(source).toMatchObject({ worldDay: 92, peopleRevision: 3 });
    await moveWorld({ from: 92, step: 'first day' });
    expect(await everybody()).toEqual(first);
  });

  it('is not moved by one who took it to be at another day', async () => {
    await expect(moveWorld({ from: 30, step: 'week' })).rejects.toMatchObject({ status: 409 });
    const both = await Promise.allSettled([moveWorld({ from: 0, step: 'day' }), moveWorld({ from: 0, step: 'day' })]);
    expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
    expect((await readWorld()).day).toBe(1);
    await everybody();
  });
});
