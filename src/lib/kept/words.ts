import { catalogue } from '$lib/words/catalogue';

export const keptNotice = catalogue('kept/keptNotice', {
  undo: 'Undo',
  redo: 'Redo',
  leaveWhatIsNotKept: 'Leave what is not kept?',
  leave: 'Leave',
  stay: 'Stay',
  whatYouChangedHereIsNot: 'What you changed here is not kept yet. It is lost when you leave.',
  keepMine: 'Keep mine',
  takeTheirs: 'Take theirs',
  tryNow: 'Try now'
});
