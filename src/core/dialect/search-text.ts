import { limits } from '../language/limits';
import type { Problem } from '../language/problem';
import { join, type Query } from '../language/query';
import { fold, tokenKeys } from '../language/tokens';
import { readSearch } from './search';
import type { Search } from './search-schema';
import { factLabel, type Box, type Sheet } from './sheet';
import { own } from './own';

type FactValues = Search['facts'][number];

/** Whether a source is one box and nothing else, so that its text needs no labels. */
const isOneBox = (sheet: Sheet) => sheet.boxes.length === 1 && !sheet.facts.length;

/**
 * Searches as one text to copy: `label: text` a line for each box and fact, an empty line between searches. A source
 * that is one box has its text alone. `read` reads it back.
 */
export function writeText(searches: readonly Search[], sheet: Sheet): string {
  return searches
    .map((search) => (isOneBox(sheet) ? Object.values(search.boxes)[0]! : labelled(search, sheet)))
    .join('\n\n');
}

function labelled(search: Search, sheet: Sheet): string {
  const lines = sheet.boxes.flatMap(({ id, label }) =>
    own(search.boxes, id) ? [`${label}: ${own(search.boxes, id)}`] : []
  );
  for (const fact of sheet.facts) {
    const given = search.facts.find(({ scope }) => scope === fact.scope);
    if (!given) continue;
    const label = factLabel(fact);
    if (given.include) lines.push(`${label}: ${listOf(given.include)}`);
    if (given.exclude) lines.push(`Not ${label}: ${listOf(given.exclude)}`);
    if (given.range) lines.push(`${label}: ${rangeText(given.range)}`);
  }
  return lines.join('\n');
}

const listOf = (values: readonly string[]) => values.map((value) => value.replaceAll(/[;\s]+/g, ' ')).join('; ');

/** A range as a person writes it in two boxes: `51 to 1000`, `51 or more`, `up to 1000`. */
export function rangeText({ low, high }: { low: number | null; high: number | null }): string {
  if (low !== null && high !== null) return `${low} to ${high}`;
  if (low !== null) return `${low} or more`;
  return high !== null ? `up to ${high}` : 'any number';
}

function readRange(text: string): FactValues['range'] | null {
  const number = '(-?\\d+(?:\\.\\d+)?)';
  const said = text.trim().replaceAll(/(?<=\d)[,'\s](?=\d{3}\b)/g, '');
  const between = new RegExp(`^${number}\\s*(?:to|–|-)\\s*${number}$`).exec(said);
  if (between) return { low: Number(between[1]), high: Number(between[2]) };
  const from = new RegExp(`^${number}\\s*(?:or more|\\+)$`).exec(said);
  if (from) return { low: Number(from[1]), high: null };
  const upTo = new RegExp(`^(?:up to|<)\\s*${number}$`).exec(said);
  if (upTo) return { low: null, high: Number(upTo[1]) };
  return said === 'any number' ? { low: null, high: null } : null;
}

/** A place of a source named at the start of a line, and what stands after it. */
interface Entry {
  label: string;
  text: string;
  from: number;
}

/**
 * Reads a text copied from a source, or from `writeText`, by that source's own rules. Takes anything; what cannot be
 * read is reported with its position in the text.
 */
export function read(text: string, sheet: Sheet): { query: Query | null; problems: Problem[] } {
  const problems: Problem[] = [];
  const say = (code: Problem['code'], severity: Problem['severity'], from: number, to: number, message: string) =>
    problems.push({ code, severity, from, to, message });
  const bytes = new TextEncoder().encode(text).length;
  if (bytes > limits.bytes) {
    say(
      'too-long',
      'error',
      0,
      text.length,
      `This text is ${Math.ceil(bytes / 1024)} KiB long; the most is ${limits.bytes / 1024} KiB.`
    );
    return { query: null, problems };
  }
  const found = paragraphs(text).flatMap((paragraph) => {
    const query = readSearch(searchOf(entriesOf(paragraph)), sheet);
    return query ? [query] : [];
  });
  problems.sort((a, b) => a.from - b.from || a.to - b.to);
  return { query: found.length ? join('or', found) : null, problems };

  function entriesOf(paragraph: { text: string; from: number }): Entry[] {
    const labels = new Set([...sheet.boxes.map(({ label }) => label), ...sheet.facts.map(factLabel)].map(fold));
    const entries: Entry[] = [];
    let at = paragraph.from;
    for (const line of paragraph.text.split('\n')) {
      const named = isOneBox(sheet) ? null : /^([^:]+):/.exec(line);
      if (named && labels.has(fold(named[1]!.trim()).replace(/^not\s+/, '')))
        entries.push({
          label: named[0].slice(0, -1).trim(),
          text: line.slice(named[0].length),
          from: at + named[0].length
        });
      else if (entries.length) entries.at(-1)!.text += `\n${line}`;
      else entries.push({ label: '', text: line, from: at });
      at += line.length + 1;
    }
    return entries;
  }

  function searchOf(entries: readonly Entry[]): Search {
    const search: Search = { boxes: {}, facts: [] };
    const factOf = (scope: FactValues['scope']) => {
      let fact = search.facts.find((one) => one.scope === scope);
      if (!fact) search.facts.push((fact = { scope }));
      return fact;
    };
    for (const { label, text: said, from } of entries) {
      if (!said.trim()) continue;
      const not = /^not\s+/i.test(label);
      const name = fold(label.replace(/^not\s+/i, ''));
      const box = label ? sheet.boxes.find((one) => fold(one.label) === name) : mainBox(sheet);
      if (box) {
        search.boxes[box.id] = own(search.boxes, box.id) ? `${own(search.boxes, box.id)} ${said.trim()}` : said.trim();
        checkBox(said, from, box);
        continue;
      }
      const fact = label
        ? sheet.facts.find((one) => fold(factLabel(one)) === name)!
        : sheet.facts.find((one) => one.include);
      if (!fact) {
        say(
          'stray-sign',
          'warning',
          from,
          from + said.length,
          `${sheet.name} has no box for this text, so it is ignored.`
        );
        continue;
      }
      const range = fact.range && !not ? readRange(said) : null;
      if (range) factOf(fact.scope).range = range;
      else if (fact.range && !fact.include && !not)
        say(
          'bad-range',
          'error',
          from,
          from + said.length,
          `“${said.trim().slice(0, 40)}” isn’t a range. Write it like 51 to 1000.`
        );
      else {
        const values = said
          .split(label ? /;|\n/ : /;|\n|,/)
          .map((value) => value.trim())
          .filter((value) => tokenKeys(value).length);
        const given = factOf(fact.scope);
        if (not) given.exclude = [...(given.exclude ?? []), ...values];
        else given.include = [...(given.include ?? []), ...values];
      }
    }
    return search;
  }

  /** What is in a box and is not read as the person who wrote it may think. */
  function checkBox(said: string, from: number, box: Box): void {
    if (box.scoped) return;
    const quotes = [...said.matchAll(/"/g)];
    if (box.phrase && quotes.length % 2)
      say(
        'unclosed-quote',
        'warning',
        from + quotes.at(-1)!.index,
        from + said.length,
        'This quote is never closed; all that follows is read as one phrase.'
      );
    if (!box.phrase && quotes.length)
      say(
        'read-otherwise',
        'hint',
        from + quotes[0]!.index,
        from + quotes[0]!.index + 1,
        `${sheet.name} doesn’t support phrases: the quotes have no effect there.`
      );
    const brackets = [...said.replaceAll(/"[^"]*"/g, (phrase) => ' '.repeat(phrase.length)).matchAll(/[()]/g)];
    const open = brackets.reduce((level, [sign]) => level + (sign === '(' ? 1 : -1), 0);
    if (box.group && open !== 0)
      say(
        open > 0 ? 'unclosed-bracket' : 'unopened-bracket',
        'warning',
        from + brackets[0]!.index,
        from + brackets.at(-1)!.index + 1,
        open > 0
          ? 'A bracket is never closed; the group is read to the end.'
          : 'A closing bracket has no opening bracket; it is ignored.'
      );
    if (!box.group && brackets.length)
      say(
        'read-otherwise',
        'hint',
        from + brackets[0]!.index,
        from + brackets[0]!.index + 1,
        `${sheet.name} doesn’t support groups: the brackets have no effect there.`
      );
    for (const { 0: word, index } of said.matchAll(/(?<=^|[\s(])(AND|OR|NOT)(?=$|[\s)])/g)) {
      const known = word === box.and || word === box.or || word === box.not;
      if (!known)
        say(
          'read-otherwise',
          'hint',
          from + index,
          from + index + word.length,
          `${sheet.name} doesn’t know ${word}: it searches for the word “${word.toLowerCase()}”.`
        );
    }
  }
}

/** The box a text without a label belongs in: the one for the whole profile, or the first. */
export const mainBox = (sheet: Sheet): Box | undefined =>
  sheet.boxes.find((box) => box.searches === 'any') ?? sheet.boxes[0];

/** Texts with an empty line between them, but for those that stand inside brackets or quotes. */
function paragraphs(text: string): { text: string; from: number }[] {
  const found: { text: string; from: number }[] = [];
  let at = 0;
  for (const piece of text.replaceAll('\r\n', '\n').split(/(\n[^\S\n]*\n\s*)/)) {
    const last = found.at(-1);
    const between = /^\s*$/.test(piece);
    if (last && (between || !isClosed(last.text.trim()))) last.text += piece;
    else if (!between) found.push({ text: piece, from: at });
    at += piece.length;
  }
  return found;
}

function isClosed(text: string): boolean {
  const outside = text.replaceAll(/"[^"]*"/g, '');
  return !outside.includes('"') && (outside.match(/\(/g)?.length ?? 0) <= (outside.match(/\)/g)?.length ?? 0);
}
