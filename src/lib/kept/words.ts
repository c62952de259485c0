import { catalogue } from '$lib/words/catalogue';

export const keptNotice = catalogue('kept/keptNotice', {
  undo: 'Undo',
  redo: 'Redo',
  discardUnsavedChanges: 'Discard unsaved changes?',
  discard: 'Discard',
  stay: 'Stay',
  yourLatestChangesArentSavedYet: 'Your latest changes aren’t saved yet. They’ll be lost if you leave this page.',
  keepMine: 'Keep mine',
  useTheirs: 'Use theirs',
  retryNow: 'Retry now'
});
