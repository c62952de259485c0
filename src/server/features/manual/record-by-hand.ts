import type { PageRow } from '$core/formats';
import type { Interval } from '$core/measure';
import { refuse } from '$server/platform/refusals';
import { findBrief } from '$server/features/briefs/briefs';
import { findSource } from '$server/features/sources/sources';
import { findVersion, keepVersion } from '$server/features/trials/versions';
import { readTrial } from '$server/features/trials/trials';
import { changeDiary, writeEntry } from './diary';
import { handSearchFor } from './hand-trial';
import { byHandOnly } from './read-diary';

/** What a person brings back from one search at a place: the count they saw, and the rows they copied. */
export interface HandAnswer {
  said: number;
  interval: Interval;
  rows: Pick<PageRow, 'values'>[];
}

/** Keeps a string as a version and writes what came back into its diary at a place run by hand: one answer for each search, in order. Gives the trial that follows from all that is there. */
export async function recordByHand(
  briefId: string,
  text: string,
  parent: number | null,
  sourceId: string,
  answers: readonly HandAnswer[]
) {
  const [brief, source] = await Promise.all([findBrief(briefId), findSource(sourceId).then(byHandOnly)]);
  const { number } = await keepVersion(briefId, text, parent);
  const version = await findVersion(briefId, number);
  const place = await handSearchFor(brief, version, source);
  const { searches } = place.rendering;
  if (answers.length !== searches.length)
    throw refuse('searches-changed', searches.length, source.name, answers.length);
  const trialId = await changeDiary(place, async (transaction) => {
    const written = [];
    for (const [search, { said, interval, rows }] of answers.entries())
      written.push(
        await writeEntry(place, search, { said: String(said), page: null, rows }, transaction, {
          count: { said, interval, open: false }
        })
      );
    return written;
  });
  return readTrial(briefId, trialId!);
}
