import { withPlaceRead } from '../people/read-place';
import type { Person } from '../people/person';
import { tokenKeys } from '../language/tokens';
import type { PageField } from './page-fields';
import {
  fieldOfLabel,
  forgetPieces,
  isFirm,
  isName,
  isPlace,
  isTitle,
  mailPattern,
  noise,
  phoneIn,
  plainMail,
  urlPattern,
  type PageRow
} from './page-pieces';
import { filledByShape, namesFirst, partedByBlanks, piecesOf, withoutButtons } from './page-shape';
import { bullet, readAligned, readTable } from './page-table';
import { trimSigns } from '../language/trim-signs';

export { plainMail, type PageRow } from './page-pieces';

/** Reads people out of the text of a result page, however the page was made: as a table, labelled lines, blocks, or a line each. */
export function readResultPage(text: string): PageRow[] {
  const lines = text
    .normalize('NFKC')
    .replaceAll(/[\u200b\u00ad]/g, '')
    .split(/\r?\n/)
    .map((line) => {
      const said = line.trimEnd();
      // Markdown's bold and italics.
      return /[*_]/.test(said) ? said.replaceAll(/(\*\*|__|\*)(?=\S)([^*_\n]*?\S)\1/g, '$2') : said;
    });
  try {
    const table = readTable(lines) ?? readAligned(lines);
    if (table) return table.map(settle);
    const plain = namesFirst(withoutButtons(lines)).flatMap(labelsApart);
    return filledByShape(readLines(plain), plain).map(settle);
  } finally {
    forgetPieces();
  }
}

/** What separates a label from its value. Most lines have none, which is the fastest check. */
const mayHaveLabel = /[:=\t]/;
const labelled = /^([\p{L} .-]{1,24}?)\s{0,9}[:=\t](.+)$/u;

/** A line of several labels with what they say, as a line each. */
function labelsApart(line: string): string[] {
  if (!mayHaveLabel.test(line)) return [line];
  const pieces = line.split(/\s{1,40}[|•·–—-]\s{1,40}|\s{0,40}[|•·;]\s{0,40}|\t+/);
  const said = pieces.filter((piece) => {
    const read = labelled.exec(piece.trim());
    return read && fieldOfLabel(read[1]!.trim());
  });
  return said.length >= 2 ? pieces : [line];
}

/** Whether a line may hold an address, which the pattern of one takes long to find out: "at" on its own is in most. */
const mayHaveMail = (line: string) =>
  line.includes('@') || /\(at\)|\[at\]|\{at\}|\(a\)/i.test(line) || (/\sat\s/i.test(line) && /\sdot\s/i.test(line));

/** Goes down the lines: a name begins a person, and what follows is put where it belongs. */
function readLines(lines: readonly string[]): PageRow[] {
  const rows: PageRow[] = [];
  const parted = partedByBlanks(lines);
  let current: PageRow | null = null;
  let gap = true;
  /** A line of no kind that may be the firm. */
  const put = (field: PageField, text: string, doubtful = false) => {
    const value = trimSigns(text.trim(), (sign) => ',;:|•·–—-'.includes(sign)).trim();
    if (!current || !value || current.values[field]) return;
    current.values[field] = value;
    if (doubtful) current.doubtful.push(field);
  };
  const begin = (name: string) => {
    current = { values: { name: name.replace(/,?\s{1,9}(?:1st|2nd|3rd\+?)$/, '').trim() }, doubtful: [] };
    rows.push(current);
  };
  for (const raw of lines) {
    let line = raw.replace(bullet, '').trim();
    if (!line) {
      gap = true;
      continue;
    }
    if (noise.test(line)) continue;
    const [, label, reply] = (mayHaveLabel.test(line) && labelled.exec(line)) || [];
    const says = reply?.trim() || undefined;
    const several = says !== undefined && /\S@\S/.test(says) && phoneIn(says) !== null;
    const field = label !== undefined && !several ? fieldOfLabel(label.trim()) : undefined;
    if (says !== undefined && field) {
      if (field === 'name') begin(says);
      else if (field === 'mail') put('mail', plainMail(says));
      else if (field === 'phone') put('phone', phoneIn(says)?.found ?? says);
      else if (field === 'place' && current && (current as PageRow).values.place)
        (current as PageRow).values.place += `, ${says.trim()}`;
      else put(field, says);
      gap = false;
      continue;
    }
    // Addresses and numbers are taken out of the line first; what is left is words.
    const taken: [PageField, string][] = [];
    if (mayHaveMail(line))
      line = line.replaceAll(mailPattern, (mail) => {
        // "QA Manager at Firm.example" is no address: one with spaces needs its signs written out.
        if (/\sat\s/i.test(mail) && !/\sdot\s/i.test(mail)) return mail;
        taken.push(['mail', plainMail(mail)]);
        return ' ';
      });
    if (line.includes('.') || line.includes('://'))
      line = line.replaceAll(urlPattern, (url) => {
        taken.push(['url', trimSigns(url.replaceAll(/\s?›\s?/g, '/'), (sign) => '.,;)'.includes(sign), 'end')]);
        return ' ';
      });
    const phone = phoneIn(line);
    if (phone) {
      taken.push(['phone', phone.found]);
      line = `${line.slice(0, phone.at)} ${line.slice(phone.at).replace(/[\d+()][\d ()/.-]{5,40}\d/, '')}`.replaceAll(
        /\b(?:tel|phone|mob|mobile|t|m|e|mail|email)[.:]\s*/gi,
        ' '
      );
    }
    const segments = piecesOf(line);
    const first = segments[0] ?? '';
    const commas = first.split(/,\s+/);
    if (
      isName(first) &&
      (gap || !current || (!parted && ((current as PageRow).values.title || (current as PageRow).values.company)))
    ) {
      begin(first);
      segments.slice(1).forEach((segment) => sort(segment));
    } else if (
      commas.length >= 2 &&
      isName(commas[0]!) &&
      !isPlace(first) &&
      (isTitle(commas.slice(1).join(', ')) || commas.length > 2)
    ) {
      begin(commas[0]!);
      sortCommas(commas.slice(1));
      segments.slice(1).forEach((segment) => sort(segment));
    } else segments.forEach((segment) => sort(segment));
    for (const [field, value] of taken) put(field, value);
    gap = false;
  }
  return rows;

  /** Puts words where they belong by what they are; what is of no kind may be the firm. */
  function sort(segment: string): void {
    if (!current) return;
    const values = (current as PageRow).values;
    const joined = /^(.{2,80}?)\s+(?:at|@|bei|hos|på|chez|bij|for|with|en|em|presso|w|ve|v|u)\s+(.{2,80})$/i.exec(
      segment
    );
    const [firm, ...rest] = joined?.[2]!.split(/,\s+/) ?? [];
    if (joined && (isTitle(joined[1]!) || isFirm(firm!)) && !values.title) {
      put('title', joined[1]!);
      put('company', firm!);
      if (rest.length && isPlace(rest.join(', '))) put('place', rest.join(', '));
      return;
    }
    if (isPlace(segment)) return put('place', segment);
    // A snippet often begins with the place.
    const [sentence, more] = segment.split(/\.\s+/);
    if (more !== undefined && isPlace(sentence!)) return put('place', sentence!);
    const bracket = /^([^()]+)\(([^()]+)\)$/.exec(segment);
    if (
      bracket &&
      (isTitle(bracket[1]!.trim()) || isFirm(bracket[1]!.trim()) || isFirm(bracket[2]!)) &&
      bracket[2]!.length > 3
    ) {
      sort(bracket[1]!.trim());
      return isPlace(bracket[2]!) ? put('place', bracket[2]!) : put('company', bracket[2]!, !isFirm(bracket[2]!));
    }
    const commas = segment.split(/,\s+/);
    const rests = commas.slice(1);
    if (rests.length && !values.title && (isTitle(commas[0]!) || rests.some(isFirm))) {
      if (!rests.some(isFirm) && isTitle(rests.join(', '))) return put('title', segment);
      return sortCommas(commas);
    }
    if (commas.length > 1 && isFirm(commas[0]!) && isPlace(commas.slice(1).join(', '))) return sortCommas(commas);
    if (isFirm(segment)) return put('company', segment);
    if (!values.title && isTitle(segment)) return put('title', segment);
    const words = tokenKeys(segment).length;
    if (!values.company && words <= 6 && /^\p{Lu}|^\d/u.test(segment) && !/[.!?]$/.test(segment)) {
      // Right under the name, a line of no kind is more often a title that no lexicon holds.
      if (!values.title) return put('title', segment, true);
      return put('company', segment, true);
    }
  }

  function sortCommas(pieces: readonly string[]): void {
    for (let i = 0; i < pieces.length; i++) {
      const rest = pieces.slice(i).join(', ');
      if (isPlace(rest)) return put('place', rest);
      sort(pieces[i]!);
    }
  }
}

/** A row with nothing but a name is in doubt; so is one whose title no lexicon knows. */
function settle(row: PageRow): PageRow {
  const { title, company } = row.values;
  const doubtful = new Set(row.doubtful);
  if (!title && !company) doubtful.add('name');
  if (title && !isTitle(title)) doubtful.add('title');
  return { ...row, doubtful: [...doubtful] };
}

/** A person out of a row as it was read or corrected; null without a name. */
export function personFromPageRow({ values }: Pick<PageRow, 'values'>, id: string): Person | null {
  const { name, title = '', company = '', place, url, mail, phone } = values;
  if (!name?.trim()) return null;
  const contact = [mail, phone, url].filter((text): text is string => Boolean(text?.trim()));
  return withPlaceRead({
    id,
    name: name.trim(),
    ...((title || company) && { jobs: [{ title: title.trim(), company: company.trim() }] }),
    ...(place?.trim() && { place: place.trim() }),
    ...(contact.length && { contact })
  });
}
