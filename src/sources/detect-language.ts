import type { Person } from '$core/people';

/** Letters that a text needs: shorter ones are taken for a neighbour's language too often. */
const least = 40;

/** What people say of themselves and their work. */
const textOf = ({ about, jobs = [] }: Person): string =>
  [about, ...jobs.map(({ text }) => text)].filter(Boolean).join('\n');

/**
 * The same person with the language of their profile read out of what it says, and marked as read, where it is not listed. What
 * is too short or could be several is left open. By the n-grams of ELD (Efficient Language Detector), loaded when first needed.
 */
export async function withLanguageRead(person: Person): Promise<Person> {
  if (person.language !== undefined) return person;
  const text = textOf(person);
  if (text.replaceAll(/[^\p{L}]/gu, '').length < least) return person;
  const { eld } = await import('eld/extrasmall');
  const found = eld.detect(text.slice(0, 2000));
  if (!found.language || !found.isReliable()) return person;
  return { ...person, language: found.language, read: [...(person.read ?? []), 'language'] };
}
