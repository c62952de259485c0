import { firmKey } from '../people/contact-keys';
import { readTitle } from '../titles/read-title';
import { ranks } from '../titles/lexicon';
import type { Facts } from './watched';

/**
 * Why somebody is new to a watch, as far as an earlier record of theirs says: a new firm, a rise or another title, another
 * country or place, a firm that grew or shrank. Without one they are new to us, and that alone is said.
 */
export function whyNew(before: Facts | null, now: Facts): string {
  if (!before) return 'not seen before';
  if (before.company && now.company && firmKey(before.company) !== firmKey(now.company))
    return `moved here from ${before.company}`;
  if (before.title && now.title && before.title !== now.title)
    return isRise(before.title, now.title) ? `promoted from ${before.title}` : `was ${before.title}`;
  if (before.country && now.country && before.country !== now.country) return `came from ${before.country}`;
  if (before.place && now.place && before.place !== now.place) return `was in ${before.place}`;
  const [then, size] = [Number(before.headcount), Number(now.headcount)];
  if (then && size && then !== size)
    return `the firm ${size > then ? 'grew' : 'shrank'} from ${then.toLocaleString('en')} to ${size.toLocaleString('en')}`;
  return 'the profile changed';
}

/**
 * Why somebody is no longer found, from what their source lists now (`null`: it no longer has them; undefined: it can't be asked).
 * If nothing about them changed, the string or the source did.
 */
export function whyLeft(before: Facts, now: Facts | null | undefined): string {
  if (now === undefined) return 'not found any more';
  if (now === null) return 'the source has them no more';
  const { company, title, country, place, headcount } = now;
  if (company && before.company && firmKey(before.company) !== firmKey(company)) return `moved to ${company}`;
  if (title && before.title && before.title !== title) return `is now ${title}`;
  if (country && before.country && before.country !== country) return `moved to ${country}`;
  if (headcount && before.headcount && headcount !== before.headcount)
    return `the firm ${Number(headcount) > Number(before.headcount) ? 'grew' : 'shrank'} from ${before.headcount} to ${headcount}`;
  if (place && before.place && before.place !== place) return `is now in ${place}`;
  return 'listed as before, but this string no longer finds them';
}

const order = new Map(ranks.map(({ id }, i) => [id, i]));
/** Whether a title stands above another: the lexicon lists its ranks from the top. */
function isRise(before: string, now: string): boolean {
  const [a, b] = [readTitle(before).rank, readTitle(now).rank].map((rank) =>
    rank === null ? undefined : order.get(rank)
  );
  return a !== undefined && b !== undefined && b < a;
}
