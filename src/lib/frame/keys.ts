import { createKeybindingsHandler } from 'tinykeys';

/** A key that does something, as it is bound (in the form of tinykeys) and as it is shown. */
interface Key {
  press: readonly string[];
  shown: string;
  does: string;
}

/**
 * Every key of Eave by where it is heard: the sheet of keys is filled from it, and `keysOf` binds from it, so that what is
 * shown is what is bound. Those of the editor are CodeMirror's own, except where `press` is given to it.
 */
export const keys = {
  everywhere: {
    sheet: { press: ['?', 'Shift+?'], shown: '?', does: 'this list' },
    undo: { press: ['$mod+KeyZ'], shown: 'Ctrl Z', does: 'undo' },
    redo: { press: ['$mod+KeyY', '$mod+Shift+KeyZ'], shown: 'Ctrl Y', does: 'redo' },
    step: {
      press: ['g 1', 'g 2', 'g 3', 'g 4', 'g 5', 'g 6', 'g 7'],
      shown: 'g then 1–7',
      does: 'go to a step of the brief'
    }
  },
  string: {
    run: { press: ['$mod+Enter'], shown: 'Ctrl Enter', does: 'run on the selected sources' },
    complete: { press: [], shown: 'Ctrl Space', does: 'complete a scope, a value, a title or @ a word set' },
    problem: { press: [], shown: 'F8', does: 'next problem' },
    fix: { press: ['Mod-.'], shown: 'Ctrl .', does: 'apply the fix at the cursor' }
  },
  tree: {
    up: { press: ['ArrowUp'], shown: '↑', does: 'previous part' },
    down: { press: ['ArrowDown'], shown: '↓', does: 'next part' },
    first: { press: ['Home'], shown: 'Home', does: 'first part' },
    last: { press: ['End'], shown: 'End', does: 'last part' },
    fold: { press: ['ArrowLeft'], shown: '←', does: 'collapse it, or its group' },
    unfold: { press: ['ArrowRight'], shown: '→', does: 'unfold' },
    moveUp: { press: ['Alt+ArrowUp'], shown: 'Alt ↑', does: 'move it up, or out of its group' },
    moveDown: { press: ['Alt+ArrowDown'], shown: 'Alt ↓', does: 'move it down' },
    edit: { press: ['Enter'], shown: 'Enter', does: 'edit it' },
    add: { press: ['+', 'Shift++', 'Insert'], shown: '+', does: 'add a part after it, or inside the group' },
    exclude: { press: ['x'], shown: 'X', does: 'exclude it' },
    mute: { press: ['m'], shown: 'M', does: 'disable it' },
    kind: { press: ['o'], shown: 'O', does: 'switch between all of and any of' },
    wrap: { press: ['w'], shown: 'W', does: 'wrap it in a group' },
    unwrap: { press: ['u'], shown: 'U', does: 'unwrap the group' },
    remove: { press: ['Delete', 'Backspace'], shown: 'Del', does: 'remove it' }
  },
  trial: {
    fit: { press: ['f'], shown: 'F', does: 'fit' },
    miss: { press: ['m'], shown: 'M', does: 'miss' },
    unsure: { press: ['u'], shown: 'U', does: 'unsure' },
    reason: { press: ['1', '2', '3', '4', '5', '6'], shown: '1–6', does: 'reason' },
    before: { press: ['ArrowLeft', 'ArrowUp'], shown: '←', does: 'previous person' },
    after: { press: ['ArrowRight', 'ArrowDown'], shown: '→', does: 'next person' },
    ownReason: { press: ['n'], shown: 'N', does: 'type your own reason' },
    note: { press: ['w'], shown: 'W', does: 'write a note' },
    takeBack: { press: ['Backspace'], shown: 'Backspace', does: 'undo the verdict' },
    keep: { press: ['k'], shown: 'K', does: 'add to shortlist' }
  },
  harvest: {
    fit: { press: ['f'], shown: 'F', does: 'fit' },
    miss: { press: ['m'], shown: 'M', does: 'miss' },
    unsure: { press: ['u'], shown: 'U', does: 'unsure' },
    before: { press: ['ArrowUp'], shown: '↑', does: 'previous person' },
    after: { press: ['ArrowDown'], shown: '↓', does: 'next person' },
    next: {
      press: ['n'],
      shown: 'N',
      does: 'next person to judge: usually the most likely fit, sometimes a random one'
    },
    keep: { press: ['k'], shown: 'K', does: 'add to shortlist' }
  },
  shortlist: {
    before: { press: ['ArrowUp'], shown: '↑', does: 'previous person' },
    after: { press: ['ArrowDown'], shown: '↓', does: 'next person' },
    choose: {
      press: ['x', 'Shift+x', 'Shift+X'],
      shown: 'X',
      does: 'select the person; with Shift, everyone in between'
    },
    all: { press: ['a'], shown: 'A', does: 'select everyone matching the filter, or nobody' },
    search: { press: ['/'], shown: '/', does: 'search' },
    leaveOut: { press: ['o'], shown: 'O', does: 'exclude selected people' },
    remove: { press: ['Delete'], shown: 'Del', does: 'remove selected people from the list' },
    close: { press: ['Escape'], shown: 'Esc', does: 'close the card, or clear the selection' }
  },
  inbox: {
    before: { press: ['ArrowUp'], shown: '↑', does: 'previous update' },
    after: { press: ['ArrowDown'], shown: '↓', does: 'next update' },
    fit: { press: ['f'], shown: 'F', does: 'fit' },
    miss: { press: ['m'], shown: 'M', does: 'miss' },
    unsure: { press: ['u'], shown: 'U', does: 'unsure' },
    keep: { press: ['k'], shown: 'K', does: 'add to shortlist' },
    read: { press: ['r'], shown: 'R', does: 'mark as read or unread' }
  }
} as const satisfies Record<string, Record<string, Key>>;

export type KeyScope = keyof typeof keys;

/** What each place is called on the sheet of keys. */
export const keyScopeNames: Record<KeyScope, string> = {
  everywhere: 'Everywhere',
  string: 'String',
  tree: 'Tree of the string',
  trial: 'Trial',
  harvest: 'Harvest',
  shortlist: 'Shortlist',
  inbox: 'Updates from watches'
};

/** The first key of those that are pressed one after the other. */
const leader = 'g';
/** Milliseconds in which the second must follow. */
const follows = 1000;
let before = { key: '', at: -Infinity };
let now = before;

/** Whether a key follows the leader. Several may handle the same key, in any order. */
function followsLeader({ key, timeStamp, target }: KeyboardEvent): boolean {
  if (timeStamp !== now.at) [before, now] = [now, { key: isTyping(target) ? '' : key, at: timeStamp }];
  return before.key === leader && now.at - before.at < follows;
}

const fields = 'input, textarea, select, [contenteditable="true"], [role="dialog"]';
const isTyping = (target: EventTarget | null) => Boolean((target as Element | null)?.closest?.(fields));

type Handlers<P extends KeyScope> = Partial<Record<keyof (typeof keys)[P], (event: KeyboardEvent) => void>>;

/**
 * What hears the keys of a place, to be given to `onkeydown`. Keys are not heard where somebody types, unless `typing` says
 * so; nor is a digit that follows `g`, which goes to a step. A handler that takes a key takes it from all others.
 */
export function keysOf<P extends KeyScope>(
  place: P,
  handlers: Handlers<P>,
  typing = false
): (event: KeyboardEvent) => void {
  const bindings: Record<string, (event: KeyboardEvent) => void> = {};
  for (const [name, handle] of Object.entries(handlers) as [string, (event: KeyboardEvent) => void][])
    for (const press of (keys[place] as Record<string, Key>)[name]!.press)
      bindings[press] = (event) => {
        if (!typing && isTyping(event.target)) return;
        if (/^\d$/.test(press) && followsLeader(event)) return;
        event.preventDefault();
        handle(event);
      };
  const handle = createKeybindingsHandler(bindings, { timeout: follows });
  return (event) => {
    followsLeader(event);
    handle(event);
  };
}
