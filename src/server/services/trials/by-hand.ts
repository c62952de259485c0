import { randomUUID } from 'node:crypto';
import { personFromPageRow, type PageRow } from '$core/formats';
import { type Interval, hashText } from '$core/measure';
import { firmKey, isRoleMailbox, plainName } from '$core/people';
import { database } from '../../database/connection';
import { models } from '../../database/models';
import { Refusal } from '../../refusal';
import { askPeople } from '../../workers/people';
import { findBrief, readDocument } from '../briefs/briefs';
import { findSource } from '../sources/sources';
import { readTrial } from './trials';
import { findVersion, keepVersion, versionString } from '../strings/versions';

/** What a person brings back from a place they ran a search at: the count they saw, and the rows they copied. */
export interface HandAnswer {
  said: number;
  interval: Interval;
  rows: Pick<PageRow, 'values'>[];
}

/** The same name at the same firm with the same mail is the same person, whenever it is pasted. */
const idOf = ({ values }: Pick<PageRow, 'values'>) => {
  const key = [
    plainName(values.name ?? ''),
    firmKey(values.company ?? ''),
    values.mail && !isRoleMailbox(values.mail) ? values.mail.trim().toLowerCase() : ''
  ].join('|');
  return `hand-${hashText(key).toString(36)}${hashText(`${key}/2`).toString(36)}`;
};

/** Keeps a string as a version and, as its trial at a place run by hand, what came back: one answer for each search, in order. */
export async function recordByHand(
  briefId: string,
  text: string,
  parent: number | null,
  sourceId: string,
  answers: readonly HandAnswer[]
) {
  const [{ personaId }, source] = await Promise.all([findBrief(briefId), findSource(sourceId)]);
  if (source.kind !== 'by-hand')
    throw new Refusal(409, 'Not run by hand', `${source.name} is asked by Eave itself: run the string there.`);
  const { number } = await keepVersion(briefId, text, parent);
  const version = await findVersion(briefId, number);
  const rendering = await askPeople('render', { ...versionString(version), sheet: source.sheet });
  if (answers.length !== rendering.searches.length)
    throw new Refusal(
      409,
      'Another search',
      `This string makes ${rendering.searches.length} searches at ${source.name}, and answers to ${answers.length} came. Copy the searches again.`
    );
  const told = answers.map(({ said, interval, rows }) => ({
    said: Math.max(said, rows.length),
    interval: { low: Math.max(interval.low, rows.length), high: Math.max(interval.high, rows.length) },
    people: rows.flatMap((row) => personFromPageRow(row, idOf(row)) ?? [])
  }));
  const { body: contacted } = await readDocument(briefId, 'contacted');
  const seed = `${personaId}/${sourceId}`;
  const sampleSize = 40;
  const outcome = await askPeople('gather', {
    sheet: source.sheet,
    rendering,
    answers: told,
    size: sampleSize,
    seed,
    contacted,
    drawn: []
  });
  const id = randomUUID();
  await database().transaction(async (transaction) => {
    const { Trial, TrialPage, TrialPerson } = models();
    await Trial.create(
      {
        id,
        versionId: version.id,
        sourceId,
        seed,
        rendering,
        answers: outcome.answers,
        filtered: outcome.filtered,
        contacted: outcome.contacted,
        found: outcome.found,
        open: outcome.open,
        duplicates: outcome.duplicates,
        sampleSize
      },
      { transaction }
    );
    await TrialPage.bulkCreate(
      told.map(({ said, people }, search) => ({ trialId: id, search, page: 0, said, last: true, people })),
      { transaction }
    );
    await TrialPerson.bulkCreate(
      outcome.sample.map(({ rank, person }) => ({ trialId: id, rank, personId: person.id, person })),
      { transaction }
    );
  });
  return readTrial(briefId, id);
}
