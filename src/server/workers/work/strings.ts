import { readString } from '$core/lint';
import { render, read, listedBy } from '$core/dialect';
import { sourceProblems } from '$core/lint';
import { presentJob, valuesOf } from '$core/people';
import { buildString } from '$core/persona';
import { layOut, parse, print, setQueries, tokenKeys, type Query } from '$core/language';
import { highlightsOf, matcher, matchingOf, unlistedIn } from '$core/semantics';
import type { Answers } from './kinds';
import { mostOf, runnable, reply } from './runnable';

const titlePhrase = (text: string): Query => ({ kind: 'phrase', scope: 'title', text });

/** Questions about strings alone, which no source has to be searched for. */
export const strings: Answers<
  | 'ping'
  | 'check-string'
  | 'read-string'
  | 'render'
  | 'render-with-problems'
  | 'read-copied'
  | 'build-string'
  | 'print-each'
  | 'read-sample'
  | 'found-titles'
> = {
  ping: () => null,

  'check-string': (string) => {
    runnable(string);
    return null;
  },

  'read-string': ({ text, sets }) => reply(readString(text, setQueries(sets))),

  render: ({ sheet, ...string }) => render(runnable(string), sheet),

  'render-with-problems': ({ sheet, ...string }) => {
    const query = runnable(string);
    const rendering = render(query, sheet);
    return { ...rendering, problems: mostOf(sourceProblems(string.text, query, sheet, rendering)) };
  },

  'read-copied': ({ text, sheet }) => reply(read(text, sheet)),

  'build-string': ({ persona, wording }) => {
    const query = buildString(persona, wording);
    return { text: query ? layOut(query) : '' };
  },

  'print-each': ({ queries }) => queries.map((query) => print(query)),

  'read-sample': ({ text, sets, sheet, leftover, people }) => {
    const { query } = parse(text, setQueries(sets));
    const matching = matchingOf(sheet.matching);
    const listed = listedBy(sheet);
    return people.map(({ person, open }) => ({
      values: valuesOf(person),
      marks: query ? highlightsOf(query, person, matching) : [],
      unlisted: open && leftover ? unlistedIn(leftover, person, listed, matching).map((term) => print(term)) : []
    }));
  },

  'found-titles': ({ wordings, people }) => {
    const covers = wordings.filter((text) => tokenKeys(text).length).map((text) => matcher(titlePhrase(text)));
    const found = new Map<string, { title: string; people: { name: string; company: string }[] }>();
    for (const person of people) {
      if (covers.some((covered) => covered(person))) continue;
      const job = presentJob(person);
      const key = job && tokenKeys(job.title).join(' ');
      if (!job || !key) continue;
      const entry = found.get(key) ?? { title: job.title, people: [] };
      entry.people.push({ name: person.name, company: job.company });
      found.set(key, entry);
    }
    return [...found.values()].sort((a, b) => b.people.length - a.people.length).slice(0, 100);
  }
};
