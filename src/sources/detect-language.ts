import type { Person } from '$core/people';

/** Letters that a text needs: shorter ones are taken for a neighbour's language too often. */
const least = 40;

/**
 * Reads the language of profiles that do not tell theirs out of what they say of themselves and their work, and marks it as
 * read. What is too short or could be several is left open. By the n-grams of ELD (Efficient Language Detector).
 */
export async function languageReader(): Promise<(person: Person) => Person> {
  const { eld } = await import('eld/extrasmall');
  return (person) => {
    if (person.language !== undefined) return person;
    const text = [person.about, ...(person.jobs ?? []).map(({ text }) => text)].filter(Boolean).join('\n');
    if (text.replaceAll(/[^\p{L}]/gu, '').length < least) return person;
    const found = eld.detect(text.slice(0, 2000));
    if (!found.language || !found.isReliable()) return person;
    return { ...person, language: found.language, read: [...(person.read ?? []), 'language'] };
  };
}
