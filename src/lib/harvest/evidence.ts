import { countryName } from '$core/people';
import { tokenKeys } from '$core/language';

/** What a harvest's row shows of a person. */
interface Row {
  title: string;
  company: string;
  country: string | null;
}

/** One thing a row shows that moved its likelihood, as words, and whether it speaks for a fit. */
export interface Evidence {
  words: string;
  speaksFor: boolean;
}

/** Pieces of evidence that fit in one line. */
const most = 3;

/**
 * Which of the strongest signs learned from verdicts a row shows, the strongest first.
 * @param strongest signs as the core names them (`title word quality`, `country DK`), with their weights in log odds
 */
export function evidenceOf(row: Row, strongest: readonly { sign: string; weight: number }[]): Evidence[] {
  const title = tokenKeys(row.title);
  const firm = new Set(tokenKeys(row.company));
  const shown = (sign: string): string | null => {
    const [, kind = '', value = ''] = /^(title words?|firm word|country) (.+)$/.exec(sign) ?? [];
    if (kind === 'title word') return title.includes(value) ? value : null;
    if (kind === 'title words') return ` ${title.join(' ')} `.includes(` ${value} `) ? value : null;
    if (kind === 'firm word') return firm.has(value) ? value : null;
    return kind === 'country' && row.country === value ? countryName(value) : null;
  };
  return strongest
    .flatMap(({ sign, weight }) => {
      const words = shown(sign);
      return words === null ? [] : [{ words, speaksFor: weight > 0, strength: Math.abs(weight) }];
    })
    .sort((a, b) => b.strength - a.strength)
    .slice(0, most)
    .map(({ words, speaksFor }) => ({ words, speaksFor }));
}
