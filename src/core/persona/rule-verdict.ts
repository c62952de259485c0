import type { FactCheck } from './check-facts';

/** Facts that decide by themselves when they are not met; what a title or a word says is for a person to judge. */
const deciding: ReadonlySet<FactCheck['fact']> = new Set<FactCheck['fact']>([
  'Firm size',
  'Country',
  'Industry',
  'Firm'
]);

/** Why facts alone make a person a miss, in words; null where they decide nothing. Unknown facts decide nothing. */
export function ruledOut(checks: readonly FactCheck[]): string | null {
  const against = checks.filter(({ fact, outcome }) => outcome === 'not met' && deciding.has(fact));
  return against.length ? against.map(({ fact, has }) => `${fact.toLowerCase()}: ${has}`).join('; ') : null;
}
