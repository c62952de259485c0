import ICAL from 'ical.js';
import type { LineOfList } from './column-profile';

// The library does not count the space that begins a folded line (RFC 6350, 3.2: 75 octets).
ICAL.foldLength = 74;

/** A person as a vCard 4.0 (RFC 6350), written by the library ical.js: lines folded, text escaped. */
export function vcardOf(line: LineOfList): string {
  const card = new ICAL.Component(['vcard', [], []]);
  card.addPropertyWithValue('version', '4.0');
  const add = (name: string, value: string | undefined) => {
    if (value) card.addPropertyWithValue(name, value);
  };
  add('fn', line.name || line.mail);
  const family =
    line.greeting && line.name.startsWith(`${line.greeting} `) ? line.name.slice(line.greeting.length + 1) : '';
  if (family) {
    const structured = new ICAL.Property('n', card);
    structured.setValue([family, line.greeting, '', '', '']);
    card.addProperty(structured);
  }
  add('title', line.tidyTitle);
  if (line.company) {
    const firm = new ICAL.Property('org', card);
    firm.setValue([line.company]);
    card.addProperty(firm);
  }
  add('email', line.mail);
  if (line.phone) card.addPropertyWithValue('tel', line.phone);
  add('url', line.page && (/^https?:/.test(line.page) ? line.page : `https://${line.page}`));
  if (line.place || line.country) {
    const address = new ICAL.Property('adr', card);
    address.setValue(['', '', '', line.place, '', '', line.country]);
    card.addProperty(address);
  }
  if (line.tags.length) {
    const tags = new ICAL.Property('categories', card);
    tags.setValues([...line.tags]);
    card.addProperty(tags);
  }
  add(
    'note',
    [line.note, line.sources.length ? `From ${line.sources.join(', ')}; kept ${line.keptAt.slice(0, 10)}.` : '']
      .filter(Boolean)
      .join('\n')
  );
  return `${card.toString()}\r\n`;
}
