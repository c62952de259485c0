/**
 * A text without the signs of a set at its ends. An expression such as `/[,;]+$/` looks at every run of signs again from each of
 * its places, which takes quadratic time on hostile text; this is linear.
 * @param isSign whether one UTF-16 unit belongs to the set
 */
export function trimSigns(
  text: string,
  isSign: (sign: string) => boolean,
  ends: 'both' | 'start' | 'end' = 'both'
): string {
  let from = 0;
  let to = text.length;
  if (ends !== 'end') while (from < to && isSign(text[from]!)) from++;
  if (ends !== 'start') while (to > from && isSign(text[to - 1]!)) to--;
  return text.slice(from, to);
}
