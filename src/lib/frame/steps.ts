import type { Answer } from '$api';
import { count } from '$lib/marks/format';
import type { Step } from './paths';
import { steps as say } from './words';

type Brief = Answer<'readBrief'>;

const step = (id: keyof typeof say & Step, state: (brief: Brief) => string) => ({
  id,
  get name() {
    return say[id];
  },
  state
});

/** The steps of a brief in their order, each with its state in a word or two. */
export const steps = [
  step('persona', ({ sentence }) => (sentence.startsWith('No persona') ? say.empty : say.described)),
  step('wording', ({ wordingsInUse }) => say.inUse(wordingsInUse)),
  step('string', ({ versions }) => (versions ? say.version(versions) : say.notRunYet)),
  step('trial', ({ judged }) => (judged === null ? '' : say.judged(judged))),
  step('compare', ({ versions }) => say.versions(versions)),
  step('harvest', ({ harvested }) => (harvested === null ? say.notStarted : say.people(count(harvested)))),
  step('shortlist', ({ shortlisted }) => (shortlisted === null ? say.nobodyYet : say.listed(count(shortlisted))))
];
