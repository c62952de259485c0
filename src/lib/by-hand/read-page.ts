import { countOnPage, readResultPage, type PageRow } from '$core/formats';

/** What a page holds: its people, and the count with the line it came from. */
export interface PageRead {
  rows: PageRow[];
  counted: ReturnType<typeof countOnPage>;
}

export const readPage = (text: string): PageRead => ({ rows: readResultPage(text), counted: countOnPage(text) });
