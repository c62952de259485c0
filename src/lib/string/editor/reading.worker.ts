import { render, writeText } from '$core/dialect';
import { layOut, print, setQueries } from '$core/language';
import { readString, sourceProblems } from '$core/lint';
import { describe, simplify } from '$core/semantics';
import { takeUpLexicon, type OwnLexicon } from '$core/titles';
import type { ReadingAnswer, ReadingQuestion } from './reading-messages';

let latest = 0;

/** Reads a string in full and translates it for every sheet, one answer at a time; stops when a newer one has come. */
async function work({ id, text, sets, sheets }: ReadingQuestion): Promise<void> {
  const tell = (answer: ReadingAnswer) => postMessage(answer);
  const { query, problems } = readString(text, setQueries(sets));
  const shorter = query && !sets.length && !text.includes('/*') ? simplify(query) : null;
  tell({
    id,
    kind: 'read',
    problems,
    description: query ? describe(query) : '',
    shorter: shorter && print(shorter).length < print(query!).length ? layOut(shorter) : null
  });
  // What has errors is not what its writer means: it is translated for nobody.
  const hasErrors = problems.some(({ severity }) => severity === 'error');
  for (const sheet of query && !hasErrors ? sheets : []) {
    await new Promise((later) => setTimeout(later));
    if (id !== latest) return;
    const rendering = render(query!, sheet);
    tell({
      id,
      kind: 'rendered',
      sourceId: sheet.id,
      rendering,
      copy: writeText(rendering.searches, sheet),
      problems: sourceProblems(text, query!, sheet, rendering)
    });
  }
  tell({ id, kind: 'done' });
}

addEventListener('message', ({ data }: MessageEvent<ReadingQuestion | { lexicon: OwnLexicon }>) => {
  if ('lexicon' in data) return takeUpLexicon(data.lexicon);
  latest = data.id;
  void work(data);
});
