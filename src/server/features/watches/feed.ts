import { Feed } from 'feed';
import ICAL from 'ical.js';
import type { Facts } from '$core/changes';
import { models } from '$server/platform/database/models';
import { notFound } from '$server/platform/refusals';
import { listNews } from './news';
import { nextOf } from './watch-run';

export type FeedForm = 'atom' | 'json' | 'ics';

const kindWords = { new: 'New', back: 'Back again', changed: 'Changed', left: 'Left' };
const types: Record<FeedForm, string> = {
  atom: 'application/atom+xml; charset=utf-8',
  json: 'application/feed+json; charset=utf-8',
  ics: 'text/calendar; charset=utf-8'
};
/** Coming runs that a calendar holds. */
const maxRuns = 26;

const inWords = ({ title, company, place, country }: Facts) =>
  [[title, company].filter(Boolean).join(' at '), place, country].filter(Boolean).join(', ');

/** Words as they are in markup: what a source tells is never markup itself. */
const asMarkup = (text: string) => text.replaceAll(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** A watch’s news as Atom (RFC 4287) or JSON Feed 1.1, or its coming runs as a calendar (RFC 5545), by its secret address. */
export async function feedOf(secret: string, form: FeedForm, address: string): Promise<{ text: string; type: string }> {
  const watch = await models().Watch.findOne({ where: { feed: secret } });
  if (!watch) throw notFound('This feed');
  if (form === 'ics') {
    const calendar = new ICAL.Component(['vcalendar', [], []]);
    calendar.updatePropertyWithValue('prodid', '-//Eave//Watches//EN');
    calendar.updatePropertyWithValue('version', '2.0');
    let at: Date | null = watch.active ? watch.nextAt : null;
    for (let i = 0; at && i < maxRuns; i++) {
      const event = new ICAL.Component('vevent');
      event.updatePropertyWithValue('uid', `${watch.id}-${at.getTime()}@eave`);
      event.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(watch.createdAt, true));
      event.updatePropertyWithValue('dtstart', ICAL.Time.fromJSDate(at, true));
      event.updatePropertyWithValue('summary', `Watch: ${watch.name}`);
      event.updatePropertyWithValue('url', `${address}/`);
      calendar.addSubcomponent(event);
      at = nextOf(watch, at);
    }
    return { text: `${calendar.toString()}\r\n`, type: types.ics };
  }
  const { news } = await listNews({ watch: watch.id, unread: 'false' });
  const feed = new Feed({
    title: watch.name,
    id: `urn:uuid:${watch.id}`,
    link: `${address}/`,
    feedLinks: { atom: `${address}/api/feeds/${secret}?form=atom`, json: `${address}/api/feeds/${secret}?form=json` },
    updated: news[0] ? new Date(news[0].at) : watch.createdAt,
    generator: 'Eave'
  });
  // An Atom reader takes title and summary for markup, as the library marks them; a JSON Feed has plain words.
  const written = form === 'atom' ? asMarkup : (text: string) => text;
  for (const one of news) {
    const changes = one.changes.map(
      ({ field, before, now }) => `${field}: ${before ?? 'not listed'} → ${now ?? 'not listed'}`
    );
    feed.addItem({
      id: `urn:eave:news:${watch.id}:${one.id}`,
      title: written(`${kindWords[one.kind]}: ${one.facts.name ?? ''}`),
      link: `${address}/?watch=${watch.id}`,
      date: new Date(one.at),
      description: written([inWords(one.facts), one.why, ...changes].filter(Boolean).join('; ')),
      author: [{ name: 'Eave' }]
    });
  }
  return { text: form === 'atom' ? feed.atom1() : feed.json1(), type: types[form] };
}
