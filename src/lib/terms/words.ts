import { catalogue } from '$lib/words/catalogue';

/** The name of each term that Eave explains where it stands. */
export const termNames = catalogue('terms/names', {
  brief: 'brief',
  wordSet: 'word set',
  version: 'version',
  source: 'source',
  sheet: 'sheet',
  rendering: 'rendering',
  trial: 'trial',
  verdict: 'verdict',
  knownGood: 'known-good',
  ledger: 'ledger',
  slice: 'slice',
  harvest: 'harvest',
  watch: 'watch',
  reported: 'reported',
  shown: 'shown',
  certain: 'certain',
  possible: 'possible',
  estimatedResult: 'estimated result',
  precision: 'precision',
  interval: '95% interval',
  estimatedFits: 'estimated fits',
  sample: 'sample',
  matchesAlone: 'matches alone',
  changeIfRemoved: 'change if removed',
  undecided: 'undecided',
  recall: 'recall',
  pooledRecall: 'pooled recall',
  fitsInTotal: 'fits in total',
  kappa: 'Cohen’s kappa',
  toExport: 'to export',
  likelihood: 'likelihood',
  checkedAddress: 'checked address',
  neutralWord: 'neutral word'
});

export type Term = keyof typeof termNames;

/** What each term means, in one sentence. */
export const meanings = catalogue('terms/meanings', {
  brief: 'One prospecting job: what you sell, who you’re looking for, and everything that follows.',
  wordSet: 'Interchangeable wordings of one idea, such as all the ways to write one job title.',
  version: 'A string that was run: it has a number and never changes.',
  source: 'A place to find people or firms.',
  sheet: 'What Eave knows about a source: what it can search, how it matches and counts, and where its results end.',
  rendering: 'A string translated for one source, as one or more searches.',
  trial: 'One version run at one source at one moment, with its count and a sample of people.',
  verdict: 'Your judgment of one person for this persona: fit, miss or unsure.',
  knownGood: 'Somebody you know is right, so a good string has to find them.',
  ledger: 'What each part of a string does at each source.',
  slice: 'One part of a long result, small enough for the source to show all of it.',
  harvest: 'The whole result of a version from all its sources, with each person once.',
  watch: 'A search or a list of people that Eave checks on a schedule, reporting what changed.',
  reported: 'The count the source states, as exact or as rough as that source counts.',
  shown: 'The rows the source lets you see, which can be fewer than it reports.',
  certain: 'Everything the string asks about is listed for this person, and it matches.',
  possible: 'Nothing listed for this person contradicts the string, but some of what it asks isn’t listed.',
  estimatedResult: 'How many people the string finds, estimated from the reported count and the rows shown.',
  precision: 'The share of fits among the people you judged.',
  interval: 'If you repeated the sample many times, 95 of 100 such ranges would hold the true value.',
  estimatedFits: 'The estimated result times precision: how many right people there are to find.',
  sample: 'People drawn at random from the whole depth of the result, not from its first page.',
  matchesAlone: 'How many people this part would find without the rest of the string.',
  changeIfRemoved: 'How many more or fewer people the string would find without this part.',
  undecided: 'The verdicts so far can’t tell which of two versions is better.',
  recall: 'The share of the right people that a version finds.',
  pooledRecall: 'Of all the fits you judged in any version, the share this version finds.',
  fitsInTotal: 'An estimate of how many right people exist, found or not.',
  kappa: 'How far two judges agree beyond chance: 1 is full agreement, 0 is chance.',
  toExport: 'The people an export takes: everyone on the list who isn’t excluded.',
  likelihood: 'The chance that a person is a fit, estimated from the people you judged.',
  checkedAddress: 'An address that was looked up with the mail checker and found good, uncertain or bad.',
  neutralWord: 'An extra word that has nothing to do with the search and makes the source show other rows.'
});

export const term = catalogue('terms/term', {
  whatItMeans: (name: string) => `${name}: what it means`,
  allTerms: 'All terms'
});

export const termRow = catalogue('terms/termRow', {
  terms: 'Terms on this screen'
});
