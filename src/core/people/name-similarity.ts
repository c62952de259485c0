/**
 * How alike two texts are by Jaro's measure, from 0 to 1: signs in common no further apart than half the longer text, and how
 * many of them are in another order. Jaro, Journal of the American Statistical Association 84 (1989) 414–420.
 */
export function jaro(a: string, b: string): number {
  if (a === b) return 1;
  if (!a.length || !b.length) return 0;
  const reach = Math.max(0, Math.floor(Math.max(a.length, b.length) / 2) - 1);
  const taken = new Uint8Array(b.length);
  const common: number[] = [];
  for (let i = 0; i < a.length; i++) {
    const end = Math.min(b.length, i + reach + 1);
    for (let j = Math.max(0, i - reach); j < end; j++) {
      if (taken[j] || a[i] !== b[j]) continue;
      taken[j] = 1;
      common.push(i);
      break;
    }
  }
  if (!common.length) return 0;
  let moved = 0;
  let at = 0;
  for (let j = 0; j < b.length; j++) if (taken[j] && a[common[at++]!] !== b[j]) moved++;
  const m = common.length;
  return (m / a.length + m / b.length + (m - moved / 2) / m) / 3;
}

/**
 * Jaro's measure raised by a tenth of what is missing for each of up to four first signs in common. Winkler, Proceedings of the
 * Section on Survey Research Methods, American Statistical Association (1990) 354–359.
 */
export function jaroWinkler(a: string, b: string): number {
  const alike = jaro(a, b);
  let prefix = 0;
  while (prefix < 4 && prefix < Math.min(a.length, b.length) && a[prefix] === b[prefix]) prefix++;
  return alike + prefix * 0.1 * (1 - alike);
}
