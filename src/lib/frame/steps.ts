import type { Answer } from '$api';
import { count } from '$lib/marks/format';
import type { Step } from './paths';
import { steps as say } from './words';

type Brief = Answer<'readBrief'>;

const states: Readonly<Record<keyof typeof say & Step, (brief: Brief) => string>> = {
  persona: ({ sentence }) => (sentence.startsWith('No persona') ? say.empty : say.described),
  wording: ({ wordingsInUse }) => say.inUse(wordingsInUse),
  string: ({ versions }) => (versions ? say.version(versions) : say.notRunYet),
  trial: ({ judged }) => (judged === null ? '' : say.judged(judged)),
  compare: ({ versions }) => say.versions(versions),
  harvest: ({ harvested }) => (harvested === null ? say.notStarted : say.people(count(harvested))),
  shortlist: ({ shortlisted }) => (shortlisted === null ? say.nobodyYet : say.listed(count(shortlisted)))
};

const inOrder: readonly (keyof typeof states)[] = [
  'persona',
  'wording',
  'string',
  'trial',
  'compare',
  'harvest',
  'shortlist'
];

/** The steps of a brief in their order, each with its state in a word or two. */
export const steps = inOrder.map((id) => ({
  id,
  get name() {
    return say[id];
  },
  state: states[id]
}));
