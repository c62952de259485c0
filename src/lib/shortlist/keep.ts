import { call } from '$lib/api/call';
import { brief as briefPath } from '$lib/frame/paths';
import { toast } from '$lib/ui/toasts.svelte';
import { myName } from './my-name';
import type { Body } from '$api';

/**
 * Adds people to the newest shortlist of a brief, creating one if there is none, and reports the result.
 */
export async function keepOnShortlist(briefId: string, from: Body<'keepPeople'>['from'], why: string): Promise<void> {
  const params = { id: briefId };
  const [newest] = await call('listShortlists', { params });
  const list = newest ?? (await call('createShortlist', { params, body: { name: 'Shortlist' } }));
  const reply = await call('keepPeople', { params: { ...params, list: list.id }, body: { from, why, by: myName() } });
  const parts = [
    `${reply.kept.toLocaleString('en')} added to ${newest?.name ?? 'the new shortlist'}`,
    ...(reply.there ? [`${reply.there.toLocaleString('en')} already there`] : []),
    ...(reply.objected ? [`${reply.objected.toLocaleString('en')} excluded because they objected`] : [])
  ];
  toast(`${parts.join(', ')}.`, {
    href: briefPath(briefId, 'shortlist', { list: list.id }),
    text: 'Open shortlist'
  });
}
