import { AsyncLocalStorage } from 'node:async_hooks';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { database } from '$server/platform/database/connection';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief, readDocument, writeDocument } from '$server/features/briefs/briefs';
import { listBriefs, readBrief } from '$server/features/trials/brief-overview';
import { boardFor } from '$server/features/comparing/board';
import { reportOf } from '$server/features/comparing/report';
import { listWordSets } from '$server/features/library/word-sets';
import { listSources, openSources } from '$server/features/sources/sources';
import { keepVersion, listVersions } from '$server/features/trials/versions';
import { listJudges } from '$server/features/trials/judges';
import { listTrials, readTrial, runTrial } from '$server/features/trials/trials';
import { giveVerdict } from '$server/features/trials/verdicts';

useFreshDatabase();
let id: string;
let trial: Awaited<ReturnType<typeof readTrial>>;
beforeAll(async () => {
  await openSources();
  id = (await createBrief('Counted')).id;
  for (const text of ['title:QA', 'title:(QA OR "quality manager")', 'title:"quality manager"']) {
    const { number } = await keepVersion(id, text);
    for (const sourceId of ['harrow-guild', 'quillbank']) trial = await runTrial(id, number, sourceId, 20);
  }
  await writeDocument(id, 'choice', {
    body: { baseline: 1, certainOnly: false, winners: [{ sourceId: 'quillbank', version: 3, note: '' }] },
    revision: 1
  });
  for (let i = 0; i < 30; i++) await createBrief(`Another ${i}`);
});

const asking = new AsyncLocalStorage<string[]>();

/**
 * The statements that some work sends to the database. Only its own: what the server does beside it in the same
 * moment (a job that ends, a look at what is due) is not the page's, and comes when it likes.
 */
async function statements(work: () => Promise<unknown>): Promise<string[]> {
  const sent: string[] = [];
  const { query } = database();
  const watch = vi.spyOn(database(), 'query').mockImplementation(function (this: unknown, ...asked: unknown[]) {
    const [what] = asked as [string | { query: string }];
    asking.getStore()?.push(typeof what === 'string' ? what : what.query);
    return Reflect.apply(query, this, asked) as never;
  } as never);
  try {
    await asking.run(sent, work);
    return sent;
  } finally {
    watch.mockRestore();
  }
}

let judged = 0;
/** Something changes, so that nothing can be told from what was read before. */
const changes = () =>
  giveVerdict(id, {
    sourceId: trial.sourceId,
    personId: trial.sample[judged++]!.person.id,
    verdict: 'fit',
    reason: '',
    revision: 0
  });

const pages: Record<string, () => Promise<unknown>> = {
  briefs: listBriefs,
  persona: () => Promise.all([readBrief(id), readDocument(id, 'persona'), listSources(), readDocument(id, 'wording')]),
  string: () =>
    Promise.all([
      readBrief(id),
      readDocument(id, 'draft'),
      listVersions(id),
      listSources(),
      readDocument(id, 'wording'),
      listWordSets(),
      readDocument(id, 'persona')
    ]),
  trial: () =>
    Promise.all([
      readBrief(id),
      listTrials(id),
      listSources(),
      listVersions(id),
      readDocument(id, 'persona'),
      readDocument(id, 'wording'),
      readTrial(id, trial.id),
      listJudges(id)
    ]),
  compare: () =>
    Promise.all([
      readBrief(id),
      listVersions(id),
      listTrials(id),
      listSources(),
      readDocument(id, 'choice'),
      boardFor(id)
    ]),
  report: () => Promise.all([readBrief(id), reportOf(id)])
};

describe('what a page asks of the database', () => {
  it.each([
    ['briefs', 1, 1],
    ['persona', 6, 5],
    ['string', 12, 11],
    ['trial', 17, 16],
    ['compare', 12, 11],
    ['report', 9, 8]
  ])('%s: at most %i statements after a change, %i when nothing has changed', async (page, changed, same) => {
    await pages[page]!();
    await changes();
    for (const most of [changed, same]) {
      const sent = await statements(pages[page]!);
      expect(sent.length, sent.join('\n')).toBeGreaterThan(0);
      expect(sent.length, sent.join('\n')).toBeLessThanOrEqual(most);
    }
  });
});
