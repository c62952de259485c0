import { countryName } from '../people/countries';
import type { BriefFact } from './persona-from-text';
import type { Persona } from './persona';

const lists = {
  title: 'titles',
  function: 'functions',
  rank: 'ranks',
  industry: 'industries',
  country: 'countries',
  'must have': 'mustHave',
  exclusion: 'mustNot',
  'firm left out': 'notFirms'
} as const;

/** Whether a persona has a place for a fact: revenue is read and told, and no source here can be asked for it. */
export const canTake = ({ kind }: BriefFact): boolean =>
  kind === 'size' || kind === 'offer' || kind === 'place' || kind in lists;

/** A persona with facts read from a text taken into it; what is there already stays. Several sizes become one, from the smallest to the largest. */
export function takeFacts(persona: Persona, facts: readonly BriefFact[]): Persona {
  const next: Persona = structuredClone(persona);
  for (const { kind, value } of facts) {
    if (kind === 'offer') next.offer = next.offer || String(value);
    else if (kind === 'size' && typeof value === 'object') {
      const { from, to } = next.size;
      const isNew = from === null && to === null;
      next.size = isNew
        ? { ...value }
        : {
            from: from === null || value.from === null ? null : Math.min(from, value.from),
            to: to === null || value.to === null ? null : Math.max(to, value.to)
          };
    } else if (kind === 'place' && typeof value === 'string') {
      const fact = next.facts.find(({ scope }) => scope === 'place');
      if (!fact) next.facts.push({ scope: 'place', from: null, to: null, values: [value] });
      else if (!fact.values.some((other) => other.toLowerCase() === value.toLowerCase())) fact.values.push(value);
    } else if (kind in lists && typeof value === 'string') {
      const list = next[lists[kind as keyof typeof lists]];
      const text = kind === 'country' ? countryName(value) : value;
      if (!list.some((other) => other.toLowerCase() === text.toLowerCase())) list.push(text);
    }
  }
  return next;
}
