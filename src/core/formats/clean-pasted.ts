import { readWordingList } from '../persona/word-set';
import { lex } from '../language/lex';
import { quoted } from '../language/print';
import { tokenKeys } from '../language/tokens';

/** A pasted text made fit for the editor. */
export interface CleanPaste {
  text: string;
  /** What was changed, in words for the person who pasted; empty where nothing was. */
  changes: string[];
  /** Another way of reading it that is not taken unasked. */
  ask: { question: string; text: string } | null;
}

/** Words of an item up to which lines or pieces between commas are a list of wordings, and not a text. */
const longestItem = 7;

const cleanings: [pattern: RegExp, replacement: string, change: string][] = [
  [/[“”„‟«»″]/g, '"', 'curly quotes made plain'],
  [/[‘’‚‛](?=[^\p{L}\p{N}]|$)|(?<![\p{L}\p{N}])[‘’‚‛]/gu, '"', 'curly quotes made plain'],
  [/[‐‑‒–—―−]/g, '-', 'long dashes made plain'],
  [/[\u00a0\u1680\u2000-\u200a\u202f\u205f\u3000]/g, ' ', 'unusual spaces made plain'],
  [/[\u00ad\u200b-\u200f\u2028-\u202e\u2060-\u206f\ufeff]/g, '', 'hidden characters taken out'],
  [/\r\n?/g, '\n', 'line breaks made plain'],
  [/(?<=^|[\s()"])&&(?=[\s()"]|$)/g, 'AND', '&& written as AND'],
  [/(?<=^|[\s()"])\|\|?(?=[\s()"]|$)/g, 'OR', '|| written as OR'],
  [/(?<=^|[\s(])!(?=[\p{L}\p{N}"(])/gu, 'NOT ', '! written as NOT']
];

/**
 * Cleans a text pasted from a document, a page or a spreadsheet: typographic signs, spaces, foreign operators and line
 * breaks. A list, one wording a line or between commas, becomes a group of quoted wordings. Lower-case operators are asked about.
 *
 * @example cleanPasted('Head of Quality\nQA Manager').text // ("Head of Quality" OR "QA Manager")
 */
export function cleanPasted(pasted: string): CleanPaste {
  const changes: string[] = [];
  const change = (next: string, what: string, text: string) => {
    if (next !== text && !changes.includes(what)) changes.push(what);
    return next;
  };
  let text = pasted;
  for (const [pattern, replacement, what] of cleanings)
    text = change(text.replaceAll(pattern, replacement), what, text);
  const list = listIn(text);
  if (list) {
    changes.push(`a list of ${list.length} made a group`);
    return { text: `(${list.map(wordingText).join(' OR ')})`, changes, ask: null };
  }
  text = change(joinBrokenPhrases(text), 'a line break inside quotes taken out', text);
  text = change(
    text
      .split('\n')
      .map((line) => line.trim().replaceAll(/\s{2,}/g, ' '))
      .filter(Boolean)
      .join('\n'),
    'empty lines and doubled spaces taken out',
    text
  );
  return { text, changes: text === pasted ? [] : changes, ask: lowerCaseOperators(text) };
}

const wordingText = (wording: string): string =>
  tokenKeys(wording).length === 1 && /^[\p{L}\p{N}]+$/u.test(wording) ? wording : quoted(wording);

/** Wordings of a list: several lines, or several pieces between commas, each of a few words and nothing like a string. */
function listIn(text: string): string[] | null {
  const separator = text.trim().includes('\n') ? /\n/ : /[,;\t]/;
  const pieces = text.split(separator).filter((piece) => /[\p{L}\p{N}]/u.test(piece));
  if (pieces.length < 2 || pieces.some((piece) => !isItem(piece))) return null;
  const wordings = readWordingList(text);
  return wordings.length > 1 ? wordings : null;
}

function isItem(piece: string): boolean {
  const inner = piece
    .trim()
    .replace(/^(?:[•·*]\s*|-\s+)/, '')
    .replace(/^"([^"]*)"[,;]?$/, '$1');
  if (/["()[\]]|\b[A-Za-z]+:\S/.test(inner) || /(^|\s)(AND|OR|NOT)(\s|$)/.test(inner) || /^-\S/.test(inner))
    return false;
  return tokenKeys(inner).length <= longestItem;
}

/** A phrase goes on over a line break that a document put into it. */
const joinBrokenPhrases = (text: string): string => text.replaceAll(/"[^"]*"/g, (phrase) => onOneLine(phrase));

/** A text with each line break, and the spaces around it, as one space. */
const onOneLine = (text: string): string =>
  text.includes('\n')
    ? text
        .split('\n')
        .map((line, i, all) => (i === 0 ? line.trimEnd() : i === all.length - 1 ? line.trimStart() : line.trim()))
        .filter((line, i, all) => line || i === 0 || i === all.length - 1)
        .join(' ')
    : text;

/** The text with lower-case operators that stand between terms written as operators. */
function lowerCaseOperators(text: string): CleanPaste['ask'] {
  const found = lex(text).lexemes.filter((lexeme) => lexeme.kind === 'word' && /^(and|or|not)$/i.test(lexeme.text));
  if (!found.length) return null;
  const raised = [...found]
    .reverse()
    .reduce((done, { from, to }) => done.slice(0, from) + done.slice(from, to).toUpperCase() + done.slice(to), text);
  const words = [...new Set(found.map(({ from, to }) => `“${text.slice(from, to)}”`))].join(', ');
  return {
    question: `Read ${words} as ${found.length === 1 ? 'an operator' : 'operators'}? As pasted ${found.length === 1 ? 'it is a word' : 'they are words'} to find.`,
    text: raised
  };
}
