import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const firstSteps = catalogue('home/firstSteps', {
  tourEave: 'Tour of Eave',
  tourFinishedDemo: 'Tour of the finished demo',
  whoYoureLookingFor: 'Who you’re looking for',
  asFacts: ', as facts',
  string: 'The string',
  andWhatEachPartDoes: ', and what each part does',
  whoItReallyFinds: 'Who it really finds',
  judged: ', judged',
  whichVersionIsBest: 'Which version is best',
  proven: ', proven',
  startYourOwn: 'Start your own',
  closeTour: 'Close the tour'
});

export const homePage = catalogue('home/homePage', {
  notImported: 'Not imported',
  fileIsntValidJson: (file: string) =>
    `${file} isn’t valid JSON. Choose a file exported with “Whole brief” on the report.`,
  recordsSkippedOnObjection: (records: number) =>
    `${plural(records, { one: '1 record was', other: `${records} records were` })} skipped because the people objected and were erased here.`,
  briefs: 'Briefs',
  briefIsOneProspectingJobWho:
    'A brief is one prospecting job: who you’re looking for, the strings that find them, and proof of which string is best.',
  nameNewBrief: 'Name of the new brief',
  newBrief: 'New brief',
  importFile: 'Import file',
  moreActions: 'More actions',
  resetDemo: 'Reset demo',
  noBriefYet: 'No brief yet',
  nameJobAboveForExampleAfter:
    'Name the job above, for example after the product and the market, then describe who you’re looking for. Eave writes the string from that.',
  archived: 'archived',
  versions: 'versions',
  wordings: 'wordings',
  shortlisted: 'shortlisted',
  changed: 'changed',
  rename: 'Rename',
  duplicate: 'Duplicate',
  restore: 'Restore',
  archive: 'Archive',
  deleteText: 'Delete',
  hide: 'Hide',
  show: 'Show',
  archived2: (archived: Said) => `${archived} archived`,
  renameBrief: 'Rename the brief',
  cancel: 'Cancel',
  name: 'Name',
  resetDemo2: 'Reset the demo?',
  reset: 'Reset',
  thisRecreatesDemosTwoBriefsWith:
    'This recreates the demo’s two briefs with their versions, trials and verdicts. Changes you made to them are lost. Your own briefs aren’t affected. It takes about a minute.',
  deleteThisBrief: 'Delete this brief?',
  deleteText2: 'Delete',
  thisDeletesWithItsVersionsIts: (name: Said, versions: Said) =>
    `This deletes “${name}” with its ${versions} versions, its trials and its verdicts. You can’t undo this.`
});
