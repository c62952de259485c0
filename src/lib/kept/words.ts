import { catalogue } from '$lib/words/catalogue';

export const keptNotice = catalogue('kept/keptNotice', {
  undo: 'Undo',
  redo: 'Redo',
  leaveWhatIsNotKept: 'Discard unsaved changes?',
  leave: 'Discard',
  stay: 'Stay',
  whatYouChangedHereIsNot: 'Your latest changes aren’t saved yet. They’ll be lost if you leave this page.',
  keepMine: 'Keep mine',
  takeTheirs: 'Use theirs',
  tryNow: 'Retry now'
});
