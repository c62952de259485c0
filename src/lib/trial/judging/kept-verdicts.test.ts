import { describe, expect, it } from 'vitest';
import { ApiProblem } from '$lib/api/call';
import { KeptVerdicts, type KeptVerdict, type PendingVerdict } from './kept-verdicts.svelte';

/** A server that answers when told to, and refuses what does not follow the revision it holds. */
function slowServer(holds: KeptVerdict | null = null) {
  const asked: { given: PendingVerdict; revision: number; answer: () => void; lose: () => void }[] = [];
  const state = { holds };
  const write = (_: string, given: PendingVerdict, revision: number) =>
    new Promise<KeptVerdict | null>((resolve, reject) => {
      asked.push({
        given,
        revision,
        lose: () => reject(new ApiProblem(0, 'away', 'Nobody answers.')),
        answer: () => {
          if ((state.holds?.revision ?? 0) !== revision)
            return reject(new ApiProblem(409, 'changed', 'Changed elsewhere.', { current: state.holds }));
          state.holds = given.verdict && {
            verdict: given.verdict,
            reason: given.reason,
            by: 'person',
            revision: revision + 1
          };
          resolve(state.holds);
        }
      });
    });
  return { asked, state, write };
}
const turn = () => new Promise((resolve) => setTimeout(resolve));

describe('verdicts of a trial', () => {
  it('shows a verdict at once and writes the next one after the answer to the first', async () => {
    const server = slowServer();
    const kept = new KeptVerdicts(server.write);
    void kept.give('p', null, { verdict: 'miss', reason: '' });
    await turn();
    const last = kept.give('p', null, { verdict: 'miss', reason: 'wrong rank' });
    expect(kept.of('p', null)).toMatchObject({ reason: 'wrong rank' });
    await turn();
    expect(server.asked).toHaveLength(1);
    server.asked[0]!.answer();
    await turn();
    expect(server.asked[1]).toMatchObject({ revision: 1 });
    server.asked[1]!.answer();
    await last;
    expect(kept.problem).toBeNull();
    expect(server.state.holds).toEqual({ verdict: 'miss', reason: 'wrong rank', by: 'person', revision: 2 });
  });

  it('skips verdicts that a later one replaced before their turn', async () => {
    const server = slowServer();
    const kept = new KeptVerdicts(server.write);
    void kept.give('p', null, { verdict: 'fit', reason: '' });
    await turn();
    void kept.give('p', null, { verdict: 'miss', reason: '' });
    const last = kept.give('p', null, { verdict: null, reason: '' });
    server.asked[0]!.answer();
    await turn();
    expect(server.asked.map(({ given }) => given.verdict)).toEqual(['fit', null]);
    server.asked[1]!.answer();
    await last;
    expect(kept.of('p', { verdict: 'fit', reason: '', by: 'person', revision: 1 })).toBeNull();
  });

  it('lets a verdict stand that someone else gave meanwhile, and follows it afterwards', async () => {
    const server = slowServer({ verdict: 'unsure', reason: '', by: 'person', revision: 4 });
    const kept = new KeptVerdicts(server.write);
    const first = kept.give('p', null, { verdict: 'fit', reason: '' });
    await turn();
    server.asked[0]!.answer();
    await first;
    expect(kept.problem).toMatchObject({ status: 409 });
    expect(kept.of('p', null)?.verdict).toBe('unsure');
    const second = kept.give('p', null, { verdict: 'fit', reason: '' });
    await turn();
    server.asked[1]!.answer();
    await second;
    expect(kept.problem).toBeNull();
    expect(server.state.holds).toMatchObject({ verdict: 'fit', revision: 5 });
  });

  it('keeps what the server did not take, and writes it when tried again', async () => {
    const server = slowServer();
    const kept = new KeptVerdicts(server.write);
    const first = kept.give('p', null, { verdict: 'fit', reason: 'mine' });
    await turn();
    server.asked[0]!.lose();
    await first;
    expect(kept.waiting).toBe(1);
    expect(kept.of('p', null)).toMatchObject({ verdict: 'fit', reason: 'mine' });
    const again = kept.tryAgain();
    await turn();
    server.asked[1]!.answer();
    await again;
    expect(kept.waiting).toBe(0);
    expect(server.state.holds).toMatchObject({ verdict: 'fit', revision: 1 });
  });
});
