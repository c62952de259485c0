import type { Phrase, Word } from '../language/query';
import { fold } from '../language/tokens';
import { countryCode } from '../people/countries';
import type { Fact } from './sheet';

/** Whether a fact can be asked for a value: it is one of the values offered, or any can be typed. */
export function offersValue({ scope, values }: Fact, term: Word | Phrase): boolean {
  if (values === null) return true;
  if (term.kind === 'word' && term.prefix) return false;
  const wanted = fold(term.text).trim();
  const country = scope === 'country' ? countryCode(term.text) : undefined;
  return values.some((value) => fold(value) === wanted || (country !== undefined && countryCode(value) === country));
}
