import type { Persona } from './persona';

/** Bands that leave a gap between them or overlap, in sentences. */
export function bandNotes({ bands }: Persona): string[] {
  const notes: string[] = [];
  const sorted = bands
    .filter(({ from, to }) => from !== null || to !== null)
    .sort((a, b) => (a.from ?? 0) - (b.from ?? 0));
  sorted.forEach((band, i) => {
    const next = sorted[i + 1];
    if (!next) return;
    const end = band.to ?? Infinity;
    const start = next.from ?? 0;
    if (start > end + 1)
      notes.push(
        start === end + 2
          ? `Firms of ${count(end + 1)} people aren’t in any band.`
          : `Firms of ${count(end + 1)} to ${count(start - 1)} people aren’t in any band.`
      );
    else if (start <= end)
      notes.push(
        `The bands from ${count(band.from ?? 0)} and from ${count(start)} overlap: a firm of ${count(start)} people is in both.`
      );
  });
  bands.forEach(({ titles, from, to }, i) => {
    if (from === null && to === null) notes.push(`Band ${i + 1} has no sizes yet.`);
    if (!titles.length) notes.push(`Band ${i + 1} has no titles yet.`);
  });
  return notes;
}

const count = (value: number) => value.toLocaleString('en');

/** What a persona usually says and this one does not, in sentences. */
export function missingFrom(persona: Persona): string[] {
  const { titles, bands, countries, industries, mustHave, size, mustNot, functions, ranks } = persona;
  const notes: string[] = [];
  if (!titles.length && !bands.length)
    notes.push(
      functions.length && ranks.length
        ? 'No job titles: few sources can search by function and rank alone.'
        : 'No job titles yet: a string starts with the people you’re looking for.'
    );
  if (!industries.length && !mustHave.length)
    notes.push('No kind of firm: add an industry, or keywords from the trade.');
  if (size.from === null && size.to === null && !bands.length) notes.push('No firm size: who decides depends on it.');
  if (!countries.length) notes.push('No country: the whole world is searched.');
  if (!mustNot.length) notes.push('No exclusions yet: interns, assistants and recruiters often match a title.');
  return notes;
}
