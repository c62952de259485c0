import { lexiconFault, type OwnLexicon } from '$core/titles';
import { onChange } from '$server/platform/changes';
import { log } from '$server/platform/log';
import { refuse } from '$server/platform/refusals';
import { spreadLexicon } from '$server/workers/own-lexicon';
import { readHouseList, writeHouseList } from './house-lists';

/** Takes up what the users added to the lexicon, here and in all threads. */
export async function openLexicon(): Promise<void> {
  spreadLexicon((await readHouseList('lexicon')).body);
}

/** Writes what the users added, if nobody has since `revision`. Refuses what names a rank or function that is not there. */
export async function writeLexicon(given: { body: OwnLexicon; revision: number }) {
  const fault = lexiconFault(given.body);
  if (fault) throw refuse('not-in-lexicon', fault);
  const reply = await writeHouseList('lexicon', given);
  await openLexicon();
  return reply;
}

// Another server may have written it, or the line was cut while one did.
onChange(({ of }) => {
  if (of === 'lexicon' || of === 'anything')
    void openLexicon().catch((error: unknown) => log().warn({ err: error }, 'the lexicon was not read'));
});
