import { catalogue } from '$lib/words/catalogue';

export const keptNotice = catalogue('kept/keptNotice', {
  saved: 'Saved',
  saving: 'Saving…',
  offline: 'Offline: not saved yet',
  notSaved: 'Not saved',
  changedElsewhere: 'Changed elsewhere',
  fixErrors: 'Not saved: fix the errors below.',
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
