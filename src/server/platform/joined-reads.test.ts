import { describe, expect, it } from 'vitest';
import { JoinedReads } from './joined-reads';

/** Reads that end when they are told to. */
function reads() {
  const begun: { key: string; end: (value: string) => void; fail: (error: Error) => void }[] = [];
  const joined = new JoinedReads<string>(
    (key) => new Promise((resolve, reject) => begun.push({ key, end: resolve, fail: reject }))
  );
  return { begun, joined };
}
const settled = () => new Promise((done) => setTimeout(done, 0));

describe('joined reads', () => {
  it('of one thing that are wanted while one is in progress are the one after it', async () => {
    const { begun, joined } = reads();
    const first = joined.of('a');
    const meanwhile = [joined.of('a'), joined.of('a'), joined.of('a')];
    expect(begun).toHaveLength(1);
    begun[0]!.end('old');
    expect(await first).toBe('old');
    await settled();
    expect(begun).toHaveLength(2);
    // Wished while the second is in progress: it may be older again.
    const later = joined.of('a');
    begun[1]!.end('new');
    expect(await Promise.all(meanwhile)).toEqual(['new', 'new', 'new']);
    await settled();
    begun[2]!.end('newest');
    expect(await later).toBe('newest');
    expect(begun).toHaveLength(3);
  });

  it('of other things do not wait for one another, and nothing is kept', async () => {
    const { begun, joined } = reads();
    const both = [joined.of('a'), joined.of('b')];
    expect(begun.map(({ key }) => key)).toEqual(['a', 'b']);
    begun.forEach(({ end, key }) => end(key));
    expect(await Promise.all(both)).toEqual(['a', 'b']);
    void joined.of('a');
    expect(begun).toHaveLength(3);
  });

  it('after one that failed are read all the same', async () => {
    const { begun, joined } = reads();
    const first = joined.of('a');
    const next = joined.of('a');
    begun[0]!.fail(new Error('away'));
    await expect(first).rejects.toThrow('away');
    await settled();
    begun[1]!.end('there');
    expect(await next).toBe('there');
  });
});
