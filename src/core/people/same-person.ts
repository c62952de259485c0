import type { Person } from './person';
import { countryCode } from './countries';
import { firmKey, ownMails, ownPages } from './contact-keys';
import { jaroWinkler } from './name-similarity';
import { compareNames, nameVariants, plainText } from './person-name';

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

/** Records that share a name and a firm, at most: more are looked at by title only. */
const maxAlike = 40;

/** Remembers what was made of texts that come again and again. */
function memoize<T>(make: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    let made = known.get(text);
    if (made === undefined) {
      if (known.size > 200_000) known.clear();
      known.set(text, (made = make(text)));
    }
    return made;
  };
}
const namesOf = memoize(nameVariants);
const titleKey = memoize(plainText);
/** What someone says of themselves, as far as it is long enough to be theirs alone; sources cut it off at different lengths. */
const saysKey = (about: string | undefined) =>
  about !== undefined && about.length >= longSaying ? plainText(about.slice(0, longSaying)) : '';
const longSaying = 80;

/**
 * Which records are of one person: the same mail address (of theirs, not of a firm) or page address; the same name and the
 * same words of themselves; or the same name (accents, order, forms of address and degrees aside) at the same firm (legal
 * form and joining words aside), now or before, in the same country where both list it. Where one source has several of
 * that name at that firm, their title must be the same too. A name likely written otherwise (`compareNames`) counts with
 * the same firm and title. What someone decided stands above all. Records are met by keys and never each with each, so that time
 * grows with their number. `progress` gets the share done and may return false to stop; then the result is null.
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
  const countryOf: (string | undefined)[] = [];
  for (let row = 0; row < records.length; row++) {
    if (row % 10_000 === 0 && progress((row / records.length) * 0.7) === false) return null;
    const { person } = records.at(row)!;
    const variants = namesOf(person.name);
    const [name = ''] = variants;
    names.push(name);
    if (person.country) countryOf[row] = countryCode(person.country) ?? person.country;
    const mails = ownMails(person);
    for (const key of [...mails, ...ownPages(person)]) {
      const other = byAddress.get(key);
      if (other === undefined) byAddress.set(key, row);
      else if (isNearlyNamed(row, other)) join(row, other);
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
      for (const variant of variants) {
        const key = `${variant}|${firm}`;
        const list = byNameAndFirm.get(key);
        if (list) list.push(row);
        else byNameAndFirm.set(key, [row]);
      }
    }
  }

  /** Whether two records with one address are named so that they may be of one person. */
  function isNearlyNamed(a: number, b: number): boolean {
    if (names[a] === names[b]) return true;
    const [first, second] = [records.at(a)!.person.name, records.at(b)!.person.name];
    return compareNames(first, second) !== 'other' || (sharesPart(a, b) && jaroWinkler(names[a]!, names[b]!) >= 0.7);
  }
  /** A part of the name in common, and the first of them alphabetically. */
  function sharesPart(a: number, b: number): boolean {
    const [first, second] = [names[a]!.split(' '), names[b]!.split(' ')];
    return first[0] === second[0] || (first[0]![0] === second[0]![0] && first.some((part) => second.includes(part)));
  }
  /**
   * Both work at a firm now and tell their country, and it is another one: a large firm may have two of a name. Who left it
   * may have moved.
   */
  function otherCountry(a: number, b: number, firm: string): boolean {
    if (countryOf[a] === undefined || countryOf[b] === undefined || countryOf[a] === countryOf[b]) return false;
    return [a, b].every((row) =>
      records.at(row)!.person.jobs?.some(({ to, company }) => !to && firmKey(company) === firm)
    );
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
    const firm = key.slice(key.indexOf('|') + 1);
    if (isOneEach(rows)) {
      for (const row of rows.slice(1)) {
        if (otherMail(row, rows[0]!)) doubt(row, rows[0]!, 'the same name and firm, but another mail address');
        else if (otherCountry(row, rows[0]!, firm) && !groups.same(row, rows[0]!))
          doubt(row, rows[0]!, 'the same name and firm, but another country');
        else join(row, rows[0]!);
      }
      continue;
    }
    const byTitle = new Map<string, number[]>();
    for (const row of rows)
      for (const title of titlesAt(row, firm)) byTitle.set(title, [...(byTitle.get(title) ?? []), row]);
    for (const alike of byTitle.values())
      for (const row of alike.slice(1)) if (!otherMail(row, alike[0]!)) join(row, alike[0]!);
    if (rows.length <= maxAlike)
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

  /** Names written otherwise at one firm: met by the firm and a part of the name, or the first letters. */
  function nearNames(): void {
    const blocks = new Map<string, Set<string>>();
    const put = (block: string, key: string) => {
      const list = blocks.get(block);
      if (list) list.add(key);
      else blocks.set(block, new Set([key]));
    };
    for (const key of byNameAndFirm.keys()) {
      const [name = '', firm = ''] = key.split('|');
      const parts = name.split(' ');
      put(`${firm}|${parts.map((part) => part[0]).join('')}`, key);
      for (const part of parts) if (part.length > 2) put(`${firm}|${part}`, key);
    }
    const looked = new Set<string>();
    for (const [block, set] of blocks) {
      if (set.size < 2 || set.size > maxAlike) continue;
      const keys = [...set];
      const firm = block.slice(0, block.indexOf('|'));
      keys.forEach((key, i) => {
        for (const other of keys.slice(i + 1)) {
          const pair = key < other ? `${key}\n${other}` : `${other}\n${key}`;
          if (looked.size === looked.add(pair).size) continue;
          nearPair(byNameAndFirm.get(key)!, byNameAndFirm.get(other)!, firm);
        }
      });
    }
  }

  function nearPair([row]: readonly number[], [other]: readonly number[], firm: string): void {
    if (groups.same(row!, other!) || saidApart(row!, other!)) return;
    const kind = compareNames(records.at(row!)!.person.name, records.at(other!)!.person.name);
    if (kind === 'other' || kind === 'same') return;
    const [mine, theirs] = [titlesAt(row!, firm), titlesAt(other!, firm)];
    const sameTitle = [...mine].some((title) => title && theirs.has(title));
    const untitled = mine.has('') || theirs.has('');
    if (!sameTitle && !untitled) return;
    // Where one source has both, they are two people there.
    const isOne = records.at(row!)!.sourceId !== records.at(other!)!.sourceId;
    if (kind === 'likely' && sameTitle && isOne && !otherMail(row!, other!) && !otherCountry(row!, other!, firm))
      join(row!, other!);
    else
      doubt(
        row!,
        other!,
        sameTitle ? 'a similar name, and the same firm and title' : 'a similar name and the same firm'
      );
  }
}

/** What two records are to each other, taken by themselves: one person, two, or in doubt. */
export function sameness(a: Person, b: Person): 'same' | 'different' | 'doubtful' {
  const { people, doubtful } = samePeople([
    { sourceId: 'a', person: a },
    { sourceId: 'b', person: b }
  ])!;
  return people === 1 ? 'same' : doubtful.length ? 'doubtful' : 'different';
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
