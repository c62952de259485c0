import { beforeEach, describe, expect, it } from 'vitest';
import { dismiss, toast, toasts } from './toasts.svelte';

beforeEach(() => (toasts.shown = []));
const texts = () => toasts.shown.map(({ text }) => text);

describe('what is said in the corner', () => {
  it('stays until dismissed, three at a time, the newest last', () => {
    for (const text of ['a', 'b', 'c', 'd']) toast(text);
    expect(texts()).toEqual(['b', 'c', 'd']);
    dismiss(toasts.shown[1]!.id);
    expect(texts()).toEqual(['b', 'd']);
  });

  it('is not said twice at once', () => {
    toast('kept', { href: '/a', text: 'Look' });
    toast('another');
    toast('kept');
    expect(toasts.shown.map(({ text, link }) => [text, link])).toEqual([
      ['another', null],
      ['kept', null]
    ]);
  });
});
