import type { Interval } from '../measure/wilson';
import { middleOf } from '../measure/estimate';

/** What is to be done with a search whose count is known: all its pages are read, or it is cut first. */
export type NextStep = 'read' | 'cut';

/**
 * Whether a search is to be cut, by the count that the source reports and what it shows of a long result (`most`, null where
 * it shows everybody). Where the count may represent either, what is likelier is done first: a search that turns out too long when it
 * has been read is cut then.
 */
export const nextStep = (reported: Interval, most: number | null): NextStep =>
  most === null || reported.high <= most || middleOf(reported) <= most ? 'read' : 'cut';
