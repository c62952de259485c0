import type { Sheet } from '$core/dialect';
import { readPage, readSheet, type ServicePage } from '$sources/connector/connector';
import { ServiceFault } from '$sources/connector/service-fault';
import { doEach } from './one-thing';

/** The text that a connected service answered, and what it should be. */
export interface AnswerTask {
  what: 'sheet' | 'page';
  text: string;
}
/** What was read, or a sentence that says what is wrong with it. */
export type AnswerRead = { sheet?: Sheet; page?: ServicePage } | { fault: string };

/** Reads answers of connected services away from the thread that serves pages: up to 8 MiB that a stranger sent. */
doEach(async ({ what, text }: AnswerTask): Promise<AnswerRead> => {
  try {
    return what === 'sheet' ? { sheet: await readSheet(text) } : { page: await readPage(text) };
  } catch (error) {
    if (error instanceof ServiceFault) return { fault: error.message };
    throw error;
  }
});
