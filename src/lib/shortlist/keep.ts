import { call } from '$lib/api/call';
import { brief as briefPath } from '$lib/frame/paths';
import { toast } from '$lib/ui/toasts.svelte';
import { count } from '$lib/marks/format';
import { myName } from './my-name';
import { keeping as say } from './words';
import type { Body } from '$api';

/**
 * Adds people to the newest shortlist of a brief, creating one if there is none, and reports the result.
 */
export async function keepOnShortlist(briefId: string, from: Body<'keepPeople'>['from'], why: string): Promise<void> {
  const params = { id: briefId };
  const [newest] = await call('listShortlists', { params });
  const list = newest ?? (await call('createShortlist', { params, body: { name: say.shortlist } }));
  const reply = await call('keepPeople', { params: { ...params, list: list.id }, body: { from, why, by: myName() } });
  const parts = [
    say.addedTo(count(reply.kept), newest?.name ?? say.newShortlist),
    ...(reply.there ? [say.alreadyThere(count(reply.there))] : []),
    ...(reply.objected ? [say.objected(count(reply.objected))] : [])
  ];
  toast(`${parts.join(', ')}.`, {
    href: briefPath(briefId, 'shortlist', { list: list.id }),
    text: say.openShortlist
  });
}
