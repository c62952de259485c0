import { countries } from '../people/countries';
import { plainFirmName } from '../people/firm-names';
import { plainText } from '../people/person-name';
import { places } from '../people/places';
import { cased, isShouted, withoutSigns } from './letter-case';

const placeNamesOf = () =>
  new Set(
    [...countries().map(({ name }) => name), ...places.map(({ name }) => name)]
      .map(plainText)
      .filter((name) => name.length > 2)
  );
let placeNames: ReadonlySet<string> | undefined;

/** Names that firms use for their branches in a country, in addition to the English ones. Common practice, no published source. */
const branches: ReadonlySet<string> = new Set(
  `deutschland danmark sverige norge nederland belgie belgique france espana italia portugal polska suomi cesko uk usa us nordic nordics scandinavia
  iberia benelux dach europe emea international oesterreich osterreich schweiz suisse ireland eire`.split(/\s+/)
);
const isPlace = (text: string) => {
  const plain = plainText(text);
  return (placeNames ??= placeNamesOf()).has(plain) || branches.has(plain);
};

/** Small words inside the name of a firm. */
const small = new Set(
  'and und og och et en y e i de del della di da do dos van von der den des du la le the of for für'.split(' ')
);

/**
 * A firm as it is said in a sentence: without legal form, what is in brackets and a place at its end, in ordinary
 * letters. Short names in capitals stay as they are: most are written so.
 */
export function firmSaid(company: string): string {
  const clean =
    withoutSigns(company)
      .replaceAll(/\s{0,9}[([][^()[\]]{0,200}[)\]]/g, '')
      .trim() || withoutSigns(company);
  let name = withoutLegalForm(clean.replace(/[|•·]\s.*$/u, '').trimEnd());
  // A place behind a comma or a dash is the branch; behind a name of two words or more its last word may be one.
  const { head, tail } = partsOf(name);
  if (head && tail && isPlace(tail)) name = withoutLegalForm(head);
  const words = name.split(' ');
  if (words.length > 1 && branches.has(plainText(words.at(-1)!))) name = withoutLegalForm(words.slice(0, -1).join(' '));
  const shouted = isShouted(name) && name.replaceAll(/[^\p{L}]/gu, '').length > 4;
  const low = name === name.toLowerCase() && /\p{L}/u.test(name);
  if (!shouted && !low) return name;
  return name
    .split(' ')
    .map((word, i) =>
      i > 0 && small.has(word.toLowerCase())
        ? word.toLowerCase()
        : shouted && word.replaceAll(/[^\p{L}]/gu, '').length <= 3 && !/[AEIOUYÅÄÖØÆÉ]/u.test(word)
          ? word
          : cased(word)
    )
    .join(' ');
}

/** A name and what stands behind its last comma or dash; a hyphen parts only where spaces stand around it. */
function partsOf(name: string): { head?: string; tail?: string } {
  const last = Math.max(...[',', '–', '—'].map((sign) => name.lastIndexOf(sign)));
  const parts = name[last] === ',' || /\s/.test(name[last - 1] ?? '');
  const at = last > 1 && parts ? last : name.indexOf(' -', last + 1) + 1;
  return at > 1 ? { head: name.slice(0, at).trim(), tail: name.slice(at + 1).trim() } : {};
}

function withoutLegalForm(name: string): string {
  const plain = plainFirmName(name);
  // The forms of two firms in one: `GmbH & Co. KG`.
  const bare = plain.replace(/\s(?:(?:&|und|and|og|et)\s{0,9})?Co\.?$/iu, '').trim();
  return bare && bare !== plain ? plainFirmName(bare) : plain;
}
