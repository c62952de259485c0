import { writeCsv } from '$core/formats';
import { countryName, ownCell, ownNamesIn, presentJob } from '$core/people';
import type { Answer } from '$api';

/** Somebody in a list of people: where in the result they stood, and what was said of them. */
export type Listed = Answer<'whoGoes'>['goes']['sample'][number] & { note?: string };

/** The same as a row of a table. */
export interface PersonRow {
  id: string;
  rank: number;
  name: string;
  title: string;
  company: string;
  country: string;
  verdict: string;
}

export function rowOf({ rank, person, verdict }: Listed): PersonRow {
  const now = presentJob(person);
  return {
    id: person.id,
    rank,
    name: person.name,
    title: now?.title ?? '',
    company: now?.company ?? '',
    country: person.country ? countryName(person.country) : '',
    verdict: verdict?.verdict ?? ''
  };
}

/** People as CSV (RFC 4180), with the verdict on each and its reason, followed by the own fields some people have. */
export function peopleCsv(people: readonly Listed[]): string {
  const own = ownNamesIn(people.map(({ person }) => person));
  return writeCsv(
    ['shown at', 'id', 'name', 'title', 'firm', 'country', 'verdict', 'reason', 'by', 'note', ...own],
    people.map((one) => {
      const { id, rank, name, title, company, country, verdict } = rowOf(one);
      const said = one.verdict;
      return [
        String(rank),
        id,
        name,
        title,
        company,
        country,
        verdict,
        said?.reason ?? '',
        said?.by ?? '',
        one.note ?? '',
        ...own.map((field) => ownCell(one.person, field))
      ];
    })
  );
}
