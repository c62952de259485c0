import { findPhoneNumbersInText, parsePhoneNumberFromString } from 'libphonenumber-js/min';
import { countryCode } from '../people/countries';
import { places } from '../people/places';
import { fold, tokenKeys } from '../language/tokens';
import { readTitle } from '../titles/read-title';
import type { ColumnField } from './column-fields';
import { guessColumns } from './columns';
import type { PageField } from './page-fields';

// What a piece of a page may be, on its own: a name, a title, a firm, a place, an address, a number, a label.

/** One person read out of the text of a result page. */
export interface PageRow {
  values: Partial<Record<PageField, string>>;
  /** Fields that were taken by their place alone, to be looked at. */
  doubtful: PageField[];
}

export const mailPattern =
  /(?<![\p{L}\p{N}._%+-])[\p{L}\p{N}._%+-]{1,64}(?:\s?(?:\(dot\)|\[dot\])\s?[\p{L}\p{N}._%+-]{1,64}){0,8}\s?(?:@|\(at\)|\[at\]|\{at\}|\s{1,9}at\s{1,9}|\(a\))\s?[\p{L}\p{N}-]{1,63}(?:\s?(?:\.|\(dot\)|\[dot\]|\s{1,9}dot\s{1,9})\s?[\p{L}\p{N}-]{1,63}){1,8}/giu;
export const urlPattern =
  /(?:https?:\/\/|www\.)\S+|(?<![\p{L}\p{N}.-])[\p{L}\p{N}-]{1,63}(?:\.[\p{L}\p{N}-]{1,63}){0,8}\.(?:example|com|org|net|info|biz|eu|io|dk|de|nl|se|no|uk|fr|be|ie|es|pt|it|pl|fi|cz|at|ch|lu|is)(?:\/\S*)?(?:\s?›\s?\S+)*/giu;

/** A mail address with its signs as signs: `anna (at) firm (dot) example`. */
export const plainMail = (written: string): string =>
  written
    .replaceAll(/\s?(?:\(at\)|\[at\]|\{at\}|\(a\)|\s{1,9}at\s{1,9})\s?/gi, '@')
    .replaceAll(/\s?(?:\(dot\)|\[dot\]|\s{1,9}dot\s{1,9})\s?/gi, '.')
    .replaceAll(/\s+/g, '')
    .toLowerCase();

const placeNames: ReadonlySet<string> = new Set(places.map(({ name }) => fold(name)));
const isPlaceWord = (text: string) => placeNames.has(fold(text)) || countryCode(text) !== undefined;
const areaWords = /\b(?:area|region|metropolitan|greater|und umgebung|et périphérie|county|omegn)\b/gi;

const lineMemos: Map<string, unknown>[] = [];
/** The same answer for the same text, for as long as a page is read: a piece of it is looked at from many sides. */
function once<T>(tell: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>();
  lineMemos.push(known);
  return (text) => {
    const answer = known.get(text);
    if (answer !== undefined || known.has(text)) return answer as T;
    const reply = tell(text);
    known.set(text, reply);
    return reply;
  };
}

/** Town, region and country, with commas, or one of them. */
export const isPlace = once((text) => {
  const pieces = text
    .replaceAll(areaWords, '')
    .split(/[,()/]| - /)
    .map((piece) => piece.trim())
    .filter(Boolean);
  if (!pieces.length || pieces.length > 4 || pieces.some((piece) => tokenKeys(piece).length > 3 || /\d/.test(piece)))
    return false;
  const [first] = pieces as [string];
  if (isPlaceWord(first)) return true;
  return (
    pieces.length > 1 &&
    pieces.length <= 3 &&
    countryCode(pieces.at(-1)!) !== undefined &&
    !isFirm(first) &&
    !isTitle(first) &&
    tokenKeys(first).length === 1
  );
});

const legalForm =
  /(?<![\p{L}\p{N}])(?:S\.?L\.?U?|S\.?p\.?A|S\.?r\.?l|Lda|Ltda|S\.?A\.?U|Sp\. ?z ?o\. ?o|s\. ?r\. ?o|a\. ?s|Oyj|A\/S|ApS|AB|AS|ASA|B\.?V\.?|N\.?V\.?|GmbH(?: & Co\.? KG)?|AG|KG|SE|Ltd|Limited|plc|LLP|DAC|SAS|SARL|S\.A\.S?\.?|SA|Inc|Corp|BVBA|SRL|Oy)\.?$/u;
export const isFirm = (text: string) => legalForm.test(text.trim());

const titleOf = once(readTitle);
export const isTitle = once((text) => {
  const { rank, function: name, confidence } = titleOf(text);
  return confidence >= 0.5 && (rank !== null || name !== null) && tokenKeys(text).length <= 12;
});

const small = /^(?:van|von|der|den|de|la|le|du|af|av|ten|ter|zu|da|di|el|bin|ibn|y|O|Mc)$/i;
const capital = /^\p{Lu}[\p{L}'’-]*\.?$/u;
/** Two to five capitalised words and no figure: how names look. */
export const isName = once((text) => {
  const words = text
    .replace(/^(?:Dr|Mr|Mrs|Ms|Prof|Ing|Dipl\.-Ing|Herr|Frau|Mme|M)\.?\s+/, '')
    .replace(/,?\s{1,9}(?:PhD|MSc|MBA|BSc|MA|Ph\.D\.)\.?$/i, '')
    .trim()
    .split(/\s+/);
  return (
    words.length >= 2 &&
    words.length <= 5 &&
    words.every((word) => capital.test(word) || small.test(word)) &&
    words.some((word) => word.length > 3 || /\p{Ll}/u.test(word)) &&
    !isPlaceWord(text) &&
    !isFirm(text) &&
    titleOf(text).confidence < 0.5
  );
});

/** What a page's own buttons and counters say, and not its people. */
export const noise =
  /^(?:connect|follow(?:ing)?|message|save(?:d)?|view(?: full)? profile|view|more|less|show more|see all|open|contact|add(?: to list)?|reveal.*|select|next|previous|back|page \d.*|\d+|sponsored|advert(?:isement)?|results?|search|filters?|sort(?: by)?.*|relevance|cached|similar(?: pages)?|translate this page|1st|2nd|3rd\+?|·|•|online|new|hire|shared.*|\d{1,9} (?:mutual|shared|common).*|is open to.*|last (?:active|seen).*|updated.*|posted.*|showing.*|about \d[\d,.]{0,20} results.*|\d[\d–-]{0,20} of \d.*|copy|export|print|share|call|mail|email|phone|website|remove|note|log ?in|sign (?:in|up)|help|privacy|terms|cookies?|home|profile|previously\b.*|formerly\b.*|past:.*|education:.*|kontakt|profil|anzeigen|vis profil|voir le profil|bekijk profiel|visa profil)$/i;

const labels: readonly [RegExp, PageField][] = [
  [/^(?:full ?name|name|navn|namn|naam|nom|contact(?: person)?)$/i, 'name'],
  [/^(?:job ?title|title|position|role|titel|stilling|functie|poste|funktion|current(?: position)?)$/i, 'title'],
  [
    /^(?:company|employer|organisation|organization|firm|firma|virksomhed|bedrijf|société|entreprise|företag|works at|at)$/i,
    'company'
  ],
  [/^(?:location|place|city|town|by|stad|ort|plaats|ville|sted|region|based in|country)$/i, 'place'],
  [/^(?:e-?mail|mail)(?: address)?$/i, 'mail'],
  [/^(?:phone|tel|telephone|telefon|mobile|mobil|t|m)\.?$/i, 'phone'],
  [/^(?:url|web|website|profile|link|page)$/i, 'url']
];

/** The field that a label names, in any language that headings are known in. */
const labelField: Partial<Record<ColumnField, PageField>> = {
  name: 'name',
  title: 'title',
  company: 'company',
  place: 'place',
  country: 'place',
  mail: 'mail',
  phone: 'phone',
  url: 'url'
};
export const fieldOfLabel = once(
  (label): PageField | undefined =>
    labels.find(([pattern]) => pattern.test(label))?.[1] ?? labelField[guessColumns([label])[0]!]
);

export const matchesWhole = (pattern: RegExp, text: string) =>
  text.replaceAll(pattern, '').trim() === '' && text.trim() !== '';

const international = /\+\s?\(?\d[\d ()./-]{5,22}\d/;

/** The telephone number in a text, in the form of E.164 where it has a country's code, and where it stands. */
export const phoneIn = (text: string): { found: string; at: number } | null =>
  // Looking for numbers takes long, and most lines have none.
  /\d(?:[\s()/.-]*\d){5}/.test(text) ? numberIn(text) : null;

const numberIn = once((text): { found: string; at: number } | null => {
  // Those without a country code are no numbers to the library, which is told no country.
  const written = international.exec(text);
  if (written) {
    const number = parsePhoneNumberFromString(written[0]);
    if (number?.isValid()) return { found: number.number, at: written.index };
    const [first] = findPhoneNumbersInText(text);
    if (first) return { found: first.number.number, at: first.startsAt };
  }
  const local = /(?:tel|phone|mob|t|m)[.:]?\s*((?:\(?\d[\d ()/-]{5,}\d))/i.exec(text);
  return local ? { found: local[1]!.trim(), at: local.index } : null;
});

/** Forgets what was found out of the pieces of a page. */
export function forgetPieces(): void {
  for (const known of lineMemos) known.clear();
}
