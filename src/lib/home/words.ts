import { catalogue, type Said } from '$lib/words/catalogue';

export const firstSteps = catalogue('home/firstSteps', {
  aShortWayThroughEave: 'Tour of Eave',
  aShortWayThroughAFinished: 'Tour of the finished demo',
  whoIsWanted: 'Who you’re looking for',
  asFacts: ', as facts',
  theString: 'The string',
  andWhatEachPartIsWorth: ', and what each part does',
  whoItReallyFinds: 'Who it really finds',
  judged: ', judged',
  whichVersionIsBest: 'Which version is best',
  proven: ', proven',
  beginOneOfYourOwn: 'Start your own',
  closeTheShortWayThroughEave: 'Close the tour'
});

export const homePage = catalogue('home/homePage', {
  briefs: 'Briefs',
  aBriefIsOneProspectingJob:
    'A brief is one prospecting job: who you’re looking for, the strings that find them, and proof of which string is best.',
  nameOfTheNewBrief: 'Name of the new brief',
  newBrief: 'New brief',
  openAFile: 'Import file',
  moreToDoWithBriefs: 'More actions',
  putTheDemoBack: 'Reset demo',
  noBriefYet: 'No brief yet',
  giveTheJobANameAbove:
    'Name the job above, for example after the product and the market, then describe who you’re looking for. Eave writes the string from that.',
  archived: 'archived',
  versions: 'versions',
  wordings: 'wordings',
  shortlisted: 'shortlisted',
  changed: 'changed',
  rename: 'Rename',
  copy: 'Duplicate',
  bringBack: 'Restore',
  archive: 'Archive',
  deleteText: 'Delete',
  hide: 'Hide',
  show: 'Show',
  archived2: (archived: Said) => `${archived} archived`,
  renameTheBrief: 'Rename the brief',
  leaveIt: 'Cancel',
  name: 'Name',
  putTheDemoBack2: 'Reset the demo?',
  putItBack: 'Reset',
  theDemosTwoBriefsAreMade:
    'This recreates the demo’s two briefs with their versions, trials and verdicts. Changes you made to them are lost. Your own briefs aren’t affected. It takes about a minute.',
  deleteThisBrief: 'Delete this brief?',
  deleteForGood: 'Delete',
  goesWithItsVersionsItsTrials: (name: Said, versions: Said) =>
    `This deletes “${name}” with its ${versions} versions, its trials and its verdicts. You can’t undo this.`
});
