import { countOnPage, readResultPage, type PageRow } from '$core/formats';

/** What stands on a page: the people, and the count with the line that tells it. */
export interface PageRead {
  rows: PageRow[];
  counted: ReturnType<typeof countOnPage>;
}

export const readPage = (text: string): PageRead => ({ rows: readResultPage(text), counted: countOnPage(text) });
