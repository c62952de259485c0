import { withPlaceRead } from '../people/read-place';
import { parse } from 'csv-parse/browser/esm/sync';
import { findPhoneNumbersInText } from 'libphonenumber-js/min';
import type { Person } from '../people/person';
import { countryCode } from '../people/countries';
import { places } from '../people/places';
import { fold, tokenKeys } from '../language/tokens';
import { readTitle } from '../titles/read-title';
import type { ColumnField } from './column-fields';
import { guessColumns } from './columns';
import type { PageField } from './page-fields';
import { personFromRow } from './person-from-row';

/** One person read out of the text of a result page. */
export interface PageRow {
  values: Partial<Record<PageField, string>>;
  /** Fields that were taken by their place alone, to be looked at. */
  doubtful: PageField[];
}

const mailPattern =
  /[\p{L}\p{N}._%+-]+(?:\s?(?:\(dot\)|\[dot\])\s?[\p{L}\p{N}._%+-]+)*\s?(?:@|\(at\)|\[at\]|\{at\}|\s+at\s+|\(a\))\s?[\p{L}\p{N}-]+(?:\s?(?:\.|\(dot\)|\[dot\]|\s+dot\s+)\s?[\p{L}\p{N}-]+)+/giu;
const urlPattern =
  /(?:https?:\/\/|www\.)\S+|\b[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)*\.(?:example|com|org|net|info|biz|eu|io|dk|de|nl|se|no|uk|fr|be|ie|es|pt|it|pl|fi|cz|at|ch|lu|is)(?:\/\S*)?(?:\s?›\s?\S+)*/giu;

/** A mail address with its signs as signs: `anna (at) firm (dot) example`. */
export const plainMail = (written: string): string =>
  written
    .replaceAll(/\s?(?:\(at\)|\[at\]|\{at\}|\(a\)|\s+at\s+)\s?/gi, '@')
    .replaceAll(/\s?(?:\(dot\)|\[dot\]|\s+dot\s+)\s?/gi, '.')
    .replaceAll(/\s+/g, '')
    .toLowerCase();

const placeNames: ReadonlySet<string> = new Set(places.map(({ name }) => fold(name)));
const isPlaceWord = (text: string) => placeNames.has(fold(text)) || countryCode(text) !== undefined;
const areaWords = /\b(?:area|region|metropolitan|greater|und umgebung|et périphérie|county|omegn)\b/gi;

const remembered: Map<string, boolean>[] = [];
/** The same answer for the same text, for as long as a page is read: a piece of it is looked at from many sides. */
function once(holds: (text: string) => boolean): (text: string) => boolean {
  const known = new Map<string, boolean>();
  remembered.push(known);
  return (text) => {
    let answer = known.get(text);
    if (answer === undefined) known.set(text, (answer = holds(text)));
    return answer;
  };
}

/** Town, region and country, with commas, or one of them. */
const isPlace = once((text) => {
  const pieces = text
    .replaceAll(areaWords, '')
    .split(/[,()/]| - /)
    .map((piece) => piece.trim())
    .filter(Boolean);
  if (!pieces.length || pieces.length > 4 || pieces.some((piece) => tokenKeys(piece).length > 3 || /\d/.test(piece)))
    return false;
  const [first] = pieces as [string];
  if (isPlaceWord(first)) return true;
  return (
    pieces.length > 1 &&
    pieces.length <= 3 &&
    countryCode(pieces.at(-1)!) !== undefined &&
    !isFirm(first) &&
    !isTitle(first) &&
    tokenKeys(first).length === 1
  );
});

const legalForm =
  /(?<![\p{L}\p{N}])(?:S\.?L\.?U?|S\.?p\.?A|S\.?r\.?l|Lda|Ltda|S\.?A\.?U|Sp\. ?z ?o\. ?o|s\. ?r\. ?o|a\. ?s|Oyj|A\/S|ApS|AB|AS|ASA|B\.?V\.?|N\.?V\.?|GmbH(?: & Co\.? KG)?|AG|KG|SE|Ltd|Limited|plc|LLP|DAC|SAS|SARL|S\.A\.S?\.?|SA|Inc|Corp|BVBA|SRL|Oy)\.?$/u;
const isFirm = (text: string) => legalForm.test(text.trim());

const isTitle = once((text) => {
  const { rank, function: name, confidence } = readTitle(text);
  return tokenKeys(text).length <= 12 && confidence >= 0.5 && (rank !== null || name !== null);
});

const small = /^(?:van|von|der|den|de|la|le|du|af|av|ten|ter|zu|da|di|el|bin|ibn|y|O|Mc)$/i;
/** Two to five capitalised words and no figure: how names look. */
const isName = once((text) => {
  const words = text
    .replace(/^(?:Dr|Mr|Mrs|Ms|Prof|Ing|Dipl\.-Ing|Herr|Frau|Mme|M)\.?\s+/, '')
    .replace(/,?\s+(?:PhD|MSc|MBA|BSc|MA|Ph\.D\.)\.?$/i, '')
    .trim()
    .split(/\s+/);
  return (
    words.length >= 2 &&
    words.length <= 5 &&
    words.every((word) => small.test(word) || /^\p{Lu}[\p{L}'’-]*\.?$/u.test(word)) &&
    words.some((word) => /\p{Ll}/u.test(word) || word.length > 3) &&
    !isPlaceWord(text) &&
    !isFirm(text) &&
    readTitle(text).confidence < 0.5
  );
});

/** What a page's own buttons and counters say, and not its people. */
const noise =
  /^(?:connect|follow(?:ing)?|message|save(?:d)?|view(?: full)? profile|view|more|less|show more|see all|open|contact|add(?: to list)?|reveal.*|select|next|previous|back|page \d+.*|\d+|sponsored|advert(?:isement)?|results?|search|filters?|sort(?: by)?.*|relevance|cached|similar(?: pages)?|translate this page|1st|2nd|3rd\+?|·|•|online|new|hire|shared.*|\d+ (?:mutual|shared|common).*|is open to.*|last (?:active|seen).*|updated.*|posted.*|showing.*|about [\d,.]+ results.*|[\d–-]+ of [\d,.]+.*|copy|export|print|share|call|mail|email|phone|website|remove|note|log ?in|sign (?:in|up)|help|privacy|terms|cookies?|home|profile|previously\b.*|formerly\b.*|past:.*|education:.*|kontakt|profil|anzeigen|vis profil|voir le profil|bekijk profiel|visa profil)$/i;

const labels: readonly [RegExp, PageField][] = [
  [/^(?:full ?name|name|navn|namn|naam|nom|contact(?: person)?)$/i, 'name'],
  [/^(?:job ?title|title|position|role|titel|stilling|functie|poste|funktion|current(?: position)?)$/i, 'title'],
  [
    /^(?:company|employer|organisation|organization|firm|firma|virksomhed|bedrijf|société|entreprise|företag|works at|at)$/i,
    'company'
  ],
  [/^(?:location|place|city|town|by|stad|ort|plaats|ville|sted|region|based in|country)$/i, 'place'],
  [/^(?:e-?mail|mail)(?: address)?$/i, 'mail'],
  [/^(?:phone|tel|telephone|telefon|mobile|mobil|t|m)\.?$/i, 'phone'],
  [/^(?:url|web|website|profile|link|page)$/i, 'url']
];

/** Reads people out of the text of a result page, however the page was made: as a table, labelled lines, blocks, or a line each. */
export function readResultPage(text: string): PageRow[] {
  for (const known of remembered) known.clear();
  const lines = text
    .normalize('NFKC')
    .split(/\r?\n/)
    .map((line) =>
      line
        .replaceAll(/[\u200b\u00ad]/g, '')
        .replace(/\s+$/, '')
        // Markdown's bold and italics.
        .replaceAll(/(\*\*|__|\*)(?=\S)([^*_\n]*?\S)\1/g, '$2')
    );
  const table = readTable(lines) ?? readAligned(lines);
  if (table) return table.map(settle);
  const plain = namesFirst(withoutButtons(lines)).flatMap(labelsApart);
  return filledByShape(readLines(plain), plain).map(settle);
}

/** What parts the pieces of a line: dashes and signs between spaces, bars, tabs. */
const between = /\s+[|•·–—-]\s+|\s*[|•·]\s*|\t+|\s{3,}|…|\.\.\./;
const labelled = /^([\p{L} .-]{1,24}?)\s*(?:[:=]|\t+)\s*(.+)$/u;

/** A line of several labels with what they say, as a line each. */
function labelsApart(line: string): string[] {
  const pieces = line.split(/\s+[|•·–—-]\s+|\s*[|•·;]\s*|\t+/);
  const said = pieces.filter((piece) => {
    const read = labelled.exec(piece.trim());
    return read && fieldOfLabel(read[1]!.trim());
  });
  return said.length >= 2 ? pieces : [line];
}

/**
 * Lines of one shape, a person each: the pieces between dashes, bars, brackets or commas stand in the same order in most of them, and
 * what a piece is follows from all that stand at its place.
 */
function readAligned(lines: readonly string[]): PageRow[] | null {
  const filled = lines.map((line) => line.replace(bullet, '').trim()).filter((line) => line && !noise.test(line));
  if (filled.length < 3) return null;
  for (const parts of [
    /\s+[|•·–—-]\s+|\s*[|•·;]\s*|\t+|\s*[()]\s*/,
    /\s+[|•·–—-]\s+|\s*[|•·;]\s*|\t+|\s*[()]\s*|,\s+/
  ]) {
    const rows = filled.map((line) =>
      line
        .split(parts)
        .map((piece) => piece.trim())
        .filter(Boolean)
    );
    const widths = new Map<number, number>();
    for (const { length } of rows) widths.set(length, (widths.get(length) ?? 0) + 1);
    const [width, many] = [...widths].sort((a, b) => b[1] - a[1])[0]!;
    if (width < 3 || many < 0.8 * rows.length) continue;
    const shaped = rows.filter(({ length }) => length === width);
    const columns = columnsByContent(shaped, width);
    if (!columns || !(columns.includes('title') && columns.includes('company'))) continue;
    // Names are told from firms of two words by standing at the same place in nearly every line.
    const names = shaped.filter((row) => isName(row[columns.indexOf('name')]!)).length;
    if (names < 0.8 * shaped.length) continue;
    return shaped.flatMap((row) => fromColumns(row, columns));
  }
  return null;
}

/**
 * Where the blocks of a page are made alike, what stands at the same place of each is of the same kind: a town that no list holds
 * stands where the others have their towns. Fills what was left empty.
 */
function filledByShape(rows: PageRow[], lines: readonly string[]): PageRow[] {
  const blocks = blocksOf(lines).map((block) =>
    block.flatMap((line, at) =>
      line
        .split(between)
        .map((piece) => piece.trim())
        .filter((piece) => piece && !noise.test(piece))
        .map((piece, i) => ({ place: `${at}/${i}`, piece }))
    )
  );
  if (blocks.length < 3 || blocks.length !== rows.length) return rows;
  const towns = new Map<string, number>();
  for (const block of blocks)
    for (const { place, piece } of block) if (isPlace(piece)) towns.set(place, (towns.get(place) ?? 0) + 1);
  const [where, many] = [...towns].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
  if (many < 0.5 * blocks.length) return rows;
  return rows.map((row, i) => {
    const piece = blocks[i]!.find(({ place }) => place === where)?.piece;
    const values = { ...row.values };
    if (values.place || !piece || !/^\p{Lu}/u.test(piece) || piece.split(/\s+/).length > 6) return row;
    // It was taken for something else by its place alone.
    const wrong = row.doubtful.filter((field) => values[field] === piece);
    const left = Object.fromEntries(Object.entries(values).filter(([field]) => !wrong.includes(field as PageField)));
    if (Object.values(left).includes(piece)) return row;
    return {
      values: { ...left, place: piece },
      doubtful: [...row.doubtful.filter((field) => !wrong.includes(field)), 'place']
    };
  });
}

/** What stands before an entry of a list. */
const bullet = /^\s*(?:[-*•▪‣>]|\d{1,3}[.)]|\[[ x]?\])\s+/;

/** The page's own words in a block, such as buttons, come again in nearly every block and are nothing of a person. */
function withoutButtons(lines: readonly string[]): string[] {
  const counts = new Map<string, number>();
  for (const line of lines) if (line.trim()) counts.set(line.trim(), (counts.get(line.trim()) ?? 0) + 1);
  const names = lines.filter((line) => isName(line.trim())).length;
  // Firms may look like names: blocks that blank lines part are counted more surely.
  const blocks = blocksOf(lines).length;
  const people = blocks > 2 ? Math.min(names, blocks) : names;
  const isButton = (line: string) =>
    (counts.get(line) ?? 0) >= Math.max(3, 0.8 * people) &&
    line.split(/\s+/).length <= 4 &&
    !isFirm(line) &&
    !isTitle(line) &&
    !isPlace(line);
  return lines.filter((line) => !line.trim() || !isButton(line.trim()));
}

/** Lines that no blank line parts. */
function blocksOf(lines: readonly string[]): string[][] {
  const blocks: string[][] = [[]];
  for (const line of lines) {
    if (line.trim()) blocks.at(-1)!.push(line);
    else if (blocks.at(-1)!.length) blocks.push([]);
  }
  return blocks.filter((block) => block.length);
}
/** Whether most blocks, of two or more, are of a kind. */
const most = (blocks: readonly string[][], holds: (block: readonly string[]) => boolean): boolean =>
  blocks.length >= 2 && blocks.filter(holds).length >= Math.max(2, 0.6 * blocks.length);

/** Where most blocks have a title above the name, the name is put first. */
function namesFirst(lines: readonly string[]): string[] {
  const isAbove = ([first, second]: readonly string[]) =>
    second !== undefined && isName(second.trim()) && isTitle(first!.trim()) && !isName(first!.trim());
  const blocks = blocksOf(lines);
  if (!most(blocks, isAbove)) return [...lines];
  return blocks.flatMap((block) => (isAbove(block) ? [block[1]!, block[0]!, ...block.slice(2), ''] : [...block, '']));
}

/** Whether blank lines part one person from the next: most blocks begin with a name then. */
const partedByBlanks = (lines: readonly string[]): boolean => most(blocksOf(lines), ([first]) => isName(first!.trim()));

/** The field that a label names, in any language that headings are known in. */
const labelField: Partial<Record<ColumnField, PageField>> = {
  name: 'name',
  title: 'title',
  company: 'company',
  place: 'place',
  country: 'place',
  mail: 'mail',
  phone: 'phone',
  url: 'url'
};
const fieldOfLabel = (label: string): PageField | undefined =>
  labels.find(([pattern]) => pattern.test(label))?.[1] ?? labelField[guessColumns([label])[0]!];

/** Where most lines have the same number of cells between tabs or bars, the page was a table. */
function readTable(lines: readonly string[]): PageRow[] | null {
  for (const separator of ['\t', '|', ';', ',']) {
    const cells = lines.filter((line) => line.includes(separator)).map((line) => cellsOf(line, separator));
    const filled = lines.filter((line) => line.trim()).length;
    if (cells.length < 2 || cells.length < filled * 0.6) continue;
    const trimmed = cells
      .map((row) => (row[0] === '' && row.at(-1) === '' ? row.slice(1, -1) : row))
      .filter((row) => !row.every((cell) => /^[-:\s]*$/.test(cell)));
    const width = Math.max(...trimmed.map((row) => row.length));
    if (width < 3) continue;
    const headed = guessColumns(trimmed[0]!);
    const named = headed.filter((field) => field !== 'ignore').length;
    // Commas part much else than cells.
    if (separator === ',' && named < 2) continue;
    if (named >= 2) return trimmed.slice(1).flatMap((row) => fromColumns(row, headed));
    const guessed = columnsByContent(trimmed, width);
    if (guessed) return trimmed.flatMap((row) => fromColumns(row, guessed));
  }
  return null;
}

/** The cells of a line, those in quotes without them. */
function cellsOf(line: string, separator: string): string[] {
  const plain = line.split(separator).map((cell) => cell.trim());
  if (!line.includes('"')) return plain;
  try {
    return parse(line, { delimiter: separator, relax_quotes: true, trim: true })[0] ?? plain;
  } catch {
    // A quote that is never closed is a sign like any other.
    return plain;
  }
}

function columnsByContent(rows: readonly string[][], width: number): ColumnField[] | null {
  const kinds: [ColumnField, (text: string) => boolean][] = [
    ['mail', (text) => matchesWhole(mailPattern, text)],
    ['url', (text) => matchesWhole(urlPattern, text)],
    ['phone', (text) => phoneIn(text) !== null],
    ['place', isPlace],
    ['name', isName],
    ['title', isTitle],
    ['company', isFirm]
  ];
  const columns: ColumnField[] = Array.from({ length: width }, () => 'ignore');
  for (const [field, fits] of kinds) {
    const shares = columns.map((taken, i) =>
      taken === 'ignore' ? rows.filter((row) => row[i] && fits(row[i])).length / rows.length : 0
    );
    const best = shares.indexOf(Math.max(...shares));
    if (shares[best]! >= 0.5) columns[best] = field;
  }
  if (!columns.includes('name')) return null;
  if (!columns.includes('company')) {
    const title = columns.indexOf('title');
    const free = columns.flatMap((field, i) => (field === 'ignore' && rows.some((row) => row[i]) ? [i] : []));
    const next = free.find((i) => i > title) ?? free[0];
    if (next !== undefined) columns[next] = 'company';
  }
  return columns;
}

function fromColumns(cells: readonly string[], columns: readonly ColumnField[]): PageRow[] {
  const read = personFromRow(cells, columns, 'row');
  if (!('person' in read)) return [];
  const value = (field: ColumnField) => cells[columns.indexOf(field)]?.trim() ?? '';
  const job = read.person.jobs?.[0];
  const place = [value('place'), value('country')].filter(Boolean).join(', ');
  return [
    {
      values: {
        name: read.person.name,
        ...(job?.title && { title: job.title }),
        ...(job?.company && { company: job.company }),
        ...(place && { place }),
        ...(value('url') && { url: value('url') }),
        ...(value('mail') && { mail: value('mail') }),
        ...(value('phone') && { phone: value('phone') })
      },
      doubtful: []
    }
  ];
}

const matchesWhole = (pattern: RegExp, text: string) =>
  text.replaceAll(pattern, '').trim() === '' && text.trim() !== '';

function phoneIn(text: string): { found: string; at: number } | null {
  // Looking for numbers takes long, and most lines have none.
  if (!/\d(?:[\s()/.-]*\d){5}/.test(text)) return null;
  const [first] = findPhoneNumbersInText(text);
  if (first) return { found: first.number.number, at: first.startsAt };
  const local = /(?:tel|phone|mob|t|m)[.:]?\s*((?:\(?\d[\d ()/-]{5,}\d))/i.exec(text);
  return local ? { found: local[1]!.trim(), at: local.index } : null;
}

/** Goes down the lines: a name begins a person, and what follows is put where it belongs. */
function readLines(lines: readonly string[]): PageRow[] {
  const rows: PageRow[] = [];
  const parted = partedByBlanks(lines);
  let current: PageRow | null = null;
  let gap = true;
  /** A line of no kind that may be the firm. */
  const put = (field: PageField, text: string, doubtful = false) => {
    const value = text.trim().replace(/^[,;:|•·–—-]+\s*|\s*[,;:|•·–—-]+$/g, '');
    if (!current || !value || current.values[field]) return;
    current.values[field] = value;
    if (doubtful) current.doubtful.push(field);
  };
  const begin = (name: string) => {
    current = { values: { name: name.replace(/,?\s+(?:1st|2nd|3rd\+?)$/, '').trim() }, doubtful: [] };
    rows.push(current);
  };
  for (const raw of lines) {
    let line = raw.replace(bullet, '').trim();
    if (!line) {
      gap = true;
      continue;
    }
    if (noise.test(line)) continue;
    const [, label, says] = labelled.exec(line) ?? [];
    const several = says !== undefined && /\S+@\S+/.test(says) && phoneIn(says) !== null;
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
    if (/@|\bat\b|\(a|\[at|\{at/i.test(line))
      line = line.replaceAll(mailPattern, (mail) => {
        // "QA Manager at Firm.example" is no address: one with spaces needs its signs written out.
        if (/\s+at\s+/i.test(mail) && !/\s+dot\s+/i.test(mail)) return mail;
        taken.push(['mail', plainMail(mail)]);
        return ' ';
      });
    line = line.replaceAll(urlPattern, (url) => {
      taken.push(['url', url.replaceAll(/\s?›\s?/g, '/').replace(/[.,;)]+$/, '')]);
      return ' ';
    });
    const phone = phoneIn(line);
    if (phone) {
      taken.push(['phone', phone.found]);
      line = `${line.slice(0, phone.at)} ${line.slice(phone.at).replace(/[\d+()][\d ()/.-]{5,}\d/, '')}`.replaceAll(
        /\b(?:tel|phone|mob|mobile|t|m|e|mail|email)[.:]\s*/gi,
        ' '
      );
    }
    const segments = line
      .split(between)
      .map((segment) => segment.trim())
      .filter((segment) => segment && !noise.test(segment));
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
    const bracket = /^(.+?)\s*\(([^()]+)\)$/.exec(segment);
    if (bracket && (isTitle(bracket[1]!) || isFirm(bracket[1]!) || isFirm(bracket[2]!)) && bracket[2]!.length > 3) {
      sort(bracket[1]!);
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
