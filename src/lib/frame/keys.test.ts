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
const press = (hear: (event: KeyboardEvent) => void, ...given: ConstructorParameters<typeof KeyPressed>) => {
  const event = new KeyPressed(...given);
  hear(event as unknown as KeyboardEvent);
  return event.defaultPrevented;
};

describe('keys', () => {
  it('do what the sheet says of them, and nothing where somebody types', () => {
    const [fit, miss] = [vi.fn(), vi.fn()];
    const hear = keysOf('trial', { fit, miss });
    expect(press(hear, 'f')).toBe(true);
    expect(press(hear, 'f', ['Control'])).toBe(false);
    expect(press(hear, 'f', [], true)).toBe(false);
    expect(press(hear, 'x')).toBe(false);
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
      for (const hear of at % 200 ? [trial, layout] : [layout, trial]) hear(event as unknown as KeyboardEvent);
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
    const hear = keysOf('everywhere', { undo, redo }, true);
    press(hear, 'z', ['Control'], true);
    press(hear, 'y', ['Control'], true);
    press(hear, 'z', ['Control', 'Shift'], true);
    expect([undo.mock.calls.length, redo.mock.calls.length]).toEqual([1, 2]);
  });

  it.each(Object.keys(keys) as KeyScope[])('mean one thing each: %s', (place) => {
    const pressed = Object.values(keys[place]).flatMap((one) => [...one.press]);
    expect(new Set(pressed).size).toBe(pressed.length);
  });
});
