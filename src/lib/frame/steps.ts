import type { Answer } from '$api';
import { plural } from '$lib/words/catalogue';
import type { Step } from './paths';

type Brief = Answer<'readBrief'>;

/** Each step with what can be said of it in a word or two. */
export const steps: readonly { id: Step; name: string; state: (brief: Brief) => string }[] = [
  {
    id: 'persona',
    name: 'Persona',
    state: (brief) => (brief.sentence.startsWith('No persona') ? 'empty' : 'described')
  },
  { id: 'wording', name: 'Wording', state: (brief) => `${brief.wordingsInUse} in use` },
  { id: 'string', name: 'String', state: (brief) => (brief.versions ? `version ${brief.versions}` : 'not run yet') },
  { id: 'trial', name: 'Trial', state: ({ judged }) => (judged === null ? '' : `${judged} judged`) },
  {
    id: 'compare',
    name: 'Compare',
    state: (brief) => plural(brief.versions, { one: '1 version', other: `${brief.versions} versions` })
  },
  {
    id: 'harvest',
    name: 'Harvest',
    state: ({ harvested }) => (harvested === null ? 'not started' : `${harvested.toLocaleString('en')} people`)
  },
  {
    id: 'shortlist',
    name: 'Shortlist',
    state: ({ shortlisted }) => (shortlisted === null ? 'nobody yet' : `${shortlisted.toLocaleString('en')} listed`)
  }
];
