import { beforeAll, describe, expect, it, vi } from 'vitest';
import { keys, keysOf, type KeyScope } from './keys';

/** As much of a key event as is looked at. */
class KeyPressed extends Event {
  readonly key: string;
  readonly code: string;
  readonly modifiers: readonly string[];
  override readonly target: EventTarget | null;
  constructor(key: string, modifiers: readonly string[] = [], inField = false) {
    super('keydown', { cancelable: true });
    this.key = key;
    this.code = /^[a-z]$/i.test(key) ? `Key${key.toUpperCase()}` : key;
    this.modifiers = modifiers;
    this.target = { closest: () => (inField ? {} : null) } as unknown as EventTarget;
  }
  getModifierState = (modifier: string) => this.modifiers.includes(modifier);
}
beforeAll(() => vi.stubGlobal('KeyboardEvent', KeyPressed));
const press = (handle: (event: KeyboardEvent) => void, ...given: ConstructorParameters<typeof KeyPressed>) => {
  const event = new KeyPressed(...given);
  handle(event as unknown as KeyboardEvent);
  return event.defaultPrevented;
};

describe('keys', () => {
  it('do what the sheet says of them, and nothing where somebody types', () => {
    const [fit, miss] = [vi.fn(), vi.fn()];
    const handle = keysOf('trial', { fit, miss });
    expect(press(handle, 'f')).toBe(true);
    expect(press(handle, 'f', ['Control'])).toBe(false);
    expect(press(handle, 'f', [], true)).toBe(false);
    expect(press(handle, 'x')).toBe(false);
    expect([fit.mock.calls.length, miss.mock.calls.length]).toEqual([1, 0]);
  });

  it('that follow g go to a step, and reach nothing else', () => {
    const [step, reason] = [vi.fn(), vi.fn()];
    const layout = keysOf('everywhere', { step });
    const trial = keysOf('trial', { reason });
    let at = 1000;
    const both = (key: string) => {
      // In both orders, as either may have been there first.
      const event = new KeyPressed(key);
      Object.defineProperty(event, 'timeStamp', { value: (at += 100) });
      for (const handle of at % 200 ? [trial, layout] : [layout, trial]) handle(event as unknown as KeyboardEvent);
    };
    both('2');
    expect([step.mock.calls.length, reason.mock.calls.length]).toEqual([0, 1]);
    both('g');
    both('2');
    expect([step.mock.calls.length, reason.mock.calls.length]).toEqual([1, 1]);
    both('2');
    expect([step.mock.calls.length, reason.mock.calls.length]).toEqual([1, 2]);
  });

  it('are undo and redo also where somebody types, if that is wanted', () => {
    const [undo, redo] = [vi.fn(), vi.fn()];
    const handle = keysOf('everywhere', { undo, redo }, true);
    press(handle, 'z', ['Control'], true);
    press(handle, 'y', ['Control'], true);
    press(handle, 'z', ['Control', 'Shift'], true);
    expect([undo.mock.calls.length, redo.mock.calls.length]).toEqual([1, 2]);
  });

  it.each(Object.keys(keys) as KeyScope[])('mean one thing each: %s', (place) => {
    const pressed = Object.values(keys[place]).flatMap((one) => [...one.press]);
    expect(new Set(pressed).size).toBe(pressed.length);
  });
});
