import { countOnPage, readResultPage } from '$core/formats';
import { takeUpLexicon } from '$core/titles';
import type { PageQuestion, PageRead } from './page-reader';

addEventListener('message', ({ data: { id, text, lexicon } }: MessageEvent<PageQuestion>) => {
  if (lexicon) takeUpLexicon(lexicon);
  postMessage({ id, rows: readResultPage(text), counted: countOnPage(text) } satisfies PageRead & { id: number });
});
