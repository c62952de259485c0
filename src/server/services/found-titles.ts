import { matcher, type Query, tokenKeys } from '$core/query';
import { models } from '../database/models';
import { findBrief, readDocument } from './briefs';

const phrase = (text: string): Query => ({ kind: 'phrase', scope: 'title', text });

/** Titles that people judged fit carry and no wording in use covers, the most frequent first, with the people behind each. */
export async function foundTitles(briefId: string) {
  const { personaId } = await findBrief(briefId);
  const { Verdict, TrialPerson, Trial, Version } = models();
  const [wording, fits, versions] = await Promise.all([
    readDocument(briefId, 'wording'),
    Verdict.findAll({ where: { personaId, verdict: 'fit' } }),
    Version.findAll({ where: { briefId } })
  ]);
  const trials = await Trial.findAll({ where: { versionId: versions.map(({ id }) => id) } });
  const sampled = await TrialPerson.findAll({
    where: { trialId: trials.map(({ id }) => id), personId: fits.map(({ personId }) => personId) }
  });
  const inUse = wording.body.flatMap((set) => set.wordings.filter((one) => one.inUse && tokenKeys(one.text).length));
  const covers = inUse.map(({ text }) => matcher(phrase(text)));
  const people = new Map(sampled.map(({ person }) => [person.id, person]));
  const found = new Map<string, { title: string; people: { name: string; company: string }[] }>();
  for (const person of people.values()) {
    if (covers.some((covered) => covered(person))) continue;
    const job = person.jobs?.find(({ to }) => !to);
    const key = job && tokenKeys(job.title).join(' ');
    if (!job || !key) continue;
    const entry = found.get(key) ?? { title: job.title, people: [] };
    entry.people.push({ name: person.name, company: job.company });
    found.set(key, entry);
  }
  return [...found.values()].sort((a, b) => b.people.length - a.people.length).slice(0, 100);
}
