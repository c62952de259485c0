import { createKeybindingsHandler } from 'tinykeys';

/** A key that does something, as it is bound (in the form of tinykeys) and as it is shown. */
interface Key {
  press: readonly string[];
  shown: string;
}

/**
 * Every key of Eave by where it is heard: the sheet of keys is filled from it, and `keysOf` binds from it, so that what is
 * shown is what is bound. Those of the editor are CodeMirror's own, except where `press` is given to it.
 */
export const keys = {
  everywhere: {
    sheet: { press: ['?', 'Shift+?'], shown: '?' },
    undo: { press: ['$mod+KeyZ'], shown: 'Ctrl Z' },
    redo: { press: ['$mod+KeyY', '$mod+Shift+KeyZ'], shown: 'Ctrl Y' },
    step: {
      press: ['g 1', 'g 2', 'g 3', 'g 4', 'g 5', 'g 6', 'g 7'],
      shown: 'g then 1–7'
    }
  },
  string: {
    run: { press: ['$mod+Enter'], shown: 'Ctrl Enter' },
    complete: { press: [], shown: 'Ctrl Space' },
    problem: { press: [], shown: 'F8' },
    fix: { press: ['Mod-.'], shown: 'Ctrl .' }
  },
  tree: {
    up: { press: ['ArrowUp'], shown: '↑' },
    down: { press: ['ArrowDown'], shown: '↓' },
    first: { press: ['Home'], shown: 'Home' },
    last: { press: ['End'], shown: 'End' },
    fold: { press: ['ArrowLeft'], shown: '←' },
    unfold: { press: ['ArrowRight'], shown: '→' },
    moveUp: { press: ['Alt+ArrowUp'], shown: 'Alt ↑' },
    moveDown: { press: ['Alt+ArrowDown'], shown: 'Alt ↓' },
    edit: { press: ['Enter'], shown: 'Enter' },
    add: { press: ['+', 'Shift++', 'Insert'], shown: '+' },
    exclude: { press: ['x'], shown: 'X' },
    mute: { press: ['m'], shown: 'M' },
    kind: { press: ['o'], shown: 'O' },
    wrap: { press: ['w'], shown: 'W' },
    unwrap: { press: ['u'], shown: 'U' },
    remove: { press: ['Delete', 'Backspace'], shown: 'Del' }
  },
  trial: {
    fit: { press: ['f'], shown: 'F' },
    miss: { press: ['m'], shown: 'M' },
    unsure: { press: ['u'], shown: 'U' },
    reason: { press: ['1', '2', '3', '4', '5', '6'], shown: '1–6' },
    before: { press: ['ArrowLeft', 'ArrowUp'], shown: '←' },
    after: { press: ['ArrowRight', 'ArrowDown'], shown: '→' },
    ownReason: { press: ['n'], shown: 'N' },
    note: { press: ['w'], shown: 'W' },
    takeBack: { press: ['Backspace'], shown: 'Backspace' },
    keep: { press: ['k'], shown: 'K' }
  },
  harvest: {
    fit: { press: ['f'], shown: 'F' },
    miss: { press: ['m'], shown: 'M' },
    unsure: { press: ['u'], shown: 'U' },
    before: { press: ['ArrowUp'], shown: '↑' },
    after: { press: ['ArrowDown'], shown: '↓' },
    next: {
      press: ['n'],
      shown: 'N'
    },
    keep: { press: ['k'], shown: 'K' }
  },
  shortlist: {
    before: { press: ['ArrowUp'], shown: '↑' },
    after: { press: ['ArrowDown'], shown: '↓' },
    choose: {
      press: ['x', 'Shift+x', 'Shift+X'],
      shown: 'X'
    },
    all: { press: ['a'], shown: 'A' },
    search: { press: ['/'], shown: '/' },
    leaveOut: { press: ['o'], shown: 'O' },
    remove: { press: ['Delete'], shown: 'Del' },
    close: { press: ['Escape'], shown: 'Esc' }
  },
  inbox: {
    before: { press: ['ArrowUp'], shown: '↑' },
    after: { press: ['ArrowDown'], shown: '↓' },
    fit: { press: ['f'], shown: 'F' },
    miss: { press: ['m'], shown: 'M' },
    unsure: { press: ['u'], shown: 'U' },
    keep: { press: ['k'], shown: 'K' },
    read: { press: ['r'], shown: 'R' }
  }
} as const satisfies Record<string, Record<string, Key>>;

export type KeyScope = keyof typeof keys;

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
