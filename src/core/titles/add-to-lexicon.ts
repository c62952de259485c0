import { fold, tokenKeys } from '../language/tokens';
import type { Language } from './languages';
import type { OwnLexicon } from './own-lexicon-shape';

type Texts = Partial<Record<Language, string[]>>;

const keyOf = (text: string) => tokenKeys(text).map(fold).join(' ');
/** Texts by language, those of `more` that are not there behind the others. */
function joined(texts: Texts, more: Texts): Texts {
  const result: Texts = { ...texts };
  for (const [language, added] of Object.entries(more) as [Language, string[]][]) {
    const list = [...(result[language] ?? [])];
    const met = new Set(list.map(keyOf));
    for (const text of added.map((one) => one.trim()))
      if (keyOf(text) && !met.has(keyOf(text))) {
        met.add(keyOf(text));
        list.push(text);
      }
    result[language] = list;
  }
  return result;
}

/** Two lexicons as one: names and titles of both, once; what `more` says of a word is in the place of what was said before. */
export function joinLexicons(own: OwnLexicon, more: OwnLexicon): OwnLexicon {
  const functions = new Map(own.functions.map((entry) => [entry.id, entry]));
  for (const { id, near, names } of more.functions) {
    const entry = functions.get(id);
    functions.set(id, {
      id,
      near: [...new Set([...(entry?.near ?? []), ...near])],
      names: joined(entry?.names ?? {}, names)
    });
  }
  const jobOf = ({ rank, function: name }: { rank: string; function: string }) => JSON.stringify([rank, name]);
  const titles = new Map(own.titles.map((entry) => [jobOf(entry), entry]));
  for (const entry of more.titles) {
    const before = titles.get(jobOf(entry));
    titles.set(jobOf(entry), { ...entry, titles: joined(before?.titles ?? {}, entry.titles) });
  }
  const meanings = new Map(own.meanings.map((entry) => [fold(entry.word), entry]));
  for (const entry of more.meanings) meanings.set(fold(entry.word), entry);
  return { functions: [...functions.values()], titles: [...titles.values()], meanings: [...meanings.values()] };
}

const nothing: OwnLexicon = { functions: [], titles: [], meanings: [] };

/** One name more of a function, be it one that the lexicon has or a new one. */
export const addName = (own: OwnLexicon, id: string, language: Language, name: string): OwnLexicon =>
  joinLexicons(own, { ...nothing, functions: [{ id: id.trim(), near: [], names: { [language]: [name] } }] });

/** One wording more of the job that a rank and a function make. */
export const addTitle = (
  own: OwnLexicon,
  job: { rank: string; function: string },
  language: Language,
  title: string
): OwnLexicon => joinLexicons(own, { ...nothing, titles: [{ ...job, titles: { [language]: [title] } }] });

/** Meanings as typed, one per line: the meaning, a colon, and comma-separated words that indicate it. */
export function readSenses(text: string): OwnLexicon['meanings'][number]['senses'] {
  return text.split('\n').flatMap((line) => {
    const [name = '', indicators = ''] = line.split(/:(.*)/s);
    const words = indicators
      .split(',')
      .map((word) => word.trim())
      .filter((word) => keyOf(word));
    return name.trim() && words.length ? [{ name: name.trim(), indicators: words }] : [];
  });
}

/** Without one text: a name of a function, or a title of a job. What has no text left goes. */
export function withoutText(
  own: OwnLexicon,
  from: { kind: 'function'; id: string } | { kind: 'title'; rank: string; function: string },
  language: Language,
  text: string
): OwnLexicon {
  const left = (texts: Texts): Texts => ({
    ...texts,
    [language]: (texts[language] ?? []).filter((other) => other !== text)
  });
  const has = (texts: Texts) => Object.values(texts).some((list) => list?.length);
  if (from.kind === 'function')
    return {
      ...own,
      functions: own.functions.flatMap((entry) => {
        if (entry.id !== from.id) return [entry];
        const names = left(entry.names);
        return has(names) ? [{ ...entry, names }] : [];
      })
    };
  return {
    ...own,
    titles: own.titles.flatMap((entry) => {
      if (entry.rank !== from.rank || entry.function !== from.function) return [entry];
      const titles = left(entry.titles);
      return has(titles) ? [{ ...entry, titles }] : [];
    })
  };
}
