import { describe, expect, it } from 'vitest';
import { ask, freshDatabase, importDone, importFile, sourcesReady, until, useServers } from './harness';

const start = useServers('test-events');

interface Heard {
  event: string;
  id: string;
  data: Record<string, unknown>;
}

/** Listens to server-sent events as WHATWG HTML, 9.2.6, has them read: fields by line, an empty line between events. */
function listenTo(address: string, path: string, lastEventId?: string) {
  const heard: Heard[] = [];
  const leaving = new AbortController();
  const over = (async () => {
    const response = await fetch(`${address}/api${path}`, {
      signal: leaving.signal,
      headers: lastEventId === undefined ? {} : { 'last-event-id': lastEventId }
    });
    expect(response.headers.get('content-type')).toBe('text/event-stream');
    let text = '';
    const chunks = response.body!.pipeThrough(new TextDecoderStream()) as unknown as AsyncIterable<string>;
    for await (const chunk of chunks) {
      text += chunk;
      const events = text.split('\n\n');
      text = events.pop()!;
      for (const event of events) {
        const fields = new Map(event.split('\n').map((line) => line.split(/: (.*)/s) as [string, string]));
        if (fields.has('event'))
          heard.push({
            event: fields.get('event')!,
            id: fields.get('id') ?? '',
            data: JSON.parse(fields.get('data')!) as Record<string, unknown>
          });
      }
    }
  })().catch(() => {});
  return {
    heard,
    over,
    until: (holds: (one: Heard) => boolean, what: string) => until(async () => heard.some(holds), 20_000, what),
    leave: () => leaving.abort()
  };
}

describe('events', () => {
  it('tell what changed at any server, also to whom missed it, and end when the server stops', async () => {
    const databaseUrl = await freshDatabase('eave_events');
    const [first, second] = await Promise.all([start(databaseUrl), start(databaseUrl)]);
    await Promise.all([sourcesReady(first.address), sourcesReady(second.address)]);
    const { body: brief } = await ask<{ id: string }>(first.address, 'POST', '/briefs', { name: 'Heard' });
    const path = `/briefs/${brief.id}`;
    const { body: other } = await ask<{ id: string }>(first.address, 'POST', '/briefs', { name: 'Not heard' });

    const page = listenTo(second.address, `${path}/events`);
    await page.until(({ event }) => event === 'mark', 'the first mark');
    const changes = () => page.heard.filter(({ event }) => event === 'changed');
    expect(changes()).toEqual([]);

    await ask(first.address, 'POST', `/briefs/${other.id}/versions`, { text: 'sales' });
    await ask(first.address, 'POST', `${path}/versions`, { text: 'quality' });
    await page.until(({ data }) => (data.what as string[]).includes('versions'), 'the version');
    await ask(first.address, 'POST', `${path}/trials`, { version: 1, sourceId: 'harrow-guild' });
    await page.until(({ data }) => (data.what as string[]).includes('trial_pages'), 'the pages of the trial');
    await page.until(({ data }) => (data.what as string[]).includes('trials'), 'the end of the trial');
    await ask(first.address, 'PUT', `${path}/verdicts`, {
      sourceId: 'harrow-guild',
      personId: 'nobody-1',
      verdict: 'fit',
      revision: 0
    });
    await page.until(({ data }) => (data.what as string[]).includes('verdicts'), 'the verdict');
    const { id: seen } = page.heard.at(-1)!;
    page.leave();

    // Whoever comes back with the mark seen last is told at once of what was missed, and of nothing where nothing was.
    const same = listenTo(first.address, `${path}/events`, seen);
    await new Promise((later) => setTimeout(later, 600));
    expect(same.heard).toEqual([]);
    same.leave();
    await ask(first.address, 'PUT', `${path}/draft`, { body: { text: 'quality NOT sales', from: 1 }, revision: 1 });
    const back = listenTo(first.address, `${path}/events`, seen);
    await back.until(({ event }) => event === 'changed', 'what was missed');
    expect(back.heard[0]!.id).not.toBe(seen);

    const all = listenTo(second.address, '/events');
    await all.until(({ event }) => event === 'mark', 'the first mark');
    const importId = await importFile(first.address, 'name,title\nAnn,QA\n');
    await importDone(first.address, importId);
    await all.until(({ data }) => data.imports === true, 'the import');
    await all.until(({ data }) => data.sources === true, 'the source that it made');

    const stopped = new Promise((done) => first.process.once('exit', done));
    first.process.kill('SIGTERM');
    await Promise.all([stopped, back.over]);
    all.leave();
    second.stop();
  });

  it('are refused for a brief that is not there', async () => {
    const server = await start(await freshDatabase('eave_no_events'));
    const { status } = await ask(server.address, 'GET', '/briefs/00000000-0000-4000-8000-000000000000/events');
    expect(status).toBe(404);
    server.stop();
  });
});
