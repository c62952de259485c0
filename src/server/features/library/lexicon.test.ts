import { afterAll, describe, expect, it } from 'vitest';
import { readTitle, takeUpLexicon } from '$core/titles';
import { models } from '$server/platform/database/models';
import { refusal } from '$server/testing/refusal';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { askPeople, closeThreads } from '$server/workers/people';
import { readHouseList } from './house-lists';
import { openLexicon, writeLexicon } from './lexicon';

useFreshDatabase();
const none = { functions: [], titles: [], meanings: [] };
const bees = {
  functions: [{ id: 'beekeeping', near: [], names: { en: ['beekeeping'] } }],
  titles: [{ rank: 'head', function: 'beekeeping', titles: { en: ['Hive Steward'] } }],
  meanings: [
    {
      word: 'drone',
      senses: [
        { name: 'male bee', indicators: ['hive'] },
        { name: 'aircraft', indicators: ['rotor'] }
      ]
    }
  ]
};
afterAll(() => takeUpLexicon(none));

describe('what is added to the lexicon', () => {
  it('holds here and in the threads, those that run and those started later, from when it is kept', async () => {
    const severalMeanings = async () =>
      (await askPeople('read-string', { text: 'title:drone', sets: [] })).problems.some(({ message }) =>
        /DRONE|drone/.test(message)
      );
    expect(await severalMeanings()).toBe(false);
    const { revision } = await readHouseList('lexicon');
    expect(readTitle('Hive Steward').function).toBeNull();
    await writeLexicon({ body: bees, revision });
    expect(readTitle('Hive Steward')).toMatchObject({ rank: 'head', function: 'beekeeping' });
    expect((await readHouseList('lexicon')).body).toEqual(bees);
    expect(await severalMeanings()).toBe(true);
    await closeThreads();
    expect(await severalMeanings()).toBe(true);
  });

  it('is refused where it names what is not there, or was changed elsewhere', async () => {
    const { revision } = await readHouseList('lexicon');
    const wrong = { ...bees, titles: [{ ...bees.titles[0]!, function: 'falconry' }] };
    expect(await refusal(writeLexicon({ body: wrong, revision }))).toMatchObject({ status: 422 });
    expect(await refusal(writeLexicon({ body: none, revision: revision - 1 }))).toMatchObject({ status: 409 });
    expect((await readHouseList('lexicon')).body).toEqual(bees);
  });

  it('is taken up where another server wrote it', async () => {
    await models().HouseList.update({ body: none }, { where: { name: 'lexicon' } });
    await expect.poll(() => readTitle('Hive Steward').function, { timeout: 10_000 }).toBeNull();
    await openLexicon();
  });
});
