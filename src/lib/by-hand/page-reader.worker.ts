import { takeUpLexicon } from '$core/titles';
import type { PageQuestion } from './page-reader';
import { readPage, type PageRead } from './read-page';

addEventListener('message', ({ data: { id, text, lexicon } }: MessageEvent<PageQuestion>) => {
  if (lexicon) takeUpLexicon(lexicon);
  postMessage({ id, ...readPage(text) } satisfies PageRead & { id: number });
});
