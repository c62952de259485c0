import { catalogue, type Said } from '$lib/words/catalogue';

export const firstSteps = catalogue('home/firstSteps', {
  aShortWayThroughEave: 'A short way through Eave',
  aShortWayThroughAFinished: 'A short way through a finished job',
  whoIsWanted: 'Who is wanted',
  asFacts: ', as facts',
  theString: 'The string',
  andWhatEachPartIsWorth: ', and what each part is worth',
  whoItReallyFinds: 'Who it really finds',
  judged: ', judged',
  whichVersionIsBest: 'Which version is best',
  proven: ', proven',
  beginOneOfYourOwn: 'Begin one of your own',
  closeTheShortWayThroughEave: 'Close the short way through Eave'
});

export const homePage = catalogue('home/homePage', {
  briefs: 'Briefs',
  aBriefIsOneProspectingJob:
    'A brief is one prospecting job: who is wanted, the strings that look for them, and the proof of which is best.',
  nameOfTheNewBrief: 'Name of the new brief',
  newBrief: 'New brief',
  openAFile: 'Open a file',
  moreToDoWithBriefs: 'More to do with briefs',
  putTheDemoBack: 'Put the demo back',
  noBriefYet: 'No brief yet',
  giveTheJobANameAbove:
    'Give the job a name above, such as the product and the market, and describe who is wanted. Eave writes the string from that.',
  archived: 'archived',
  versions: 'versions',
  wordings: 'wordings',
  shortlisted: 'shortlisted',
  changed: 'changed',
  rename: 'Rename',
  copy: 'Copy',
  bringBack: 'Bring back',
  archive: 'Archive',
  deleteText: 'Delete',
  hide: 'Hide',
  show: 'Show',
  archived2: (archived: Said) => `${archived} archived`,
  renameTheBrief: 'Rename the brief',
  leaveIt: 'Leave it',
  name: 'Name',
  putTheDemoBack2: 'Put the demo back?',
  putItBack: 'Put it back',
  theDemosTwoBriefsAreMade:
    'The demo’s two briefs are made anew, with its versions, trials and verdicts; what was changed in them is lost. Your own briefs stay as they are. It takes about a minute.',
  deleteThisBrief: 'Delete this brief?',
  deleteForGood: 'Delete for good',
  goesWithItsVersionsItsTrials: (name: Said, versions: Said) =>
    `“${name}” goes with its ${versions} versions, its trials and its verdicts. This cannot be undone.`
});
