import type { Person } from '../corpus/person';
import { foldDiacritics } from '../query/matching';
import { fold } from '../query/tokens';
import { plainFirmName } from './firm-names';
import { jaroWinkler } from './name-similarity';

/** A record of a person at a source. */
export interface SourceRecord {
  sourceId: string;
  person: Person;
}

/** Two records by their numbers in the list given, the lower first, and why they look like one person. */
export interface RecordPair {
  a: number;
  b: number;
  why: string;
}

export interface SamePeople {
  /** For each record the number of its person; people are numbered from 0 in the order of their first record. */
  personOf: Uint32Array;
  people: number;
  /** Pairs that may be one person and are not taken for it: for someone to say yes or no. */
  doubtful: RecordPair[];
}

/** What someone said of two records: one person, or not. */
export interface SameDecision {
  a: number;
  b: number;
  same: boolean;
}

/** Names of people alike from here on count as one name written in two ways. */
const alikeFrom = 0.94;
/** Records that share a name and a firm, at most: more are looked at by title only. */
const mostAlike = 40;

/** Without accents and punctuation, in small letters. */
export const plainText = (text: string): string =>
  foldDiacritics(fold(text))
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** The parts of a name in alphabetical order, initials left out where two parts are left: `Ström, Anna B.` is `anna strom`. */
export function plainName(name: string): string {
  const parts = plainText(name).split(' ');
  const long = parts.filter((part) => part.length > 1);
  return (long.length > 1 ? long : parts).sort().join(' ');
}

/** Mailboxes of a firm rather than of a person. Common practice, no published source. */
const sharedBoxes = /^(info|office|contact|kontakt|sales|mail|hello|post|admin|support|service|hr|jobs|reception)@/;

/** Remembers what was made of texts that come again and again. */
function remembered(make: (text: string) => string): (text: string) => string {
  const known = new Map<string, string>();
  return (text) => {
    let made = known.get(text);
    if (made === undefined) {
      if (known.size > 200_000) known.clear();
      known.set(text, (made = make(text)));
    }
    return made;
  };
}
const firmKey = remembered((company) => plainText(plainFirmName(company)));
const nameKey = remembered(plainName);
const titleKey = remembered(plainText);
/** What someone says of themselves, as far as it is long enough to be theirs alone; sources cut it off at different lengths. */
const saysKey = (about: string | undefined) =>
  about !== undefined && about.length >= longSaying ? plainText(about.slice(0, longSaying)) : '';
const longSaying = 80;

/**
 * Which records are of one person: the same mail address or page address; the same name and the
 * same words of themselves; or the same name (accents, order and initials
 * aside) at the same firm (legal form aside), now or before. Where one source has several of that name at that firm, their
 * title must be the same too. A name written slightly otherwise counts where it is as alike as Jaro and Winkler's
 * measure tells. What someone decided stands above all. Records are met by keys and never each with each, so that time
 * grows with their number. `progress` is told the share done and may return false to stop: then null comes back.
 */
export function samePeople(
  records: readonly SourceRecord[] | { length: number; at(row: number): SourceRecord | undefined },
  decisions: readonly SameDecision[] = [],
  progress: (share: number) => boolean | void = () => {}
): SamePeople | null {
  const groups = new Groups(records.length);
  const apart = new Map<number, number[]>();
  for (const { a, b, same } of decisions) {
    if (same) groups.join(a, b);
    else {
      apart.set(a, [...(apart.get(a) ?? []), b]);
      apart.set(b, [...(apart.get(b) ?? []), a]);
    }
  }
  const saidApart = (a: number, b: number) =>
    apart.size > 0 && groups.members(a).some((one) => apart.get(one)?.some((other) => groups.same(other, b)));
  const doubtful = new Map<string, RecordPair>();
  const doubt = (a: number, b: number, why: string) => {
    const [first, second] = a < b ? [a, b] : [b, a];
    doubtful.set(`${first} ${second}`, { a: first, b: second, why });
  };
  const join = (a: number, b: number) => {
    if (!groups.same(a, b) && !saidApart(a, b)) groups.join(a, b);
  };

  const byAddress = new Map<string, number>();
  const bySaying = new Map<string, number>();
  const byNameAndFirm = new Map<string, number[]>();
  const names: string[] = [];
  const mailsOf: (string[] | undefined)[] = [];
  for (let row = 0; row < records.length; row++) {
    if (row % 10_000 === 0 && progress((row / records.length) * 0.7) === false) return null;
    const { person } = records.at(row)!;
    const name = nameKey(person.name);
    names.push(name);
    const mails: string[] = [];
    for (const contact of person.contact ?? []) {
      const address = contact.trim().toLowerCase();
      const isMail = /^\S+@\S+$/.test(address);
      if (isMail && !sharedBoxes.test(address)) mails.push(address);
      if (
        (!isMail && !/^[a-z0-9.-]+\.[a-z]+\/\S+/.test(address.replace(/^https?:\/\//, ''))) ||
        sharedBoxes.test(address)
      )
        continue;
      const key = address.replace(/^https?:\/\/(www\.)?/, '').replace(/\/$/, '');
      const other = byAddress.get(key);
      if (other === undefined) byAddress.set(key, row);
      else if (jaroWinkler(name, names[other]!) >= 0.7) join(row, other);
      else doubt(row, other, `the same address, ${key}, under another name`);
    }
    if (mails.length) mailsOf[row] = mails;
    if (!name) continue;
    const says = saysKey(person.about);
    if (says) {
      const key = `${name}|${says}`;
      const other = bySaying.get(key);
      if (other === undefined) bySaying.set(key, row);
      else join(row, other);
    }
    for (const firm of new Set((person.jobs ?? []).map(({ company }) => firmKey(company)))) {
      if (!firm) continue;
      const key = `${name}|${firm}`;
      const list = byNameAndFirm.get(key);
      if (list) list.push(row);
      else byNameAndFirm.set(key, [row]);
    }
  }

  /** Whether two records have different addresses at one mail domain. */
  const otherMail = (a: number, b: number) => {
    const [first, second] = [mailsOf[a], mailsOf[b]];
    if (!first || !second || first.some((mail) => second.includes(mail))) return false;
    const domain = (mail: string) => mail.slice(mail.indexOf('@'));
    return first.some((mail) => second.some((other) => domain(other) === domain(mail)));
  };
  const titlesAt = (row: number, firm: string) =>
    new Set(
      (records.at(row)!.person.jobs ?? [])
        .filter(({ company }) => firmKey(company) === firm)
        .map(({ title }) => titleKey(title))
    );

  let done = 0;
  for (const [key, rows] of byNameAndFirm) {
    if (done++ % 10_000 === 0 && progress(0.7 + 0.2 * (done / byNameAndFirm.size)) === false) return null;
    if (rows.length < 2) continue;
    if (isOneEach(rows)) {
      for (const row of rows.slice(1)) {
        if (otherMail(row, rows[0]!)) doubt(row, rows[0]!, 'the same name and firm, but another mail address');
        else join(row, rows[0]!);
      }
      continue;
    }
    const firm = key.slice(key.indexOf('|') + 1);
    const byTitle = new Map<string, number[]>();
    for (const row of rows)
      for (const title of titlesAt(row, firm)) byTitle.set(title, [...(byTitle.get(title) ?? []), row]);
    for (const alike of byTitle.values())
      for (const row of alike.slice(1)) if (!otherMail(row, alike[0]!)) join(row, alike[0]!);
    if (rows.length <= mostAlike)
      rows.forEach((row, i) => {
        for (const other of rows.slice(i + 1))
          if (!groups.same(row, other) && !otherMail(row, other) && !saidApart(row, other))
            doubt(row, other, 'the same name and firm, but another title, and there are several of that name');
      });
  }
  nearNames();
  progress(1);
  const { personOf, people } = groups.numbered();
  return { personOf, people, doubtful: [...doubtful.values()].filter(({ a, b }) => personOf[a] !== personOf[b]) };

  /** Whether each source has one person at most among some records. */
  function isOneEach(rows: readonly number[]): boolean {
    const met = new Map<string, number>();
    for (const row of rows) {
      const { sourceId } = records.at(row)!;
      const person = groups.root(row);
      if ((met.get(sourceId) ?? person) !== person) return false;
      met.set(sourceId, person);
    }
    return true;
  }

  /** Names written slightly otherwise at one firm: met by the firm and the first letters. */
  function nearNames(): void {
    const blocks = new Map<string, string[]>();
    for (const key of byNameAndFirm.keys()) {
      const [name = '', firm = ''] = key.split('|');
      const block = `${firm}|${name
        .split(' ')
        .map((part) => part[0])
        .join('')}`;
      const list = blocks.get(block);
      if (list) list.push(key);
      else blocks.set(block, [key]);
    }
    for (const keys of blocks.values()) {
      if (keys.length < 2 || keys.length > mostAlike) continue;
      keys.forEach((key, i) => {
        for (const other of keys.slice(i + 1)) {
          const [name, otherName] = [key, other].map((one) => one.slice(0, one.indexOf('|')));
          const alike = jaroWinkler(name!, otherName!);
          if (alike < 0.88) continue;
          const [row] = byNameAndFirm.get(key)!;
          const [otherRow] = byNameAndFirm.get(other)!;
          const firm = key.slice(key.indexOf('|') + 1);
          const sameTitle = [...titlesAt(row!, firm)].some((title) => titlesAt(otherRow!, firm).has(title));
          if (groups.same(row!, otherRow!) || saidApart(row!, otherRow!)) continue;
          if (alike >= alikeFrom && sameTitle && !otherMail(row!, otherRow!)) join(row!, otherRow!);
          else if (sameTitle) doubt(row!, otherRow!, 'a similar name, and the same firm and title');
        }
      });
    }
  }
}

/** Records joined into groups: union by size with path halving. */
class Groups {
  private readonly parent: Uint32Array;
  private readonly next: Uint32Array;

  constructor(size: number) {
    this.parent = Uint32Array.from({ length: size }, (_, i) => i);
    // Each group is a ring, so that its members can be gone through.
    this.next = this.parent.slice();
  }

  root(row: number): number {
    const { parent } = this;
    while (parent[row] !== row) {
      parent[row] = parent[parent[row]!]!;
      row = parent[row]!;
    }
    return row;
  }

  same = (a: number, b: number): boolean => this.root(a) === this.root(b);

  join(a: number, b: number): void {
    const [first, second] = [this.root(a), this.root(b)].sort((x, y) => x - y) as [number, number];
    if (first === second) return;
    this.parent[second] = first;
    [this.next[first], this.next[second]] = [this.next[second]!, this.next[first]!];
  }

  members(row: number): number[] {
    const all = [row];
    for (let at = this.next[row]!; at !== row; at = this.next[at]!) all.push(at);
    return all;
  }

  numbered(): { personOf: Uint32Array; people: number } {
    const personOf = new Uint32Array(this.parent.length);
    const numbers = new Map<number, number>();
    for (let row = 0; row < personOf.length; row++) {
      const root = this.root(row);
      let number = numbers.get(root);
      if (number === undefined) numbers.set(root, (number = numbers.size));
      personOf[row] = number;
    }
    return { personOf, people: numbers.size };
  }
}
