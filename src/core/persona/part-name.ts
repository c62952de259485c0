import { print } from '../language/print';
import { terms, type Query } from '../language/query';
import type { Scope } from '../language/scopes';
import { originNames, originOf, type Origin } from './trace';

/** What a part of a string asks about, by where it searches. */
const asks: Partial<Record<Scope, string>> = {
  any: 'What',
  title: 'Who',
  pasttitle: 'Who they were',
  function: 'Which function',
  rank: 'Which rank',
  company: 'Which firms',
  pastcompany: 'Firms before',
  industry: 'Which trade',
  headcount: 'How big',
  country: 'Where',
  place: 'Where',
  about: 'About themselves',
  skill: 'Skills',
  school: 'Schools',
  group: 'Groups',
  contact: 'Contact',
  mail: 'Mail',
  growth: 'Growth',
  moved: 'New in the job',
  active: 'Active',
  tenure: 'Time in the role',
  founded: 'Founded',
  hiring: 'Hiring',
  funded: 'Funding',
  tech: 'Technology'
};

/** A part of a string in plain words: what it asks about, and the first of what it asks for. */
export interface PartName {
  asks: string;
  for: string;
}

/** Names a part by what it expresses: by the line of the persona where its terms come from one, by its scopes otherwise. */
export function partName(part: Query, origins: ReadonlyMap<string, Origin>): PartName {
  const all = [...terms(part)];
  const excludes = all.length > 0 && all.every(({ wanted }) => !wanted);
  const scopes = [...new Set(all.map(({ term }) => asks[term.scope] ?? term.scope))];
  const from = [...new Set(all.map(({ term, wanted }) => originOf(term, wanted, origins)?.of))];
  const [line] = from;
  const words = excludes
    ? 'Not'
    : scopes.length < 3
      ? scopes.map((word, i) => (i ? word.toLowerCase() : word)).join(' and ')
      : line !== undefined && from.length === 1
        ? originNames[line]
        : 'Several things';
  const [first] = all;
  const said = first ? print({ ...first.term, scope: 'any' }).replace(/^"(.*)"$/, '$1') : '';
  return { asks: words, for: all.length > 1 ? `${said} or ${all.length - 1} more` : said };
}
