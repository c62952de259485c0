import { describe, expect, it, vi } from 'vitest';
import { eventStream } from './event-stream';

/** Reads so many events of a stream, each as its lines (WHATWG HTML, "Server-sent events", 9.2.6). */
async function eventsOf(response: Response, wanted: number): Promise<string[][]> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  while (text.split('\n\n').length <= wanted) {
    const { value, done } = await reader.read();
    if (done) break;
    text += value;
  }
  return text
    .split('\n\n')
    .slice(0, wanted)
    .map((event) => event.split('\n'));
}

describe('a stream of events', () => {
  it('is written as the standard has it, and held by nobody between', async () => {
    const response = eventStream(new AbortController().signal, (send) => {
      send({ event: 'changed', id: 'a1', data: { what: ['trials'], text: 'two\nlines' } });
      send({ event: 'progress', data: null });
      return () => {};
    });
    expect(Object.fromEntries(response.headers)).toEqual({
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no'
    });
    const events = await eventsOf(response, 3);
    expect(events).toContainEqual(['retry: 1000']);
    expect(events).toContainEqual(['event: changed', 'id: a1', 'data: {"what":["trials"],"text":"two\\nlines"}']);
    expect(events).toContainEqual(['event: progress', 'data: null']);
  });

  it('ends once when the page goes away', async () => {
    const leaving = new AbortController();
    const over = vi.fn();
    const response = eventStream(leaving.signal, () => over);
    leaving.abort();
    leaving.abort();
    expect(await response.text()).toBe('retry: 1000\n\n');
    expect(over).toHaveBeenCalledTimes(1);
  });

  it('ends at once for a page that has gone before it began', async () => {
    const over = vi.fn();
    const response = eventStream(AbortSignal.abort(), () => over);
    expect(await response.text()).toBe('retry: 1000\n\n');
    expect(over).toHaveBeenCalledTimes(1);
  });
});
