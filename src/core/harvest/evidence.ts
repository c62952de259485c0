import { countryName } from '../people/countries';
import { industryName } from '../people/industries';

/** One thing a row shows that moved its likelihood: in words, and whether it speaks for a fit. */
export interface Evidence {
  words: string;
  speaksFor: boolean;
}

/** Pieces of evidence given for one row. */
const most = 6;

/**
 * Why a row is as likely to fit as it is: of the strongest signs learned from verdicts those that the row shows, strongest first.
 * @param signs what the row shows, as `signReader` names it
 * @param strongest signs with their weights in log odds
 */
export function evidenceOf(
  signs: readonly string[],
  strongest: readonly { sign: string; weight: number }[]
): Evidence[] {
  const shown = new Set(signs);
  return strongest
    .filter(({ sign, weight }) => weight !== 0 && shown.has(sign))
    .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
    .flatMap(({ sign, weight }) => {
      const words = wordsOf(sign);
      return words === null ? [] : [{ words, speaksFor: weight > 0 }];
    })
    .slice(0, most);
}

const inWords: Record<string, (value: string) => string> = {
  meets: (term) => `matches ${term}`,
  country: (code) => `in ${countryName(code)}`,
  industry: (code) => `industry ${industryName(code) ?? code}`,
  rank: (rank) => `rank ${rank}`,
  function: (job) => `function ${job}`,
  size: (bits) => sizeInWords(Number(bits)),
  'title function': (job) => `title reads as ${job}`,
  'title rank': (rank) => `title reads as ${rank}`,
  'title words': (words) => `title has “${words}”`,
  'title word': (word) => `title has “${word}”`,
  'firm word': (word) => `firm’s name has “${word}”`
};

/** The longest first: `title words` begins with `title word`. */
const kinds = Object.keys(inWords).sort((a, b) => b.length - a.length);

/** A sign in words; null for one that says nothing alone. */
function wordsOf(sign: string): string | null {
  if (sign === 'no current job') return sign;
  const kind = kinds.find((one) => sign.startsWith(`${one} `));
  return kind ? inWords[kind]!(sign.slice(kind.length + 1)) : null;
}

/** Sizes are learned by powers of two: size 7 is a headcount from 127 to 254. */
function sizeInWords(bits: number): string {
  const [from, to] = [2 ** bits - 1, 2 ** (bits + 1) - 2];
  return `${from.toLocaleString('en')}–${to.toLocaleString('en')} people`;
}
