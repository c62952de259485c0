import { beforeAll, describe, expect, it } from 'vitest';
import { ask, freshDatabase, useServers } from './harness';

const start = useServers('test-writers', 1000);
let address: string;
beforeAll(async () => {
  ({ address } = await start(await freshDatabase('eave_writers')));
});

const person = (mark: string) => [{ id: mark, name: mark }];
/** What a writer makes of a document that they have read. */
const bodies: Record<string, (mark: string, read: object) => unknown> = {
  persona: (mark, read) => ({ ...read, titles: [mark, 'Quality Manager'] }),
  wording: (mark) => [{ id: mark, name: mark, wordings: [{ text: mark, origin: 'typed', inUse: true }], refused: [] }],
  draft: (mark) => ({ text: mark, from: null }),
  known: person,
  contacted: person,
  choice: (mark) => ({ baseline: Number(mark.replace(/\D/g, '')) + 1, winners: [], certainOnly: false })
};
const kinds = Object.keys(bodies);
const pairs = kinds.flatMap((one, i) => kinds.slice(i + 1).map((other): [string, string] => [one, other]));

describe('eight writers at once', () => {
  it.each(pairs)('on %s and %s: whatever was acknowledged is there, or was seen by the next', async (one, other) => {
    const { body: brief } = await ask<{ id: string }>(address, 'POST', '/briefs', { name: `${one} ${other}` });
    const path = (kind: string) => `/briefs/${brief.id}/${kind}`;
    for (let round = 0; round < 3; round++) {
      const seen = Object.fromEntries(
        await Promise.all(
          [one, other].map(async (kind) => [
            kind,
            (await ask<{ body: object; revision: number }>(address, 'GET', path(kind))).body
          ])
        )
      ) as Record<string, { body: object; revision: number }>;
      const writers = Array.from({ length: 8 }, async (_, i) => {
        const kind = i % 2 ? one : other;
        const mark = `m${round}${i}`;
        const { status, body } = await ask<{ revision: number }>(address, 'PUT', path(kind), {
          body: bodies[kind]!(mark, seen[kind]!.body),
          revision: seen[kind]!.revision
        });
        return { kind, mark, status, revision: body.revision };
      });
      const written = await Promise.all(writers);
      for (const kind of [one, other]) {
        const kept = written.filter((writer) => writer.kind === kind && writer.status === 200);
        // The wording follows the persona: it may have been there first, and then all its writers are refused.
        expect(kept.length, `${kind} ${JSON.stringify(written)}`).toBeLessThanOrEqual(1);
        const now = (await ask<{ body: unknown; revision: number }>(address, 'GET', path(kind))).body;
        const [winner] = kept;
        if (!winner) continue;
        expect(now.revision).toBeGreaterThanOrEqual(winner.revision);
        const received = JSON.stringify(now.body);
        // A persona written after drops the sets of titles that it has not; what it went by is what was acknowledged.
        if (now.revision === winner.revision)
          expect(received).toContain(kind === 'choice' ? String(Number(winner.mark.slice(1)) + 1) : winner.mark);
        else expect(kind).toBe('wording');
      }
      expect(written.some(({ status }) => status === 200)).toBe(true);
      expect(
        written.every(({ status }) => status === 200 || status === 409),
        JSON.stringify(written)
      ).toBe(true);
    }
  });
});
